package juricast.core.inspection;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.Function;
import java.util.stream.IntStream;
import juricast.core.charter.SchoolRules;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.time.Span;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

class InspectionProperties {
    private static final List<String> TITLES = List.of("Knots", "Law", "Tides", "Seabirds");
    private static final List<String> ADULTS = List.of("orla", "tam", "ilse", "");

    @Property(tries = 300)
    void a_change_inspected_by_itself_finds_what_inspecting_everything_finds(@ForAll long seed) {
        var random = new Random(seed);
        Inspection before = Inspection.of(plan(random), SchoolRules.EMPTY, APlan.NOW);
        List<InspectedLesson> lessons = lessons(before.school());
        InspectedLesson moved = lessons.get(random.nextInt(lessons.size()));
        Duration by = Duration.ofMinutes(random.nextInt(3000) - 1500);
        var changes = new HashMap<LessonId, Function<InspectedLesson, Optional<InspectedLesson>>>();
        lessons.stream()
                .filter(one -> random.nextInt(10) == 0)
                .forEach(one -> changes.put(one.id(), gone -> Optional.empty()));
        changes.put(
                moved.id(),
                one -> Optional.of(one.at(
                        new Span(one.time().from().plus(by), one.time().until().plus(by)))));
        PlannedSchool changed = before.school().changing(changes);

        assertThat(before.after(changed).findings())
                .containsExactlyInAnyOrderElementsOf(
                        Inspection.of(changed, SchoolRules.EMPTY, APlan.NOW).findings());
    }

    @Property(tries = 300)
    void a_finding_that_is_mended_is_gone(@ForAll long seed) {
        Inspection before = Inspection.of(plan(new Random(seed)), SchoolRules.EMPTY, APlan.NOW);
        for (Finding finding : before.findings()) {
            finding.mend().filter(mend -> !(mend instanceof Mend.NewWord)).ifPresent(mend -> assertThat(
                            before.after(List.of(mend)).findings().stream().map(Finding::key))
                    .as("%s", finding)
                    .doesNotContain(finding.key()));
        }
    }

    @Property(tries = 100)
    void each_weak_spot_has_a_key_of_its_own(@ForAll long seed) {
        List<Finding> all = Inspection.of(plan(new Random(seed)), SchoolRules.EMPTY, APlan.NOW)
                .findings();
        assertThat(all.stream().map(Finding::key)).doesNotHaveDuplicates();
    }

    private static List<InspectedLesson> lessons(PlannedSchool school) {
        return school.days().values().stream().flatMap(List::stream).toList();
    }

    private static PlannedSchool plan(Random random) {
        var plan = new APlan();
        for (int i = 0; i < TITLES.size(); i++) {
            String shared = "pupil " + random.nextInt(3);
            plan.aClass(TITLES.get(i), ADULTS.get(i), shared);
        }
        // No two begin in the same minute, so that none is another's double.
        IntStream.range(0, 12).forEach(n -> {
            int start = 8 * 60 + 60 * random.nextInt(6) + 5 * (n % 12);
            plan.lessonOn(
                    APlan.MONDAY.plusDays(random.nextInt(3)),
                    TITLES.get(random.nextInt(TITLES.size())),
                    clock(start),
                    clock(start + 30 + 5 * random.nextInt(6)),
                    random.nextInt(4) == 0
                            ? List.of(new InspectedLesson.Cover(
                                    new PersonId("pernel"),
                                    Optional.of(new PersonId("orla")),
                                    APlan.at(APlan.MONDAY, "09:00")))
                            : List.of());
        });
        return plan.school();
    }

    private static String clock(int minutes) {
        return "%02d:%02d".formatted(minutes / 60, minutes % 60);
    }
}
