package juricast.server.timetable;

import static juricast.core.exchange.TimetableReading.Problem.*;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import juricast.core.exchange.TimetableReading;
import juricast.core.exchange.TimetableReading.Fault;
import juricast.core.exchange.TimetableReading.Problem;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CalendarFileTest {
    private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");

    private static final LocalDate YEAR = LocalDate.parse("2027-06-19");

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

        assertThat(read.faults())
                .extracting(Fault::problem, Fault::quote)
                .containsExactlyInAnyOrder(tuple(OTHER_TITLE, "moved"), tuple(NOT_READ, "VALARM (1)"));
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
                + event("UID:good\nRECURRENCE-ID:20261020T080000Z\nSUMMARY:of nothing")
                + event("UID:8\nSUMMARY:x\nDTSTART:20251012T080000Z\nDURATION:PT50M\nRRULE:FREQ=DAILY;COUNT=900")
                + event("UID:9\nSUMMARY:x\nDURATION:PT50M")
                + "BEGIN:VEVENT\nUID:open\n" + good);

        assertThat(read.entries())
                .extracting(TimetableReading.Entry::title)
                .as("of two of one name the one that stands later")
                .containsExactly("Harbour Law");
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

    private static List<String> starts(TimetableReading read) {
        return read.entries().stream()
                .flatMap(entry -> entry.lessons().stream())
                .map(one -> one.time().from() + (one.cancelled() ? " off" : ""))
                .toList();
    }

    private static List<Problem> told(TimetableReading read) {
        return read.faults().stream().map(Fault::problem).toList();
    }

    @Test
    void a_rule_is_worked_out_in_utc_where_its_start_is_and_not_on_the_day_before() {
        var honolulu = ZoneId.of("Pacific/Honolulu");
        String text = "BEGIN:VCALENDAR\n"
                + event(
                        "UID:a\nSUMMARY:x\nDTSTART:20260901T050000Z\nDURATION:PT50M\nRRULE:FREQ=WEEKLY;BYDAY=TU;COUNT=2")
                + "END:VCALENDAR\n";
        TimetableReading read = CalendarFile.read(text.getBytes(StandardCharsets.UTF_8), honolulu, YEAR);

        assertThat(starts(read)).containsExactly("2026-09-01T05:00:00Z", "2026-09-08T05:00:00Z");
        assertThat(read.entries().get(0).lessons().get(0).slot()).isEqualTo("2026-08-31T19:00");
    }

    @Test
    void one_change_is_for_all_lessons_after_it_and_a_later_one_for_a_single_one_of_them() {
        TimetableReading read = read(event(
                        "UID:a\nSUMMARY:x\nDTSTART:20260907T080000\nDURATION:PT50M\nRRULE:FREQ=WEEKLY;COUNT=4\nSEQUENCE:1")
                + event(
                        "UID:a\nRECURRENCE-ID;RANGE=THISANDFUTURE:20260914T080000\nDTSTART:20260915T090000\nDURATION:PT30M")
                + event("UID:a\nRECURRENCE-ID:20260921T080000\nDTSTART:20260921T100000\nSEQUENCE:1")
                + event("UID:a\nRECURRENCE-ID:20260921T080000\nDTSTART:20260921T110000\nSEQUENCE:2"));

        assertThat(starts(read))
                .containsExactly(
                        "2026-09-07T06:00:00Z", "2026-09-15T07:00:00Z", "2026-09-21T09:00:00Z", "2026-09-29T07:00:00Z");
        assertThat(read.entries().get(0).lessons())
                .extracting(one -> one.time().length().toMinutes())
                .containsExactly(50L, 30L, 30L, 30L);
        assertThat(told(read)).containsExactly(CHANGED_TWICE);
    }

    @Test
    void what_is_left_out_is_one_time_or_one_day_and_a_period_has_a_length_of_its_own() {
        TimetableReading read = read(
                event(
                        """
                UID:a
                SUMMARY:x
                DTSTART:20260907T080000
                DURATION:PT50M
                RRULE:FREQ=DAILY;COUNT=5
                EXRULE:FREQ=DAILY;INTERVAL=4;COUNT=2
                RDATE;VALUE=PERIOD:20260908T140000/PT90M,20260912T080000/20260912T083000
                EXDATE:20260908T080000,20260910T090000
                EXDATE;VALUE=DATE:20260909"""));

        assertThat(read.entries().get(0).lessons())
                .extracting(one -> one.slot() + " " + one.time().length().toMinutes())
                .containsExactly("2026-09-08T14:00 90", "2026-09-10T08:00 50", "2026-09-12T08:00 30");
        assertThat(read.faults()).extracting(Fault::quote).containsExactly("20260910T090000");
    }

    @Test
    void what_lies_after_the_year_is_told_and_never_only_gone() {
        TimetableReading read = read(event("UID:a\nSUMMARY:all\nDTSTART:20270701T080000\nDURATION:PT50M")
                + event("UID:b\nSUMMARY:some\nDTSTART:20270614T080000\nDURATION:PT50M\nRRULE:FREQ=WEEKLY;COUNT=3")
                + event("UID:c\nSUMMARY:on\nDTSTART:20270614T080000\nDURATION:PT50M\nRRULE:FREQ=WEEKLY")
                + event("UID:d\nSUMMARY:none\nDTSTART:20260914T080000\nDURATION:PT50M\nEXDATE:20260914T080000"));

        assertThat(starts(read)).hasSize(2);
        assertThat(told(read)).containsExactly(AFTER_THE_YEAR, ALL_LEFT_OUT, PARTLY_AFTER_THE_YEAR, WITHOUT_AN_END);
    }

    @Test
    void a_calendar_that_calls_off_calls_off_and_answers_plan_nothing() {
        String one = event("UID:a\nSUMMARY:x\nDTSTART:20260914T080000\nDURATION:PT50M");
        assertThat(starts(read("METHOD:CANCEL\n" + one))).containsExactly("2026-09-14T06:00:00Z off");
        assertThat(starts(read("METHOD:REQUEST\n" + one))).containsExactly("2026-09-14T06:00:00Z");
        TimetableReading single = read("METHOD:CANCEL\n" + event("UID:a\nRECURRENCE-ID:20260914T080000Z"));
        assertThat(starts(single)).containsExactly("2026-09-14T08:00:00Z off");
        assertThat(told(read("METHOD:REPLY\n" + one))).containsExactly(AN_ANSWER);
        assertThat(told(read("BEGIN:VTODO\nUID:t\nSUMMARY:mark papers\nEND:VTODO\n")))
                .containsExactly(NOT_A_LESSON);
    }

    private static final String LATE_SUMMER =
            """
            BEGIN:VTIMEZONE
            TZID:%s
            BEGIN:STANDARD
            DTSTART:16010101T000000
            TZOFFSETFROM:+0200
            TZOFFSETTO:+0100
            RRULE:FREQ=YEARLY;BYDAY=-1SU;BYMONTH=11;BYHOUR=3;BYMINUTE=0
            END:STANDARD
            BEGIN:DAYLIGHT
            DTSTART:20000102T020000
            TZOFFSETFROM:+0100
            TZOFFSETTO:+0200
            RRULE:FREQ=YEARLY;BYDAY=-1SU;BYMONTH=3
            END:DAYLIGHT
            END:VTIMEZONE
            """;

    @ParameterizedTest
    @ValueSource(strings = {"Europe/Oslo", "Etc/GMT+8", "Asia/Tokyo"})
    void what_a_file_says_of_a_zone_counts_in_every_school_and_is_told_where_the_name_means_another(String school) {
        String lesson = event("UID:a\nSUMMARY:x\nDTSTART;TZID=%s:20261109T080000\nDURATION:PT50M");
        for (String name : List.of("Our own", "Europe/Oslo")) {
            String text =
                    "BEGIN:VCALENDAR\n" + LATE_SUMMER.formatted(name) + lesson.formatted(name) + "END:VCALENDAR\n";
            TimetableReading read = CalendarFile.read(text.getBytes(StandardCharsets.UTF_8), ZoneId.of(school), YEAR);

            assertThat(starts(read)).as("summer until the end of November").containsExactly("2026-11-09T06:00:00Z");
            assertThat(told(read)).isEqualTo(name.equals("Our own") ? List.of() : List.of(ZONE_OTHERWISE));
        }
    }

    @Test
    void zones_by_the_names_of_another_system_and_times_without_one_in_a_calendar_that_has_one() {
        TimetableReading read = read("X-WR-TIMEZONE:Asia/Tokyo\n"
                + event("UID:a\nSUMMARY:x\nDTSTART;TZID=W. Europe Standard Time:20260914T080000\nDURATION:PT50M")
                + event("UID:b\nSUMMARY:x\nDTSTART:20260915T080000\nDURATION:PT50M"));

        assertThat(starts(read)).containsExactly("2026-09-14T06:00:00Z", "2026-09-15T06:00:00Z");
        assertThat(told(read)).containsExactly(ZONE_OF_FILE);
    }

    @Test
    void letters_are_read_however_they_are_written_and_cut() {
        String name = "Fäden & Knoten, 海図";
        byte[] file = ("BEGIN:VCALENDAR\r\n"
                        + event("UID:a\nSUMMARY:" + name + "\nDTSTART:20260914T080000\nDURATION:PT50M")
                        + "END:VCALENDAR\r\n")
                .getBytes(StandardCharsets.UTF_8);
        for (int cut = 46; cut < 67; cut++) {
            var folded = new ByteArrayOutputStream();
            folded.write(file, 0, cut);
            folded.writeBytes("\r\n ".getBytes(StandardCharsets.UTF_8));
            folded.write(file, cut, file.length - cut);
            assertThat(CalendarFile.read(folded.toByteArray(), OSLO, YEAR).entries())
                    .as("folded at %d", cut)
                    .extracting(TimetableReading.Entry::title)
                    .containsExactly(name);
        }
        String text = new String(file, StandardCharsets.UTF_8);
        for (byte[] other : List.of(
                ("\r\n\n" + text).getBytes(StandardCharsets.UTF_8),
                ("\uFEFF" + text).getBytes(StandardCharsets.UTF_16LE),
                text.getBytes(StandardCharsets.UTF_16BE))) {
            assertThat(CalendarFile.read(other, OSLO, YEAR).entries())
                    .extracting(TimetableReading.Entry::title)
                    .containsExactly(name);
        }
        TimetableReading western =
                CalendarFile.read(text.replace(", 海図", "").getBytes(StandardCharsets.ISO_8859_1), OSLO, YEAR);
        assertThat(western.entries().get(0).title()).isEqualTo("Fäden & Knoten");
        assertThat(told(western)).containsExactly(LETTERS_GUESSED);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "DTSTART:20260231T080000",
                "DTSTART:20260914T080000\nEXDATE:20260931T080000",
                "DTSTART:20260914T080000\nRDATE:20261131T080000",
                "DTSTART:20260914T080000\nRRULE:FREQ=DAILY;UNTIL=20260931T000000",
                "DTSTART:20260914T080000\nRRULE:FREQ=DAILY;UNTIL=20260931",
            })
    void days_that_do_not_exist_are_none(String lines) {
        TimetableReading read = read(event("UID:a\nSUMMARY:x\nDURATION:PT50M\n" + lines));

        assertThat(read.entries()).isEmpty();
        assertThat(told(read)).hasSize(1).isSubsetOf(NOT_A_TIME, RULE_NOT_UNDERSTOOD);
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
