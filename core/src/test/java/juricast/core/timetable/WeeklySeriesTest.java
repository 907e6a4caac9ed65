package juricast.core.timetable;

import static java.time.DayOfWeek.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Set;
import juricast.core.timetable.WeeklySeries.Fault;
import org.junit.jupiter.api.Test;

class WeeklySeriesTest {
    private static final ZoneId ZONE = ZoneId.of("Europe/Paris");

    @Test
    void the_clock_change_does_not_move_a_lesson() {
        var series = series("2026-10-19", "2026-11-01", Set.of(MONDAY, FRIDAY), 50);

        assertThat(series.lessons())
                .extracting(
                        lesson -> lesson.from().atZone(ZONE).toLocalDateTime().toString())
                .containsExactly("2026-10-19T10:00", "2026-10-23T10:00", "2026-10-26T10:00", "2026-10-30T10:00");
        assertThat(series.lessons())
                .allSatisfy(lesson -> assertThat(lesson.length().toMinutes()).isEqualTo(50));
    }

    @Test
    void first_and_last_day_both_count() {
        assertThat(series("2026-10-19", "2026-10-26", Set.of(MONDAY), 50).lessons())
                .hasSize(2);
    }

    @Test
    void what_cannot_be_a_series_says_why() {
        assertThat(series("2026-10-19", "2026-10-18", Set.of(MONDAY), 50).faults())
                .containsExactly(Fault.ENDS_BEFORE_IT_BEGINS);
        assertThat(series("2026-10-19", "2026-10-30", Set.of(), 50).faults()).containsExactly(Fault.NO_DAYS);
        assertThat(series("2026-10-19", "2026-10-30", Set.of(MONDAY), 4).faults())
                .containsExactly(Fault.LENGTH_OUT_OF_RANGE);
        assertThat(series("2026-10-20", "2026-10-22", Set.of(MONDAY), 50).faults())
                .containsExactly(Fault.NO_LESSON_IN_THAT_TIME);
        assertThat(series("2026-10-20", "9999-10-22", Set.of(MONDAY), 50).faults())
                .containsExactly(Fault.TOO_MANY_LESSONS);
    }

    private static WeeklySeries series(String first, String until, Set<DayOfWeek> days, int length) {
        return new WeeklySeries(
                LocalDate.parse(first), LocalDate.parse(until), days, LocalTime.of(10, 0), length, ZONE);
    }
}
