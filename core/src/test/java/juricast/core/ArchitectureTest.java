package juricast.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.lang.reflect.Field;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;

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

    @ArchTest
    static void a_rule_says_that_it_is_enforced_exactly_if_a_decision_asks_for_it(JavaClasses core) {
        Set<String> asked = core.get(Catalogue.class).getFieldAccessesToSelf().stream()
                .filter(access -> !access.getOriginOwner().getPackageName().startsWith("juricast.core.rules")
                        && !access.getOriginOwner().getPackageName().startsWith("juricast.core.charter"))
                .map(access -> access.getTarget().getName())
                .collect(Collectors.toSet());
        for (Field field : Catalogue.class.getFields()) {
            if (field.getType() == Rule.class) {
                assertThat(rule(field).enforced() != Rule.Enforced.NOT_YET)
                        .as(
                                "%s, which decisions %s ask for",
                                field.getName(), asked.contains(field.getName()) ? "do" : "do not")
                        .isEqualTo(asked.contains(field.getName()));
            }
        }
    }

    private static Rule<?> rule(Field field) {
        try {
            return (Rule<?>) field.get(null);
        } catch (IllegalAccessException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
