package juricast.core.day;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.day.WorkingDay.Ahead;
import juricast.core.day.WorkingDay.Nearness;
import juricast.core.identity.LessonId;
import juricast.core.time.Span;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class WorkingDayTest {
    private static final Instant NINE = Instant.parse("2026-11-30T09:00:00Z");

    @Test
    void who_is_at_the_door_comes_before_what_can_wait_and_what_waits_for_nobody_is_not_told() {
        WorkingDay day = WorkingDay.of(List.of(
                new Waiting(Duty.REGISTER, 4),
                new Waiting(Duty.UPKEEP, 0),
                new Waiting(Duty.KNOCK, 1),
                new Waiting(Duty.FOLLOW_UP, 2),
                new Waiting(Duty.KNOCK, 2)));
        assertThat(day.waiting())
                .containsExactly(
                        new Waiting(Duty.KNOCK, 3), new Waiting(Duty.FOLLOW_UP, 2), new Waiting(Duty.REGISTER, 4));
        assertThat(day.in(Chapter.AFTERWARDS)).isEqualTo(6);
        assertThat(day.in(Chapter.SCHOOL)).isZero();
        assertThatThrownBy(() -> new Waiting(Duty.DRAFT, -1)).isInstanceOf(IllegalArgumentException.class);
    }

    @Property
    void nothing_that_waits_is_lost_between_the_parts_of_the_day(
            @ForAll @Size(max = 12) List<@IntRange(max = 9) Integer> counts, @ForAll Duty first) {
        List<Waiting> known = java.util.stream.IntStream.range(0, counts.size())
                .mapToObj(n -> new Waiting(Duty.values()[(first.ordinal() + n) % Duty.values().length], counts.get(n)))
                .toList();
        WorkingDay day = WorkingDay.of(known);
        assertThat(List.of(Chapter.values()).stream().mapToInt(day::in).sum())
                .isEqualTo(counts.stream().mapToInt(Integer::intValue).sum());
        assertThat(day.waiting()).isSortedAccordingTo(java.util.Comparator.comparing(Waiting::duty));
    }

    @Test
    void a_lesson_that_runs_comes_first_then_one_that_should_and_then_the_earliest() {
        Ahead later = ahead("later", 240, false, false);
        Ahead soon = ahead("soon", 20, false, false);
        Ahead missed = ahead("missed", -10, false, false);
        Ahead live = ahead("live", -30, true, false);
        Ahead over = ahead("over", -50, false, true);
        assertThat(WorkingDay.next(List.of(later, soon, missed, live, over), NINE))
                .contains(live);
        assertThat(WorkingDay.next(List.of(later, soon, missed, over), NINE)).contains(missed);
        assertThat(WorkingDay.next(List.of(later, soon, over), NINE)).contains(soon);
        assertThat(WorkingDay.next(List.of(over), NINE)).isEmpty();
    }

    @Test
    void one_gets_ready_from_half_an_hour_before_and_what_nobody_opened_in_its_time_is_past() {
        assertThat(ahead("a", 30, false, false).nearness(NINE)).contains(Nearness.SOON);
        assertThat(ahead("a", 31, false, false).nearness(NINE)).contains(Nearness.LATER);
        assertThat(ahead("a", 0, false, false).nearness(NINE)).contains(Nearness.SHOULD_RUN);
        assertThat(ahead("a", -50, false, false).nearness(NINE)).isEmpty();
        assertThat(ahead("a", -90, true, false).nearness(NINE))
                .as("over time, and still open")
                .isEqualTo(Optional.of(Nearness.LIVE));
    }

    private static Ahead ahead(String id, int inMinutes, boolean isOpen, boolean isOver) {
        Instant from = NINE.plus(Duration.ofMinutes(inMinutes));
        return new Ahead(new LessonId(id), new Span(from, from.plus(Duration.ofMinutes(50))), isOpen, isOver);
    }
}
