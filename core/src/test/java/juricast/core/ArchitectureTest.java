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
import java.util.Arrays;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.lesson.Parts;
import juricast.core.rules.Catalogue;
import juricast.core.rules.PlannedRules;
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

    private static final String[] PARTS = Parts.ALL.stream()
            .map(part -> part.getClass().getPackageName() + "..")
            .toArray(String[]::new);

    @ArchTest
    static final ArchRule decisions_of_a_lesson_never_ask_the_planned_rules = noClasses()
            .that()
            .resideInAnyPackage(PARTS)
            .should()
            .dependOnClassesThat()
            .areAssignableTo(PlannedRules.class)
            .because("what is so in a lesson decides in it: parts are given live rules and no others");

    @ArchTest
    static void a_part_knows_those_before_it_in_the_list_and_none_after(JavaClasses core) {
        for (int i = 0; i < PARTS.length; i++) {
            noClasses()
                    .that()
                    .resideInAPackage(PARTS[i])
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(after(i))
                    .because("parts stand on each other in one order, so that one can be lifted out")
                    .check(core);
        }
    }

    private static String[] after(int place) {
        // The last has none after it; nothing resides there.
        return place == PARTS.length - 1
                ? new String[] {"juricast.core.nothing.."}
                : Arrays.copyOfRange(PARTS, place + 1, PARTS.length);
    }

    @ArchTest
    static final ArchRule live_knows_no_part = noClasses()
            .that()
            .resideInAPackage("juricast.core.live..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(PARTS)
            .because("whatever is common to all parts must not grow with each of them");

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
