package juricast.server.classes;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;

class CalendarDaysTest {
    private static final LocalDate TODAY = LocalDate.parse("2026-09-14");

    private static CalendarDays read(String... events) {
        String text = "BEGIN:VCALENDAR\n"
                + String.join(
                        "",
                        java.util.Arrays.stream(events)
                                .map(one -> "BEGIN:VEVENT\n" + one + "\nEND:VEVENT\n")
                                .toList())
                + "END:VCALENDAR\n";
        return CalendarDays.read(text.getBytes(StandardCharsets.UTF_8), TODAY);
    }

    @Test
    void whole_days_are_read_with_their_last_and_what_comes_back_every_year_for_two_years() {
        CalendarDays read = read(
                "SUMMARY:Midwinter\nDTSTART;VALUE=DATE:20261221\nDTEND;VALUE=DATE:20270104",
                "SUMMARY:Lighthouse Day\nDTSTART;VALUE=DATE:20201112\nRRULE:FREQ=YEARLY",
                "SUMMARY:One week\nDTSTART;VALUE=DATE:20261005\nDURATION:P1W");

        assertThat(read.days())
                .extracting(one -> one.name() + " " + one.first() + " " + one.last())
                .containsExactly(
                        "Lighthouse Day 2025-11-12 2025-11-12",
                        "One week 2026-10-05 2026-10-11",
                        "Lighthouse Day 2026-11-12 2026-11-12",
                        "Midwinter 2026-12-21 2027-01-03",
                        "Lighthouse Day 2027-11-12 2027-11-12");
        assertThat(read.told())
                .extracting(CalendarDays.Told::message)
                .containsExactly("5 ended more than a year ago, and are left out.");
    }

    @Test
    void everything_that_is_no_day_is_told() {
        CalendarDays read = read(
                "SUMMARY:Lesson\nDTSTART:20261005T080000\nDURATION:PT50M",
                "SUMMARY:Off\nDTSTART;VALUE=DATE:20261005\nSTATUS:CANCELLED",
                "SUMMARY:Never\nDTSTART;VALUE=DATE:20260231");

        assertThat(read.days()).isEmpty();
        assertThat(read.told())
                .extracting(one -> one.line() + " " + one.message())
                .containsExactly(
                        "7 “Off” cannot be read as days.",
                        "12 “Never” cannot be read as days.",
                        "0 1 entries are not for whole days, and are left out.");
        assertThat(CalendarDays.read("name;x".getBytes(StandardCharsets.UTF_8), TODAY)
                        .told())
                .hasSize(1);
    }
}
