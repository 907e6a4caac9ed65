package juricast.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "juricast.core", importOptions = DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule the_core_is_plain_java = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework..", "java.sql..", "tools.jackson..", "jakarta..")
            .because("rules must be true with pen and paper: no web, no database, no JSON");

    @ArchTest
    static final ArchRule the_core_has_no_clock_of_its_own = noClasses()
            .should()
            .callMethod(java.time.Instant.class, "now")
            .orShould()
            .callMethod(System.class, "currentTimeMillis")
            .orShould()
            .callMethod(java.time.LocalDate.class, "now")
            .because("the time comes in as a value, so that any moment can be asked about and tested");

    @ArchTest
    static final ArchRule subjects_do_not_go_in_circles = slices().matching("juricast.core.(*)..")
            .should()
            .beFreeOfCycles()
            .because("a newcomer must be able to read one subject after the other");
}
