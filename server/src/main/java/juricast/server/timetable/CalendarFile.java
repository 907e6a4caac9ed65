package juricast.server.timetable;

import static juricast.core.exchange.TimetableReading.Problem.*;

import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import juricast.core.exchange.TimetableReading;
import juricast.core.exchange.TimetableReading.Entry;
import juricast.core.exchange.TimetableReading.Fault;
import juricast.core.exchange.TimetableReading.Problem;
import juricast.core.time.Span;
import juricast.core.timetable.Recurrence;
import juricast.core.timetable.Series;
import net.fortuna.ical4j.data.CalendarParserImpl;
import net.fortuna.ical4j.data.ContentHandler;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.util.Strings;

/**
 * A timetable as an iCalendar file (RFC 5545). Each event is parsed by itself, so that a broken one does not hide the others,
 * and memory stays bounded; what is not understood is told with its line.
 */
final class CalendarFile {
    private static final DateTimeFormatter COMPACT = DateTimeFormatter.ofPattern("uuuuMMdd'T'HHmmss");
    private static final Pattern NAME = Pattern.compile("[A-Za-z0-9-]+");
    /** Lines of one event, with its alarms and notes; a bound on what is held at once. */
    private static final int MOST_LINES = 2_000;

    private final ZoneId school;
    private final LocalDate before;
    private final Zones zones;
    private final List<Fault> faults = new ArrayList<>();
    private final Map<String, Event> series = new LinkedHashMap<>();
    private final List<Event> changes = new ArrayList<>();
    private int events;

    private CalendarFile(ZoneId school, LocalDate before, Zones zones) {
        this.school = school;
        this.before = before;
        this.zones = zones;
    }

    /**
     * Reads a file.
     *
     * @param school its zone: times without one are taken to be in it
     * @param before rules without an end stop here
     */
    static TimetableReading read(byte[] bytes, ZoneId school, LocalDate before) {
        String text = new String(bytes, StandardCharsets.UTF_8).replaceFirst("^\uFEFF", "");
        if (!text.regionMatches(true, 0, "BEGIN:VCALENDAR", 0, 15)) {
            return new TimetableReading(
                    List.of(),
                    List.of(new Fault(
                            1, NOT_A_CALENDAR, text.lines().findFirst().orElse(""))));
        }
        var file = new CalendarFile(school, before, Zones.in(text, school, before));
        file.split(text);
        return file.expanded();
    }

    /** One property of an event. */
    private record Property(String value, Map<String, String> parameters) {
        boolean isDay() {
            return "DATE".equalsIgnoreCase(parameters.get("VALUE")) || value.matches("\\d{8}");
        }
    }

    /** An event as it is written. @param line where it begins in the file */
    private record Event(int line, Map<String, List<Property>> properties) {
        Optional<Property> one(String name) {
            return properties.getOrDefault(name, List.of()).stream().findFirst();
        }

        List<Property> all(String name) {
            return properties.getOrDefault(name, List.of());
        }

        String text(String name) {
            return one(name).map(Property::value).orElse("").strip();
        }

        int sequence() {
            String written = text("SEQUENCE");
            return written.matches("\\d{1,9}") ? Integer.parseInt(written) : 0;
        }
    }

    private void split(String text) {
        var lines = new ArrayList<String>();
        int number = 0;
        int begun = 0;
        for (String line : (Iterable<String>) text.lines()::iterator) {
            number++;
            String said = line.strip().toUpperCase(Locale.ROOT);
            if (said.equals("BEGIN:VEVENT")) {
                if (begun > 0) {
                    faults.add(new Fault(begun, NOT_ENDED, lines.size() > 1 ? lines.get(1) : ""));
                }
                lines.clear();
                begun = number;
            }
            if (begun > 0 && lines.size() < MOST_LINES) {
                lines.add(line);
            }
            if (begun > 0 && said.equals("END:VEVENT")) {
                take(begun, lines);
                begun = 0;
            }
        }
        if (begun > 0) {
            faults.add(new Fault(begun, NOT_ENDED, lines.size() > 1 ? lines.get(1) : ""));
        }
        if (events == 0 && faults.isEmpty()) {
            faults.add(new Fault(0, NO_ENTRIES, ""));
        }
    }

    private void take(int begun, List<String> lines) {
        if (++events > TimetableReading.MOST_ENTRIES) {
            if (events == TimetableReading.MOST_ENTRIES + 1) {
                faults.add(new Fault(begun, TOO_MANY_ENTRIES, ""));
            }
            return;
        }
        parsed(begun, lines).ifPresent(event -> {
            if (event.text("UID").isEmpty()) {
                faults.add(new Fault(begun, NO_UID, event.text("SUMMARY")));
            } else if (event.one("RECURRENCE-ID").isPresent()) {
                changes.add(event);
            } else {
                series.merge(event.text("UID"), event, this::later);
            }
        });
    }

    /** One of two events of one name; the other is told. */
    private Event later(Event one, Event other) {
        boolean isNewer = other.sequence() > one.sequence();
        Event left = isNewer ? one : other;
        faults.add(new Fault(left.line, SAME_UID_TWICE, left.text("SUMMARY")));
        return isNewer ? other : one;
    }

    private Optional<Event> parsed(int begun, List<String> lines) {
        var found = new Found();
        try {
            String block = "BEGIN:VCALENDAR\r\n" + String.join("\r\n", unfolded(lines)) + "\r\nEND:VCALENDAR\r\n";
            new CalendarParserImpl().parse(new StringReader(block), found);
            return Optional.of(new Event(begun, found.properties));
        } catch (ParserException | IOException | RuntimeException broken) {
            faults.add(new Fault(begun, BROKEN_LINE, quoteOf(lines)));
            return Optional.empty();
        }
    }

    /** Lines are folded at 75 octets by a line break and a space (section 3.1). */
    private static List<String> unfolded(List<String> lines) {
        var whole = new ArrayList<String>();
        for (String line : lines) {
            boolean goesOn = !whole.isEmpty() && (line.startsWith(" ") || line.startsWith("\t"));
            if (goesOn) {
                whole.set(whole.size() - 1, whole.get(whole.size() - 1) + line.substring(1));
            } else if (!line.isBlank()) {
                whole.add(line);
            }
        }
        return whole;
    }

    private static String quoteOf(List<String> lines) {
        return lines.stream()
                .filter(line -> line.toUpperCase(Locale.ROOT).startsWith("SUMMARY"))
                .findFirst()
                .orElse(lines.size() > 1 ? lines.get(1) : "");
    }

    /** Collects the properties of the event itself, not those of its alarms. */
    private static final class Found implements ContentHandler {
        private final Map<String, List<Property>> properties = new HashMap<>();
        private int depth;
        private String value = "";
        private Map<String, String> parameters = Map.of();

        @Override
        public void startCalendar() {}

        @Override
        public void endCalendar() {}

        @Override
        public void startComponent(String name) {
            depth++;
        }

        @Override
        public void endComponent(String name) {
            depth--;
        }

        @Override
        public void startProperty(String name) {
            value = "";
            parameters = new HashMap<>();
        }

        @Override
        public void propertyValue(String written) {
            value = written;
        }

        @Override
        public void parameter(String name, String written) {
            parameters.put(name.toUpperCase(Locale.ROOT), Strings.unquote(written));
        }

        @Override
        public void endProperty(String name) {
            if (!NAME.matcher(name).matches()) {
                throw new IllegalArgumentException("Not a property: " + name);
            }
            if (depth == 1) {
                properties
                        .computeIfAbsent(name.toUpperCase(Locale.ROOT), key -> new ArrayList<>())
                        .add(new Property(value, parameters));
            }
        }
    }

    /** What cannot be taken of one event. */
    private static final class NotTaken extends Exception {
        private static final long serialVersionUID = 1;
        private final Problem problem;
        private final String quote;

        NotTaken(Problem problem, String quote) {
            super(quote, null, false, false);
            this.problem = problem;
            this.quote = quote;
        }
    }

    private TimetableReading expanded() {
        Map<String, List<Event>> byUid = new HashMap<>();
        changes.forEach(one ->
                byUid.computeIfAbsent(one.text("UID"), uid -> new ArrayList<>()).add(one));
        var entries = new ArrayList<Entry>();
        int lessons = 0;
        for (Map.Entry<String, Event> one : series.entrySet()) {
            Event event = one.getValue();
            List<Event> moved = Optional.ofNullable(byUid.remove(one.getKey())).orElse(List.of());
            try {
                Entry entry = entry(event, moved);
                lessons += entry.lessons().size();
                if (lessons > TimetableReading.MOST_LESSONS) {
                    faults.add(new Fault(event.line, TOO_MANY_LESSONS, title(event)));
                    break;
                }
                entries.add(entry);
            } catch (NotTaken not) {
                faults.add(new Fault(event.line, not.problem, not.quote));
            }
        }
        byUid.values()
                .forEach(lost ->
                        lost.forEach(event -> faults.add(new Fault(event.line, CHANGES_NOTHING_KNOWN, title(event)))));
        return new TimetableReading(
                entries,
                faults.stream()
                        .sorted(java.util.Comparator.comparingInt(Fault::line))
                        .toList());
    }

    private static String title(Event event) {
        return Strings.unescape(event.text("SUMMARY")).strip();
    }

    private record Time(LocalDateTime local, ZoneId zone) {}

    private Entry entry(Event event, List<Event> moved) throws NotTaken {
        String title = title(event);
        if (title.isEmpty()) {
            throw new NotTaken(NO_TITLE, event.text("UID"));
        }
        Time start = time(event, "DTSTART", school).orElseThrow(() -> new NotTaken(NO_START, title));
        Series written = written(event, start);
        List<Series.Fault> wrong = written.faults(before);
        if (wrong.contains(Series.Fault.TOO_MANY_LESSONS)) {
            throw new NotTaken(TOO_MANY_OF_ONE_SERIES, title);
        }
        boolean cancelled = isCancelled(event);
        var lessons = new LinkedHashMap<LocalDateTime, TimetableReading.Lesson>();
        if (wrong.isEmpty()) {
            written.lessons(before)
                    .forEach(one ->
                            lessons.put(one.slot(), new TimetableReading.Lesson(one.slot(), one.time(), cancelled)));
        }
        for (Event change : moved) {
            TimetableReading.Lesson one = moved(change, start, minutes(event, start), title);
            if (lessons.replace(one.slot(), one) == null) {
                faults.add(new Fault(change.line, CHANGES_NOTHING_KNOWN, title));
            }
        }
        return new Entry(event.text("UID"), event.line, title, List.copyOf(lessons.values()));
    }

    /** The series as its rule and its single dates say, before lessons of it were moved. */
    private Series written(Event event, Time start) throws NotTaken {
        Set<LocalDateTime> added = new TreeSet<>();
        for (Property one : event.all("RDATE")) {
            added.addAll(each(one, start.zone));
        }
        Set<LocalDate> leftOut = new HashSet<>();
        for (Property one : event.all("EXDATE")) {
            each(one, start.zone).forEach(at -> leftOut.add(at.toLocalDate()));
        }
        return new Series(start.local, minutes(event, start), start.zone, rule(event, start.zone), added, leftOut);
    }

    private static Optional<Recurrence> rule(Event event, ZoneId zone) throws NotTaken {
        List<Property> rules = event.all("RRULE");
        if (rules.isEmpty()) {
            return Optional.empty();
        }
        if (rules.size() > 1) {
            throw new NotTaken(RULE_NOT_UNDERSTOOD, "more than one RRULE");
        }
        Optional<Recurrence> rule = Recurrence.parse(rules.get(0).value(), zone);
        if (rule.isEmpty()) {
            throw new NotTaken(RULE_NOT_UNDERSTOOD, rules.get(0).value());
        }
        return rule;
    }

    /** One lesson of a series that was moved or called off. @param minutes how long it is if the change does not say */
    private TimetableReading.Lesson moved(Event change, Time start, int minutes, String title) throws NotTaken {
        LocalDateTime slot = time(change, "RECURRENCE-ID", start.zone)
                .map(at ->
                        at.local.atZone(at.zone).withZoneSameInstant(start.zone).toLocalDateTime())
                .orElseThrow(() -> new NotTaken(NOT_A_TIME, title));
        Time at = time(change, "DTSTART", start.zone).orElse(new Time(slot, start.zone));
        boolean saysHowLong =
                change.one("DTEND").isPresent() || change.one("DURATION").isPresent();
        return new TimetableReading.Lesson(
                slot, span(at, saysHowLong ? minutes(change, at) : minutes), isCancelled(change));
    }

    private static boolean isCancelled(Event event) {
        return "CANCELLED".equalsIgnoreCase(event.text("STATUS"));
    }

    private static Span span(Time from, int minutes) {
        var begins = from.local.atZone(from.zone).toInstant();
        return new Span(begins, begins.plus(Duration.ofMinutes(minutes)));
    }

    private int minutes(Event event, Time start) throws NotTaken {
        long minutes;
        Optional<Time> end = time(event, "DTEND", start.zone);
        if (end.isPresent()) {
            minutes = ChronoUnit.MINUTES.between(
                    start.local.atZone(start.zone), end.get().local.atZone(end.get().zone));
        } else {
            try {
                minutes = Duration.parse(event.text("DURATION")).toMinutes();
            } catch (DateTimeException unreadable) {
                throw new NotTaken(NOT_A_LENGTH, event.text("DURATION"));
            }
        }
        if (minutes < Series.SHORTEST || minutes > Series.LONGEST) {
            throw new NotTaken(NOT_A_LENGTH, minutes + " min");
        }
        return (int) minutes;
    }

    private Optional<Time> time(Event event, String name, ZoneId otherwise) throws NotTaken {
        Optional<Property> written = event.one(name);
        if (written.isEmpty()) {
            return Optional.empty();
        }
        if (written.get().isDay()) {
            throw new NotTaken(ALL_DAY, title(event));
        }
        return Optional.of(time(written.get(), written.get().value(), otherwise));
    }

    private Time time(Property property, String value, ZoneId otherwise) throws NotTaken {
        String id = property.parameters.getOrDefault("TZID", "");
        ZoneId zone = otherwise;
        if (!id.isEmpty()) {
            zone = zones.of(id).orElseThrow(() -> new NotTaken(UNKNOWN_ZONE, id));
        }
        try {
            return value.endsWith("Z")
                    ? new Time(
                            LocalDateTime.parse(value.substring(0, value.length() - 1), COMPACT)
                                    .atZone(ZoneOffset.UTC)
                                    .withZoneSameInstant(otherwise)
                                    .toLocalDateTime(),
                            otherwise)
                    : new Time(LocalDateTime.parse(value, COMPACT), zone);
        } catch (DateTimeException unreadable) {
            throw new NotTaken(NOT_A_TIME, value);
        }
    }

    /** The times of a list, in the zone of the series; days are taken at midnight. */
    private List<LocalDateTime> each(Property property, ZoneId zone) throws NotTaken {
        var times = new ArrayList<LocalDateTime>();
        for (String one : Arrays.asList(property.value.split(","))) {
            String value = one.strip().replaceFirst("/.*", "");
            if (value.matches("\\d{8}")) {
                value += "T000000";
            }
            Time at = time(property, value, zone);
            times.add(at.local.atZone(at.zone).withZoneSameInstant(zone).toLocalDateTime());
        }
        return times;
    }
}
