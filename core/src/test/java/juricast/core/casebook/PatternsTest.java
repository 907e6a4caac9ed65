package juricast.core.casebook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import juricast.core.casebook.CaseEvent.Origin;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.ladder.Severity;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class PatternsTest {
    private static final PersonId ZEB = new PersonId("zeb");
    private static final PersonId MIRA = new PersonId("mira");
    private static final PersonId ORLA = new PersonId("orla");
    private static final PersonId GRETA = new PersonId("greta");
    private static final Instant MONDAY = Instant.parse("2026-09-14T10:00:00Z");

    private final List<CaseFacts> all = new ArrayList<>();

    private void insult(int day, int hour, PersonId did, Set<PersonId> suffered, int proposed, int level, PersonId by) {
        Instant at = MONDAY.plus(Duration.ofDays(day)).plus(Duration.ofHours(hour - 10L));
        all.add(new CaseFacts(
                new IncidentId(all.size() + 1),
                Origin.STEP,
                "Insults",
                at,
                by.equals(ORLA) ? "Tidal Navigation 8" : "Signal Mathematics 8",
                8,
                "insult",
                Severity.MIDDLE,
                Set.of(did),
                suffered,
                List.of(new CaseFacts.Met(did, "insult", level, proposed, level >= 5, by, at))));
    }

    private List<Fairness.Step> steps() {
        return all.stream()
                .flatMap(one -> one.steps().stream()
                        .map(step -> new Fairness.Step(
                                Optional.of(one.id()),
                                new LessonId("tidal"),
                                one.ofClass(),
                                one.year(),
                                step.act(),
                                step.person(),
                                step.level(),
                                step.proposed(),
                                step.outside(),
                                step.by(),
                                step.at())))
                .toList();
    }

    private List<Pattern> found(Pattern.Kind kind) {
        return Patterns.of(all, Map.of(ORLA, 20, GRETA, 20), ZoneOffset.UTC).stream()
                .filter(one -> one.kind() == kind)
                .toList();
    }

    @Test
    void the_same_pair_hour_kind_and_a_row_of_higher_steps_are_found_across_classes() {
        insult(0, 10, ZEB, Set.of(MIRA), 2, 2, ORLA);
        insult(3, 10, ZEB, Set.of(MIRA), 3, 3, GRETA);
        insult(7, 10, ZEB, Set.of(), 4, 4, ORLA);
        insult(8, 14, MIRA, Set.of(), 2, 2, ORLA);

        assertThat(found(Pattern.Kind.SAME_PAIR)).singleElement().satisfies(one -> {
            assertThat(one.people()).containsExactly(ZEB, MIRA);
            assertThat(one.rests()).containsExactly(new IncidentId(1), new IncidentId(2));
            assertThat(one.of()).isEqualTo(3);
            assertThat(one.isFew()).as("two are said to be few").isTrue();
        });
        assertThat(found(Pattern.Kind.SAME_HOUR)).extracting(Pattern::about).containsExactly("10");
        assertThat(found(Pattern.Kind.SAME_KIND)).extracting(Pattern::about).containsExactly("insult");
        assertThat(found(Pattern.Kind.ESCALATION))
                .extracting(one -> one.rests().size())
                .containsExactly(3);
    }

    @Test
    void what_is_far_apart_or_not_higher_is_no_row() {
        insult(0, 10, ZEB, Set.of(), 2, 2, ORLA);
        insult(70, 9, ZEB, Set.of(), 3, 3, ORLA);
        insult(71, 11, ZEB, Set.of(), 3, 3, ORLA);

        assertThat(found(Pattern.Kind.ESCALATION)).isEmpty();
        assertThat(found(Pattern.Kind.SAME_HOUR)).isEmpty();
    }

    @Test
    void an_adult_whose_steps_are_above_the_proposed_and_one_who_never_acts_are_found() {
        for (int i = 0; i < 4; i++) {
            insult(i, 9 + i, new PersonId("p" + i), Set.of(), 2, 5, GRETA);
        }

        assertThat(found(Pattern.Kind.ABOVE_PROPOSED))
                .extracting(Pattern::people)
                .containsExactly(List.of(GRETA));
        assertThat(found(Pattern.Kind.NEVER_ACTS))
                .as("none in 20 lessons where others take 4 in 20 is less likely than one in twenty")
                .extracting(Pattern::people)
                .containsExactly(List.of(ORLA));
        assertThat(Patterns.of(all, Map.of(ORLA, 3, GRETA, 20), ZoneOffset.UTC))
                .as("none in three lessons says nothing")
                .noneMatch(one -> one.kind() == Pattern.Kind.NEVER_ACTS);
    }

    @Test
    void a_name_that_goes_from_door_to_door_on_two_days_is_found() {
        for (int day = 0; day < 2; day++) {
            all.add(new CaseFacts(
                    new IncidentId(day + 1),
                    Origin.SWEEP,
                    "“wolf” went from door to door",
                    MONDAY.plus(Duration.ofDays(day)),
                    "",
                    0,
                    "disguise",
                    Severity.GRAVE,
                    Set.of(),
                    Set.of(),
                    List.of()));
        }

        assertThat(found(Pattern.Kind.DOOR_TO_DOOR)).hasSize(1);
    }

    @Test
    void like_acts_that_are_met_differently_are_put_side_by_side_and_a_number_says_how_sure_it_is() {
        for (int i = 0; i < 6; i++) {
            insult(i, 10, new PersonId("a" + i), Set.of(), 2, 2, ORLA);
            insult(i, 12, new PersonId("b" + i), Set.of(), 2, 5, GRETA);
        }

        Fairness fairness = Fairness.of(steps(), Fairness.By.ADULT).get(0);
        assertThat(fairness.outside().share()).isEqualTo(0.5);
        assertThat(fairness.groups()).allMatch(Fairness.Group::isApart);
        assertThat(fairness.levels()).containsEntry(2, 6).containsEntry(5, 6);
        assertThat(fairness.unlike()).hasSize(20).allSatisfy(one -> {
            assertThat(one.mild().level()).isEqualTo(2);
            assertThat(one.hard().level()).isEqualTo(5);
        });
        assertThat(Fairness.of(steps(), Fairness.By.YEAR).get(0).groups())
                .as("what is all there is, is not apart from itself")
                .noneMatch(Fairness.Group::isApart);
    }

    @Test
    void the_interval_is_wilsons() {
        // 10 of 20 at 95 %: 0.2993 to 0.7007 (R: binom::binom.wilson(10, 20)).
        assertThat(Share.of(10, 20).low()).isCloseTo(0.2993, within(0.0005));
        assertThat(Share.of(10, 20).high()).isCloseTo(0.7007, within(0.0005));
        assertThat(Share.of(0, 5).high()).isCloseTo(0.4345, within(0.0005));
        assertThatThrownBy(() -> Share.of(3, 2)).hasMessageContaining("no share");
    }

    @Property
    void an_interval_holds_its_share_and_grows_narrower_with_more(
            @ForAll @IntRange(min = 1, max = 500) int of, @ForAll @IntRange(max = 500) int some) {
        int count = Math.min(some, of);
        Share share = Share.of(count, of);
        Share tenfold = Share.of(count * 10, of * 10);

        assertThat(share.low()).isBetween(0.0, share.share());
        assertThat(share.high()).isBetween(share.share(), 1.0);
        assertThat(tenfold.high() - tenfold.low()).isLessThan(share.high() - share.low() + 1e-9);
    }

    @Property(tries = 100)
    void whatever_is_found_rests_on_incidents_that_there_are(@ForAll long seed) {
        var random = new java.util.Random(seed);
        all.clear();
        IntStream.range(0, 40)
                .forEach(i -> insult(
                        random.nextInt(90),
                        8 + random.nextInt(6),
                        new PersonId("p" + random.nextInt(6)),
                        Set.of(new PersonId("q" + random.nextInt(4))),
                        1 + random.nextInt(4),
                        1 + random.nextInt(7),
                        random.nextBoolean() ? ORLA : GRETA));

        for (Pattern one : Patterns.of(all, Map.of(ORLA, 9, GRETA, 9), ZoneOffset.UTC)) {
            assertThat(one.rests()).doesNotHaveDuplicates().allMatch(id -> id.number() <= all.size());
            assertThat(one.of()).isGreaterThanOrEqualTo(one.rests().size());
        }
        Fairness.of(steps(), Fairness.By.CLASS).forEach(one -> assertThat(one.groups().stream()
                        .mapToInt(group -> group.outside().of())
                        .sum())
                .isEqualTo(one.outside().of()));
    }
}
