package juricast.core.timetable;

import static java.time.DayOfWeek.FRIDAY;
import static java.time.DayOfWeek.MONDAY;
import static java.time.DayOfWeek.WEDNESDAY;
import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import juricast.core.timetable.Series.Fault;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SeriesTest {
    private static final ZoneId ZONE = ZoneId.of("Europe/Paris");
    private static final LocalDate YEAR_ENDS = LocalDate.parse("2027-08-01");

    @Test
    void the_clock_change_does_not_move_a_lesson() {
        var series = series("2026-10-19T10:00", "FREQ=WEEKLY;BYDAY=MO,FR;UNTIL=20261101T000000");
        assertThat(series.lessons(YEAR_ENDS))
                .extracting(
                        one -> one.time().from().atZone(ZONE).toLocalDateTime().toString())
                .containsExactly("2026-10-19T10:00", "2026-10-23T10:00", "2026-10-26T10:00", "2026-10-30T10:00");
        assertThat(series.lessons(YEAR_ENDS))
                .allSatisfy(one -> assertThat(one.time().length().toMinutes()).isEqualTo(50));
    }

    @Test
    void a_start_that_the_clock_change_leaves_out_is_held_an_hour_later() {
        assertThat(series("2027-03-27T02:30", "FREQ=DAILY;COUNT=3").lessons(YEAR_ENDS))
                .extracting(one -> one.time().from().atZone(ZONE).toLocalTime().toString())
                .containsExactly("02:30", "03:30", "02:30");
    }

    @ParameterizedTest
    @ValueSource(strings = {"FREQ=DAILY;INTERVAL=2147483647", "FREQ=YEARLY;INTERVAL=2147483647;BYMONTH=9"})
    void an_interval_that_no_school_has_is_refused(String rule) {
        assertThat(Recurrence.parse(rule, ZONE.getRules())).isEmpty();
    }

    /** What files from elsewhere may hold is done with at once; the first lesson always counts. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "FREQ=WEEKLY;BYDAY=MO;BYSETPOS=2",
                "FREQ=MONTHLY;BYMONTHDAY=31;BYMONTH=2",
                "FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30"
            })
    void a_recurrence_that_never_comes_ends_at_once(String rule) {
        assertTimeoutPreemptively(Duration.ofSeconds(20), () -> assertThat(
                        series("2026-09-07T10:00", rule).lessons(YEAR_ENDS))
                .hasSizeLessThanOrEqualTo(1));
    }

    @Test
    void first_and_last_day_both_count() {
        assertThat(weekly("2026-10-19", "2026-10-26").lessons(YEAR_ENDS)).hasSize(2);
        assertThat(weekly("2026-10-19", "2026-10-25").lessons(YEAR_ENDS)).hasSize(1);
    }

    @Test
    void days_left_out_and_lessons_added_belong_to_the_series_by_their_slot() {
        var series = new Series(
                at("2026-09-07T09:00"),
                50,
                ZONE,
                Recurrence.parse("FREQ=WEEKLY;COUNT=4", ZONE.getRules()),
                Set.of(at("2026-09-18T14:00")),
                Set.of(LocalDate.parse("2026-09-14")));
        assertThat(series.lessons(YEAR_ENDS))
                .extracting(one -> one.slot().toString())
                .containsExactly("2026-09-07T09:00", "2026-09-18T14:00", "2026-09-21T09:00", "2026-09-28T09:00");
    }

    @Test
    void every_second_week_counts_from_the_week_of_the_first() {
        var series = new Series(
                at("2026-09-09T09:00"),
                50,
                ZONE,
                Optional.of(Recurrence.weekly(List.of(WEDNESDAY, MONDAY), 2, LocalDate.parse("2026-09-30"))),
                Set.of(),
                Set.of());
        assertThat(series.lessons(YEAR_ENDS))
                .extracting(one -> one.slot().toLocalDate().toString())
                .containsExactly("2026-09-09", "2026-09-21", "2026-09-23");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            FREQ=MONTHLY;BYDAY=-1FR;COUNT=3                | 2026-09-25 2026-10-30 2026-11-27
            FREQ=MONTHLY;BYMONTHDAY=31;COUNT=3             | 2026-09-25 2026-10-31 2026-12-31
            FREQ=MONTHLY;BYDAY=MO,WE,FR;BYSETPOS=2;COUNT=3 | 2026-09-25 2026-10-05 2026-11-04
            FREQ=YEARLY;BYMONTH=10;BYDAY=1MO;COUNT=2       | 2026-09-25 2026-10-05
            FREQ=DAILY;INTERVAL=10;UNTIL=20261010          | 2026-09-25 2026-10-05
            FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30            | 2026-09-25""")
    void rules_of_calendars_in_use_are_understood(String rule, String dates) {
        var series = series("2026-09-25T09:00", rule);
        assertThat(series.lessons(YEAR_ENDS).stream()
                        .map(one -> one.slot().toLocalDate().toString())
                        .toList())
                .containsExactly(dates.split(" "));
    }

    @Test
    void an_end_in_universal_time_is_the_same_moment_at_the_school() {
        var rule = Recurrence.parse("RRULE:FREQ=DAILY;UNTIL=20260910T220000Z", ZONE.getRules())
                .orElseThrow();
        assertThat(rule.text()).isEqualTo("FREQ=DAILY;UNTIL=20260911T000000");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "FREQ=FORTNIGHTLY",
                "FREQ=HOURLY",
                "FREQ=DAILY;BYHOUR=9,10",
                "FREQ=DAILY;COUNT=0",
                "FREQ=DAILY;INTERVAL=-1",
                "FREQ=WEEKLY;BYDAY=XX",
                "FREQ=DAILY;UNTIL=20269999T000000Z",
                "COUNT=3",
                "FREQ=DAILY;UNTIL=nonsense"
            })
    void what_is_no_rule_of_days_is_not_taken_for_one(String text) {
        assertThat(Recurrence.parse(text, ZONE.getRules())).isEmpty();
    }

    @Test
    void what_cannot_be_a_series_says_why() {
        var tooLong = new Series(at("2026-09-07T09:00"), 301, ZONE, Optional.empty(), Set.of(), Set.of());
        assertThat(tooLong.faults(YEAR_ENDS)).containsExactly(Fault.LENGTH_OUT_OF_RANGE);
        assertThat(series("2026-09-07T09:00", "FREQ=DAILY;COUNT=500").faults(LocalDate.parse("9999-01-01")))
                .containsExactly(Fault.TOO_MANY_LESSONS);
        assertThat(series("2027-09-07T09:00", "FREQ=DAILY;COUNT=5").faults(YEAR_ENDS))
                .containsExactly(Fault.NO_LESSON_IN_THAT_TIME);
    }

    @Test
    void a_school_day_is_in_term_outside_holidays_and_within_hours() {
        var term = new SchoolCalendar.Days("Autumn", LocalDate.parse("2026-09-01"), LocalDate.parse("2026-12-18"));
        var week = new SchoolCalendar.Days("Gale week", LocalDate.parse("2026-10-19"), LocalDate.parse("2026-10-23"));
        var calendar = new SchoolCalendar(
                List.of(term),
                List.of(week),
                Set.of(MONDAY, FRIDAY),
                java.time.LocalTime.of(8, 0),
                java.time.LocalTime.of(16, 0));
        assertThat(calendar.isOutOfTerm(LocalDate.parse("2026-12-18"))).isFalse();
        assertThat(calendar.isOutOfTerm(LocalDate.parse("2026-12-19"))).isTrue();
        assertThat(calendar.holidayOn(LocalDate.parse("2026-10-23"))).contains(week);
        assertThat(calendar.holidayOn(LocalDate.parse("2026-10-24"))).isEmpty();
        assertThat(calendar.keepsHours(at("2026-09-07T08:00"), at("2026-09-07T16:00")))
                .isTrue();
        assertThat(calendar.keepsHours(at("2026-09-07T07:59"), at("2026-09-07T09:00")))
                .isFalse();
        assertThat(calendar.keepsHours(at("2026-09-07T15:30"), at("2026-09-07T16:01")))
                .isFalse();
        assertThat(calendar.isSchoolDay(WEDNESDAY)).isFalse();
        assertThat(calendar.end()).contains(LocalDate.parse("2026-12-19"));
    }

    private static Series weekly(String first, String until) {
        return new Series(
                at(first + "T10:00"),
                50,
                ZONE,
                Optional.of(Recurrence.weekly(Set.of(MONDAY), 1, LocalDate.parse(until))),
                Set.of(),
                Set.of());
    }

    private static Series series(String first, String rule) {
        return new Series(
                at(first),
                50,
                ZONE,
                Optional.of(Recurrence.parse(rule, ZONE.getRules()).orElseThrow()),
                Set.of(),
                Set.of());
    }

    private static LocalDateTime at(String local) {
        return LocalDateTime.parse(local);
    }
}
