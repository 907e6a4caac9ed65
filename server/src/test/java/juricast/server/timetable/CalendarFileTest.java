package juricast.server.timetable;

import static juricast.core.exchange.TimetableReading.Problem.*;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import juricast.core.exchange.TimetableReading;
import juricast.core.exchange.TimetableReading.Fault;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CalendarFileTest {
    private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");

    private static TimetableReading read(String inside) {
        String text = "BEGIN:VCALENDAR\nVERSION:2.0\n" + inside + "END:VCALENDAR\n";
        return CalendarFile.read(text.getBytes(StandardCharsets.UTF_8), OSLO, LocalDate.parse("2027-06-19"));
    }

    private static String event(String lines) {
        return "BEGIN:VEVENT\n" + lines.strip() + "\nEND:VEVENT\n";
    }

    @Test
    void a_series_is_read_with_what_is_left_out_added_moved_and_called_off() {
        TimetableReading read = read(
                event(
                                """
                UID:a
                SUMMARY:Tidal Navigation\\, year 8
                DTSTART;TZID=Europe/Oslo:20261012T101500
                DTEND;TZID=Europe/Oslo:20261012T110500
                RRULE:FREQ=WEEKLY;COUNT=5
                EXDATE;TZID=Europe/Oslo:20261019T101500
                RDATE;TZID=Europe/Oslo:20261021T101500
                BEGIN:VALARM
                ACTION:DISPLAY
                TRIGGER:-PT10M
                DESCRIPTION:not of the lesson
                END:VALARM""")
                        + event(
                                """
                UID:a
                RECURRENCE-ID;TZID=Europe/Oslo:20261026T101500
                DTSTART:20261026T100000Z
                DTEND:20261026T103000Z
                SUMMARY:moved""")
                        + event(
                                """
                UID:a
                RECURRENCE-ID:20261102T091500Z
                STATUS:CANCELLED"""));

        assertThat(read.faults()).isEmpty();
        TimetableReading.Entry entry = read.entries().get(0);
        assertThat(entry.title()).isEqualTo("Tidal Navigation, year 8");
        assertThat(entry.line()).isEqualTo(3);
        assertThat(entry.lessons())
                .extracting(one -> one.time().from().toString(), TimetableReading.Lesson::cancelled)
                .as("ten past ten stays ten past ten when the clocks go back on 25 October")
                .containsExactly(
                        tuple("2026-10-12T08:15:00Z", false),
                        tuple("2026-10-21T08:15:00Z", false),
                        tuple("2026-10-26T10:00:00Z", false),
                        tuple("2026-11-02T09:15:00Z", true),
                        tuple("2026-11-09T09:15:00Z", false));
        assertThat(entry.lessons().get(2).time().length()).isEqualTo(Duration.ofMinutes(30));
    }

    @Test
    void a_rule_without_an_end_stops_with_the_school_year() {
        var lessons = read(event(
                        """
                UID:a
                SUMMARY:Weather Lab
                DTSTART:20260901T080000
                DURATION:PT45M
                RRULE:FREQ=WEEKLY"""))
                .entries()
                .get(0)
                .lessons();
        assertThat(lessons).hasSize(42);
        assertThat(lessons.get(41).slot().toLocalDate()).isEqualTo("2027-06-15");
    }

    @ParameterizedTest
    @CsvSource({
        "Europe/Oslo, 08:15",
        "Time of the north, 08:15",
        "/some.program/20070129_1/Asia/Tokyo, 01:15",
        "Ship time, 12:15",
        "The islands, 08:15",
    })
    void zones_of_other_programs_are_found_out(String id, String utc) {
        TimetableReading read = read(
                """
                BEGIN:VTIMEZONE
                TZID:Ship time
                BEGIN:STANDARD
                TZOFFSETFROM:-0200
                TZOFFSETTO:-0200
                END:STANDARD
                END:VTIMEZONE
                BEGIN:VTIMEZONE
                TZID:Time of the north
                BEGIN:STANDARD
                TZOFFSETFROM:+0200
                TZOFFSETTO:+0100
                END:STANDARD
                BEGIN:DAYLIGHT
                TZOFFSETFROM:+0100
                TZOFFSETTO:+0200
                END:DAYLIGHT
                END:VTIMEZONE
                BEGIN:VTIMEZONE
                TZID:The islands
                X-LIC-LOCATION:Europe/Oslo
                END:VTIMEZONE
                """
                        + event("UID:a\nSUMMARY:x\nDTSTART;TZID=\"" + id + "\":20261012T101500\nDURATION:PT50M"));
        assertThat(read.faults()).isEmpty();
        assertThat(read.entries().get(0).lessons().get(0).time().from())
                .isEqualTo(Instant.parse("2026-10-12T" + utc + ":00Z"));
    }

    @Test
    void each_thing_that_is_not_taken_is_told_with_its_line_and_the_rest_is_taken() {
        String good = event("UID:good\nSUMMARY:Harbour Law\nDTSTART:20261012T080000Z\nDURATION:PT50M");
        TimetableReading read = read(event("UID:1\nSUMMARY:Staff day\nDTSTART;VALUE=DATE:20261012")
                + event("UID:2\nSUMMARY:x\nDTSTART;TZID=Middle of nowhere:20261012T080000\nDURATION:PT50M")
                + event("UID:3\nSUMMARY:x\nDTSTART:20261012T080000Z\nDURATION:PT50M\nRRULE:FREQ=HOURLY")
                + event("UID:4\nSUMMARY:x\nDTSTART:20261332T080000Z\nDURATION:PT50M")
                + event("UID:5\nSUMMARY:x\nDTSTART:20261012T080000Z\nDTEND:20261012T070000Z")
                + event("SUMMARY:without a name\nDTSTART:20261012T080000Z\nDURATION:PT50M")
                + event("UID:6\nSUMMARY:x\nthis is no line of a calendar\nDTSTART:20261012T080000Z")
                + event("UID:good\nSUMMARY:Twice\nDTSTART:20261013T080000Z\nDURATION:PT50M\nSEQUENCE:0")
                + event("UID:7\nRECURRENCE-ID:20261012T080000Z\nSUMMARY:of nothing")
                + event("UID:8\nSUMMARY:x\nDTSTART:20251012T080000Z\nDURATION:PT50M\nRRULE:FREQ=DAILY;COUNT=900")
                + event("UID:9\nSUMMARY:x\nDURATION:PT50M")
                + "BEGIN:VEVENT\nUID:open\n" + good);

        assertThat(read.entries()).extracting(TimetableReading.Entry::title).containsExactly("Twice");
        assertThat(read.faults())
                .extracting(Fault::problem)
                .containsExactlyInAnyOrder(
                        ALL_DAY,
                        UNKNOWN_ZONE,
                        RULE_NOT_UNDERSTOOD,
                        NOT_A_TIME,
                        NOT_A_LENGTH,
                        NO_UID,
                        BROKEN_LINE,
                        SAME_UID_TWICE,
                        CHANGES_NOTHING_KNOWN,
                        TOO_MANY_OF_ONE_SERIES,
                        NO_START,
                        NOT_ENDED);
        assertThat(read.faults()).extracting(Fault::line).isSorted().contains(3, 8);
    }

    @Test
    void what_is_no_calendar_and_an_empty_one_are_told() {
        assertThat(CalendarFile.read("name;year\n".getBytes(StandardCharsets.UTF_8), OSLO, LocalDate.MAX)
                        .faults())
                .extracting(Fault::problem)
                .containsExactly(NOT_A_CALENDAR);
        assertThat(read("").faults()).extracting(Fault::problem).containsExactly(NO_ENTRIES);
    }

    @Test
    void a_flood_of_events_is_bounded_and_told() {
        var text = new StringBuilder();
        for (int i = 0; i < 20_100; i++) {
            text.append(event("UID:" + i + "\nSUMMARY:Class " + i % 40
                    + "\nDTSTART:20260901T080000Z\nDURATION:PT50M\nRRULE:FREQ=WEEKLY"));
        }
        TimetableReading read = read(text.toString());
        assertThat(read.faults()).extracting(Fault::problem).containsOnlyOnce(TOO_MANY_ENTRIES, TOO_MANY_LESSONS);
        assertThat(read.entries().stream().mapToInt(one -> one.lessons().size()).sum())
                .isLessThanOrEqualTo(TimetableReading.MOST_LESSONS);
    }
}
