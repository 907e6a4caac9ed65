package juricast.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.core.importer.Location;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import juricast.server.access.SignedIn;
import org.springframework.web.bind.annotation.RestController;

@AnalyzeClasses(
        packages = "juricast",
        importOptions = {DoNotIncludeTests.class, ArchitectureTest.Written.class})
class ArchitectureTest {
    /** What Spring writes when the program is packaged makes the beans of all subjects, and depends on all of them. */
    static final class Written implements ImportOption {
        @Override
        public boolean includes(Location location) {
            return !location.contains("__") && !location.contains("$$");
        }
    }

    @ArchTest
    static final ArchRule the_core_knows_nothing_of_the_server = noClasses()
            .that()
            .resideInAPackage("juricast.core..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("juricast.server..")
            .because("the rules must be usable and testable without the program around them");

    @ArchTest
    static final ArchRule subjects_do_not_go_in_circles = slices().matching("juricast.server.(*)..")
            .should()
            .beFreeOfCycles()
            .because("a change in one subject must not come back to it through another");

    @ArchTest
    static final ArchRule nobody_depends_on_the_demo = noClasses()
            .that()
            .resideOutsideOfPackage("juricast.server.demo..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("juricast.server.demo..")
            .because("a real school runs without it");

    @ArchTest
    static final ArchRule controllers_are_nobodys_tool = classes()
            .that()
            .areAnnotatedWith(RestController.class)
            .should()
            .bePackagePrivate()
            .because("a controller translates; what others need belongs on a type that decides, keeps or shows");

    @ArchTest
    static final ArchRule who_may_read_what_is_asked_of_the_table = noClasses()
            .that()
            .resideInAnyPackage(
                    "juricast.server.register..",
                    "juricast.server.room..",
                    "juricast.server.keeping..",
                    "juricast.server.tell..",
                    "juricast.server.people..")
            .should()
            .callMethod(SignedIn.class, "isLead")
            .because(
                    "one table says who may read what about whom, and a second place would come to say something else");
}
