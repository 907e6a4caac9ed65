package juricast.core.rules;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import juricast.core.time.Span;
import org.junit.jupiter.api.Test;

class ConditionTest {
    private static final Instant TEN = Instant.parse("2026-09-14T10:00:00Z");
    private static final Span LESSON = new Span(TEN, TEN.plus(Duration.ofMinutes(50)));
    private static final Situation IN_LESSON = Situation.ORDINARY.at(LESSON);

    @Test
    void the_first_minutes_begin_with_the_planned_time_and_end_just_before_they_are_over() {
        var condition = Condition.of(new Circumstance.FirstMinutes(10));

        assertThat(condition.holds(IN_LESSON, TEN.minusMillis(1)))
                .as("early birds")
                .isFalse();
        assertThat(condition.holds(IN_LESSON, TEN)).isTrue();
        assertThat(condition.holds(IN_LESSON, TEN.plusSeconds(10 * 60).minusMillis(1)))
                .isTrue();
        assertThat(condition.holds(IN_LESSON, TEN.plusSeconds(10 * 60))).isFalse();
    }

    @Test
    void the_last_minutes_go_on_while_a_lesson_is_overrun() {
        var condition = Condition.of(new Circumstance.LastMinutes(5));

        assertThat(condition.holds(IN_LESSON, TEN.plusSeconds(45 * 60).minusMillis(1)))
                .isFalse();
        assertThat(condition.holds(IN_LESSON, TEN.plusSeconds(45 * 60))).isTrue();
        assertThat(condition.holds(IN_LESSON, TEN.plusSeconds(55 * 60))).isTrue();
    }

    @Test
    void outside_a_lesson_there_are_neither_first_nor_last_minutes() {
        assertThat(Condition.of(new Circumstance.FirstMinutes(10)).holds(Situation.ORDINARY, TEN))
                .isFalse();
        assertThat(Condition.of(new Circumstance.LastMinutes(120)).holds(Situation.ORDINARY, TEN))
                .isFalse();
    }

    @Test
    void all_circumstances_must_hold_together() {
        var condition = Condition.of(
                new Circumstance.Is(Fact.VISITOR_PRESENT, true),
                new Circumstance.Is(Fact.RECORDING, false),
                new Circumstance.AtLeast(10));

        var visited = IN_LESSON.with(Fact.VISITOR_PRESENT, true).withPresent(10);
        assertThat(condition.holds(visited, TEN)).isTrue();
        assertThat(condition.holds(visited.withPresent(9), TEN)).isFalse();
        assertThat(condition.holds(visited.with(Fact.RECORDING, true), TEN)).isFalse();
        assertThat(condition.holds(visited.with(Fact.VISITOR_PRESENT, false), TEN))
                .isFalse();
    }

    @Test
    void year_groups_and_numbers_hold_on_their_own_side_of_the_edge() {
        var younger = Condition.of(new Circumstance.Years(List.of(8, 7)));
        assertThat(younger.holds(IN_LESSON.ofYear(7), TEN)).isTrue();
        assertThat(younger.holds(IN_LESSON.ofYear(9), TEN)).isFalse();
        assertThat(younger.holds(IN_LESSON, TEN)).as("a class of no year group").isFalse();
        assertThat(younger.text()).isEqualTo("years 7,8");

        var few = Condition.of(new Circumstance.AtMost(5));
        assertThat(few.holds(IN_LESSON.withPresent(5), TEN)).isTrue();
        assertThat(few.holds(IN_LESSON.withPresent(6), TEN)).isFalse();
    }

    @Test
    void conditions_that_mean_the_same_are_equal_however_they_are_written() {
        assertThat(Condition.parse("recording & visitor-present"))
                .isEqualTo(Condition.parse("visitor-present & recording & recording"));
        assertThat(Condition.parse("")).contains(Condition.ALWAYS);
        assertThat(Condition.parse("not adult-present").orElseThrow().all())
                .containsExactly(new Circumstance.Is(Fact.ADULT_PRESENT, false));
    }

    @Test
    void what_is_out_of_range_or_unknown_is_no_condition() {
        assertThat(Condition.parse("first-minutes 0")).isEmpty();
        assertThat(Condition.parse("first-minutes 121")).isEmpty();
        assertThat(Condition.parse("first-minutes 5,6")).isEmpty();
        assertThat(Condition.parse("years 14")).isEmpty();
        assertThat(Condition.parse("years ")).isEmpty();
        assertThat(Condition.parse("at-least 301")).isEmpty();
        assertThat(Condition.parse("full-moon")).isEmpty();
        assertThat(Condition.parse("recording & & in-groups")).isEmpty();
        assertThat(Condition.parse(
                        "recording & in-groups & visitor-present & adult-present & school-account & at-least 3"))
                .as("more than five")
                .isEmpty();
        assertThatThrownBy(() -> new Circumstance.Years(List.of())).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void a_situation_is_changed_in_one_thing_and_no_other() {
        var visited = IN_LESSON.ofYear(8).withPresent(20).with(Fact.VISITOR_PRESENT, true);

        assertThat(visited.facts())
                .containsExactlyInAnyOrder(Fact.VISITOR_PRESENT, Fact.ADULT_PRESENT, Fact.SCHOOL_ACCOUNT);
        assertThat(visited.with(Fact.VISITOR_PRESENT, false))
                .isEqualTo(IN_LESSON.ofYear(8).withPresent(20));
        assertThat(visited.with(Fact.VISITOR_PRESENT, true)).isSameAs(visited);
        assertThat(new Situation(visited.facts(), 8, 20, visited.lesson()))
                .isEqualTo(visited)
                .hasSameHashCodeAs(visited);
        assertThat(visited).isNotEqualTo(visited.ofYear(9));
    }
}
