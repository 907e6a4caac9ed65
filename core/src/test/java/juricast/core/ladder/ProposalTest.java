package juricast.core.ladder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import juricast.core.rules.Fact;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class ProposalTest {
    private static final Instant NOW = Instant.parse("2026-09-14T10:00:00Z");
    private static final Ladder LADDER = Ladder.USUAL;
    private static final ActKind INSULT = LADDER.act("insult").orElseThrow();

    private static Earlier earlier(String act, String step, int daysAgo) {
        Step taken = LADDER.step(step).orElseThrow();
        return new Earlier(
                act, step, taken.name(), LADDER.level(step), taken.counts(), NOW.minus(Duration.ofDays(daysAgo)));
    }

    private static Proposal of(List<Earlier> past, Earlier... today) {
        return Proposal.of(LADDER, INSULT, new Past(past, 2), List.of(today), Set.of(), NOW);
    }

    @Test
    void a_first_act_stands_where_the_ladder_puts_its_kind() {
        assertThat(of(List.of()).step().id()).isEqualTo("reminder");
        assertThat(of(List.of()).quiet()).isEqualTo(2);
    }

    @Test
    void an_earlier_act_counts_half_after_the_half_life_of_its_step() {
        assertThat(earlier("insult", "curb", 25).left(NOW)).isCloseTo(0.5, within(1e-9));
        assertThat(of(List.of(earlier("insult", "curb", 12))).sum()).isCloseTo(0.717, within(0.001));
        assertThat(of(List.of(earlier("insult", "curb", 12))).step().id()).isEqualTo("curb");
        assertThat(of(List.of(earlier("insult", "curb", 26))).step().id()).isEqualTo("reminder");
    }

    @Test
    void another_kind_of_act_counts_half_and_what_has_faded_is_not_told() {
        assertThat(of(List.of(earlier("noise", "word", 0))).sum()).isEqualTo(0.5);
        assertThat(of(List.of(earlier("insult", "word", 200))).rests()).isEmpty();
    }

    @Test
    void a_heavier_situation_is_one_step_more() {
        Proposal proposal =
                Proposal.of(LADDER, INSULT, Past.NOTHING, List.of(), Set.of(Fact.VISITOR_PRESENT, Fact.RECORDING), NOW);

        assertThat(proposal.step().id()).isEqualTo("curb");
        assertThat(proposal.situation()).containsExactly(Fact.VISITOR_PRESENT);
    }

    @Test
    void it_never_falls_below_a_step_of_this_lesson_and_says_that_it_is_not_quiet_any_more() {
        Proposal proposal = of(List.of(), earlier("noise", "door", 0));

        assertThat(proposal.level()).isEqualTo(4);
        assertThat(proposal.quiet()).isZero();
    }

    @Test
    void a_chosen_step_is_said_to_be_too_low_or_too_high() {
        Proposal proposal = of(List.of());

        assertThat(proposal.fit(LADDER.step("word").orElseThrow())).isEqualTo(Proposal.Fit.TOO_LOW);
        assertThat(proposal.fit(LADDER.step("reminder").orElseThrow())).isEqualTo(Proposal.Fit.AS_PROPOSED);
        assertThat(proposal.fit(LADDER.step("out").orElseThrow())).isEqualTo(Proposal.Fit.TOO_HIGH);
    }

    @Test
    void a_year_has_steps_that_count_otherwise_and_kinds_that_stand_elsewhere() {
        Ladder year = LADDER.refined(new YearsOwn(
                Map.of("word", new YearsOwn.StepsOwn(Duration.ofDays(7), true)), Map.of("insult", 99, "gone", 1)));

        assertThat(year.step("word").orElseThrow().counts()).isEqualTo(Duration.ofDays(7));
        assertThat(year.step("word").orElseThrow().parents()).isTrue();
        assertThat(year.act("insult").orElseThrow().from()).isEqualTo(7);
        assertThat(year.act("noise")).isEqualTo(LADDER.act("noise"));
    }

    @Test
    void a_ladder_that_cannot_be_is_refused() {
        List<Step> steps = LADDER.steps();
        List<ActKind> acts = LADDER.acts();
        var twice = new ArrayList<>(steps);
        twice.add(steps.get(0));

        assertThatThrownBy(() -> new Ladder(List.of(), acts, Set.of())).hasMessageContaining("1 to 12 steps");
        assertThatThrownBy(() -> new Ladder(twice, acts, Set.of())).hasMessageContaining("one name");
        assertThatThrownBy(() -> new Ladder(steps.subList(0, 2), acts, Set.of()))
                .hasMessageContaining("of 2");
        assertThatThrownBy(() -> new Ladder(steps, acts.subList(0, 1), Set.of()))
                .hasMessageContaining("all else");
        assertThatThrownBy(() -> steps.get(0).with(Duration.ofHours(1), false)).hasMessageContaining("a day to two");
    }

    @Property
    void a_new_act_never_lowers_what_is_proposed(
            @ForAll("pasts") List<Earlier> past, @ForAll("steps") Earlier more, @ForAll("kinds") ActKind kind) {
        var with = new ArrayList<>(past);
        with.add(new Earlier(more.act(), more.step(), more.name(), more.level(), more.counts(), NOW));

        assertThat(level(with, kind, 0)).isGreaterThanOrEqualTo(level(past, kind, 0));
    }

    @Property
    void time_alone_never_raises_it_and_at_last_it_is_what_the_kind_stands_at(
            @ForAll("pasts") List<Earlier> past,
            @ForAll("kinds") ActKind kind,
            @ForAll @IntRange(max = 400) int days,
            @ForAll @IntRange(max = 400) int more) {
        assertThat(level(past, kind, days + more)).isLessThanOrEqualTo(level(past, kind, days));
        assertThat(level(past, kind, 20_000)).isEqualTo(kind.from());
    }

    private static int level(List<Earlier> past, ActKind kind, int days) {
        return Proposal.of(LADDER, kind, new Past(past, 0), List.of(), Set.of(), NOW.plus(Duration.ofDays(days)))
                .level();
    }

    @Provide
    Arbitrary<ActKind> kinds() {
        return Arbitraries.of(LADDER.acts());
    }

    @Provide
    Arbitrary<Earlier> steps() {
        return Combinators.combine(
                        kinds(),
                        Arbitraries.of(LADDER.steps()),
                        Arbitraries.integers().between(0, 300))
                .as((kind, step, days) -> earlier(kind.id(), step.id(), days));
    }

    @Provide
    Arbitrary<List<Earlier>> pasts() {
        return steps().list().ofMaxSize(12);
    }
}
