package juricast.server.timetable;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.exchange.TimetableReading;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.Period;
import net.fortuna.ical4j.model.component.VEvent;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;

/** Calendars nobody wrote: nothing in them is dropped without a word, and what is taken is what a second library makes of it. */
class CalendarFileProperties {
    private static final DateTimeFormatter COMPACT = DateTimeFormatter.ofPattern("uuuuMMdd'T'HHmmss'Z'");
    private static final LocalDate BEFORE = LocalDate.parse("2027-06-19");
    private static final OffsetDateTime FIRST = OffsetDateTime.parse("2026-09-01T08:00:00Z");
    private static final OffsetDateTime END = BEFORE.atStartOfDay().atOffset(ZoneOffset.UTC);

    private static TimetableReading read(String text) {
        return CalendarFile.read(text.getBytes(StandardCharsets.UTF_8), ZoneId.of("UTC"), BEFORE);
    }

    private static String calendar(List<String> events) {
        return events.stream()
                .map(one -> "BEGIN:VEVENT\r\n" + one + "END:VEVENT\r\n")
                .collect(Collectors.joining(
                        "", "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:test\r\n", "END:VCALENDAR\r\n"));
    }

    @Property(tries = 600)
    void every_event_is_in_an_entry_or_told_with_its_line(@ForAll("anything") List<String> events) {
        String text = calendar(events);
        TimetableReading read = read(text);
        Set<Integer> heardOf = new HashSet<>();
        read.entries().forEach(one -> {
            heardOf.add(one.line());
            heardOf.addAll(one.others());
        });
        read.faults().forEach(one -> heardOf.add(one.line()));
        List<String> lines = text.lines().toList();
        var begun = new ArrayList<Integer>();
        for (int i = 0; i < lines.size(); i++) {
            if (lines.get(i).equals("BEGIN:VEVENT")) {
                begun.add(i + 1);
            }
        }

        assertThat(heardOf).as(text).containsAll(begun);
        assertThat(read.entries()).allSatisfy(one -> assertThat(one.lessons()).isNotEmpty());
    }

    /** Whatever stands in a file, it is read or told; nothing of it stops the program. */
    @Property(tries = 600)
    void no_file_stops_the_reader(
            @ForAll("anything") List<String> events,
            @ForAll @Size(max = 12) List<@IntRange(max = 3000) Integer> places,
            @ForAll byte with,
            @ForAll("zones") String zone) {
        byte[] file = (ZONE + calendar(events)).replace("Z\r\n", "\r\n").getBytes(StandardCharsets.UTF_8);
        places.forEach(place -> file[place % file.length] = with);

        TimetableReading read = CalendarFile.read(file, ZoneId.of(zone), BEFORE);
        assertThat(read.entries().isEmpty() && read.faults().isEmpty()).isFalse();
    }

    private static final String ZONE =
            "BEGIN:VCALENDAR\r\nBEGIN:VTIMEZONE\r\nTZID:Nowhere\r\nBEGIN:STANDARD\r\nDTSTART:20001029T030000\r\n"
                    + "TZOFFSETFROM:+0200\r\nTZOFFSETTO:+0100\r\nRRULE:FREQ=YEARLY;BYDAY=-1SU;BYMONTH=10\r\nEND:STANDARD\r\n"
                    + "BEGIN:DAYLIGHT\r\nDTSTART:20000326T020000\r\nTZOFFSETFROM:+0100\r\nTZOFFSETTO:+0200\r\n"
                    + "RDATE:20260329T020000\r\nEND:DAYLIGHT\r\nEND:VTIMEZONE\r\nEND:VCALENDAR\r\n";

    @Provide
    Arbitrary<String> zones() {
        return Arbitraries.of("UTC", "Europe/Oslo", "Etc/GMT+9", "Asia/Kathmandu", "America/St_Johns");
    }

    @Property(tries = 600)
    void a_second_library_finds_the_same_lessons(@ForAll("series") String event) throws Exception {
        String text = calendar(List.of(event));
        VEvent theirs = (VEvent) new CalendarBuilder()
                .build(new StringReader(text))
                .getComponents(Component.VEVENT)
                .get(0);
        Set<Instant> expected =
                theirs.<OffsetDateTime>calculateRecurrenceSet(new Period<>(FIRST.minusYears(1), END)).stream()
                        .map(one -> Instant.from(one.getStart()))
                        .collect(Collectors.toSet());
        List<Instant> ours = read(text).entries().stream()
                .flatMap(entry -> entry.lessons().stream())
                .map(one -> one.time().from())
                .toList();

        assertThat(ours).as(text).containsExactlyInAnyOrderElementsOf(expected);
    }

    /** With dates that are left out or added, weekly on the day of the first lesson, or daily. */
    @Provide
    Arbitrary<String> series() {
        Arbitrary<String> rule = Combinators.combine(
                        Arbitraries.of("WEEKLY", "DAILY"),
                        Arbitraries.integers().between(1, 4),
                        Arbitraries.integers().between(1, 60))
                .as("RRULE:FREQ=%s;INTERVAL=%d;COUNT=%d\r\n"::formatted);
        return Combinators.combine(
                        days(), rule, days().list().ofMaxSize(4), days().list().ofMaxSize(4))
                .as((first, repeats, without, with) -> "UID:a\r\nSUMMARY:x\r\nDTSTART:" + first
                        + "\r\nDURATION:PT50M\r\n" + repeats + dates("EXDATE", without) + dates("RDATE", with));
    }

    private static String dates(String name, List<String> days) {
        return days.isEmpty() ? "" : name + ":" + String.join(",", days) + "\r\n";
    }

    private static Arbitrary<String> days() {
        return Arbitraries.integers().between(0, 280).map(day -> FIRST.plusDays(day)
                .format(COMPACT));
    }

    /** Lines right and wrong, in any company; a few names and days only, so that they meet. */
    @Provide
    Arbitrary<List<String>> anything() {
        Arbitrary<String> line = Arbitraries.of(
                "SUMMARY:x",
                "SUMMARY:",
                "STATUS:CANCELLED",
                "STATUS:TENTATIVE",
                "SEQUENCE:2",
                "SEQUENCE:two",
                "RRULE:FREQ=WEEKLY;COUNT=4",
                "RRULE:FREQ=WEEKLY",
                "RRULE:FREQ=HOURLY",
                "RRULE:nonsense",
                "EXRULE:FREQ=DAILY",
                "EXDATE:20260907T080000Z",
                "EXDATE;VALUE=DATE:20260907",
                "RDATE;VALUE=PERIOD:20260908T080000Z/PT1H",
                "RDATE:20990908T080000Z",
                "RECURRENCE-ID:20260907T080000Z",
                "RECURRENCE-ID;RANGE=THISANDFUTURE:20260907T080000Z",
                "DTEND:20260907T083000Z",
                "DURATION:P1D",
                "DTSTART;TZID=Nowhere:20260907T080000",
                "DTSTART;VALUE=DATE:20260907",
                "no line of a calendar",
                "X-OWN:1",
                "BEGIN:VALARM\r\nACTION:AUDIO\r\nEND:VALARM");
        Arbitrary<String> start = Arbitraries.of(
                "DTSTART:20260907T080000Z\r\nDURATION:PT50M\r\n",
                "DTSTART:20260907T080000\r\nDURATION:PT45M\r\n",
                "DTSTART:20280907T080000Z\r\nDURATION:PT50M\r\n",
                "");
        Arbitrary<String> uid = Arbitraries.of("UID:a\r\n", "UID:b\r\n", "UID:c\r\n", "");
        return Combinators.combine(uid, start, line.list().ofMaxSize(4))
                .as((name, begins, lines) ->
                        name + begins + lines.stream().map(one -> one + "\r\n").collect(Collectors.joining()))
                .list()
                .ofMaxSize(6);
    }
}
