package juricast.server.timetable;

import static juricast.core.exchange.TimetableReading.Problem.*;

import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.time.zone.ZoneRules;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.exchange.TimetableReading;
import juricast.core.exchange.TimetableReading.Entry;
import juricast.core.exchange.TimetableReading.Fault;
import juricast.core.exchange.TimetableReading.Problem;
import juricast.core.time.Span;
import juricast.core.timetable.Recurrence;
import juricast.core.timetable.Series;
import juricast.server.ical.Block;
import juricast.server.ical.Blocks;
import juricast.server.ical.CalendarText;
import juricast.server.ical.CalendarTimes;
import juricast.server.ical.FileZones;
import net.fortuna.ical4j.util.Strings;

/**
 * A timetable as an iCalendar file (RFC 5545). Every event of the file is in an entry or told with its line, and so is everything
 * else that it says and a school cannot keep.
 */
final class CalendarFile {
    /** What is read of an event, and what only says how it came about. */
    private static final Set<String> READ = Set.of(
            "UID",
            "SUMMARY",
            "DTSTART",
            "DTEND",
            "DURATION",
            "RRULE",
            "EXRULE",
            "RDATE",
            "EXDATE",
            "RECURRENCE-ID",
            "STATUS",
            "SEQUENCE",
            "DTSTAMP",
            "CREATED",
            "LAST-MODIFIED");

    /** Messages about events that are no events: answers, questions, proposals (RFC 5546). */
    private static final Set<String> NO_PLAN = Set.of("REPLY", "REFRESH", "COUNTER", "DECLINECOUNTER", "ADD");
    /** How many kinds of things that are not read are named. */
    private static final int NAMED = 12;
    /** How long a called-off lesson lasts whose length is not said; nobody waits for it. */
    private static final int CALLED_OFF_MINUTES = Series.SHORTEST;

    private final ZoneId school;
    private final LocalDate before;
    private final List<Fault> faults = new ArrayList<>();
    private final List<Entry> entries = new ArrayList<>();
    private final Map<String, Integer> notRead = new HashMap<>();
    private final Set<String> zonesTold = new HashSet<>();
    private FileZones zones;
    private boolean isCancelling;
    private boolean hasTimesWithoutZone;
    private int events;
    private int lessons;
    /** From here on nothing is looked at, as is told once. */
    private boolean isFull;

    private CalendarFile(ZoneId school, LocalDate before) {
        this.school = school;
        this.before = before;
        this.zones = new FileZones(List.of(), school, before);
    }

    /**
     * Reads a file.
     *
     * @param school its zone: times without one are taken to be in it
     * @param before the day after the last of the school year; what lies later is not taken, and told
     */
    static TimetableReading read(byte[] bytes, ZoneId school, LocalDate before) {
        CalendarText text = CalendarText.of(bytes);
        if (!CalendarText.isOne(bytes)) {
            String first = text.lines().stream()
                    .map(CalendarText.Line::text)
                    .findFirst()
                    .orElse("");
            return new TimetableReading(List.of(), List.of(new Fault(1, NOT_A_CALENDAR, first)));
        }
        var file = new CalendarFile(school, before);
        file.take(Blocks.of(text), text.isGuessed());
        return new TimetableReading(
                file.entries,
                file.faults.stream()
                        .sorted(Comparator.comparing(
                                        (Fault one) -> one.problem().isTaken())
                                .thenComparingInt(Fault::line))
                        .toList());
    }

    private void take(Blocks file, boolean isGuessed) {
        file.broken()
                .forEach(one -> faults.add(new Fault(
                        one.line(),
                        switch (one.trouble()) {
                            case NOT_ENDED -> NOT_ENDED;
                            case BROKEN_LINE -> BROKEN_LINE;
                            case STRAY_LINE -> STRAY_LINE;
                        },
                        one.quote())));
        file.calendars().forEach(this::take);
        if (events == 0 && faults.isEmpty()) {
            faults.add(new Fault(0, NO_ENTRIES, ""));
        }
        if (isGuessed) {
            faults.add(new Fault(0, LETTERS_GUESSED, ""));
        }
        if (!notRead.isEmpty()) {
            faults.add(new Fault(
                    0,
                    NOT_READ,
                    notRead.entrySet().stream()
                            .sorted(Map.Entry.<String, Integer>comparingByValue()
                                    .reversed()
                                    .thenComparing(Map.Entry.comparingByKey()))
                            .limit(NAMED)
                            .map(one -> one.getKey() + " (" + one.getValue() + ")")
                            .collect(Collectors.joining(", "))));
        }
    }

    private void take(Blocks.Calendar calendar) {
        Map<Boolean, List<Block>> blocks = calendar.blocks().stream()
                .collect(Collectors.partitioningBy(one -> one.name().equals("VTIMEZONE")));
        zones = new FileZones(blocks.get(true), school, before);
        String method = calendar.own().text("METHOD").toUpperCase(Locale.ROOT);
        isCancelling = method.equals("CANCEL");
        hasTimesWithoutZone = false;
        var series = new LinkedHashMap<String, Event>();
        var changes = new LinkedHashMap<String, List<Event>>();
        for (Block one : blocks.get(false)) {
            if (!one.name().equals("VEVENT")) {
                faults.add(new Fault(one.line(), NOT_A_LESSON, one.name()));
            } else if (++events > TimetableReading.MOST_ENTRIES) {
                if (events == TimetableReading.MOST_ENTRIES + 1) {
                    faults.add(new Fault(one.line(), TOO_MANY_ENTRIES, ""));
                }
            } else if (NO_PLAN.contains(method)) {
                faults.add(new Fault(one.line(), AN_ANSWER, method));
            } else {
                take(new Event(one), series, changes);
            }
        }
        series.forEach((uid, event) ->
                expand(event, Optional.ofNullable(changes.remove(uid)).orElse(List.of())));
        changes.values().forEach(alone -> newest(alone).forEach(this::alone));
        String zone = calendar.own().text("X-WR-TIMEZONE");
        boolean isOther =
                zones.of(zone).filter(rules -> !rules.equals(school.getRules())).isPresent();
        if (hasTimesWithoutZone && isOther) {
            faults.add(new Fault(0, ZONE_OF_FILE, zone));
        }
    }

    private void take(Event event, Map<String, Event> series, Map<String, List<Event>> changes) {
        event.block.properties().forEach((name, all) -> {
            if (!READ.contains(name)) {
                notRead.merge(name, all.size(), Integer::sum);
            }
        });
        event.block.inner().forEach(one -> notRead.merge(one.name(), 1, Integer::sum));
        String uid = event.text("UID");
        if (uid.isEmpty()) {
            faults.add(new Fault(event.line(), NO_UID, event.title()));
        } else if (event.has("RECURRENCE-ID")) {
            changes.computeIfAbsent(uid, any -> new ArrayList<>()).add(event);
        } else {
            series.merge(uid, event, (one, other) -> newer(one, other, SAME_UID_TWICE));
        }
    }

    /** One event as it is written. */
    private record Event(Block block) {
        int line() {
            return block.line();
        }

        boolean has(String name) {
            return block.one(name).isPresent();
        }

        String text(String name) {
            return block.text(name);
        }

        String title() {
            return Strings.unescape(text("SUMMARY")).strip();
        }

        boolean isCancelled() {
            return "CANCELLED".equalsIgnoreCase(text("STATUS"));
        }

        boolean isForAllAfter() {
            return block.one("RECURRENCE-ID")
                    .map(one ->
                            "THISANDFUTURE".equalsIgnoreCase(one.parameters().get("RANGE")))
                    .orElse(false);
        }

        int sequence() {
            String written = text("SEQUENCE");
            return written.matches("\\d{1,9}") ? Integer.parseInt(written) : 0;
        }
    }

    /** Of two versions the one of the higher SEQUENCE, then of the later DTSTAMP, then that stands later; the other is told. */
    private Event newer(Event one, Event other, Problem told) {
        Comparator<Event> age = Comparator.comparingInt(Event::sequence).thenComparing(event -> event.text("DTSTAMP"));
        boolean isFirst = age.compare(one, other) > 0;
        Event left = isFirst ? other : one;
        faults.add(new Fault(left.line(), told, left.title().isEmpty() ? left.text("UID") : left.title()));
        return isFirst ? one : other;
    }

    /** Of changes to one lesson the newest. */
    private List<Event> newest(List<Event> changes) {
        var byLesson = new LinkedHashMap<String, Event>();
        for (Event change : changes) {
            Block.Property of = change.block.one("RECURRENCE-ID").orElseThrow();
            byLesson.merge(
                    of.value() + of.zone() + change.isForAllAfter(),
                    change,
                    (one, other) -> newer(one, other, CHANGED_TWICE));
        }
        return List.copyOf(byLesson.values());
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

    /** @param zone in which the file has it: its own, UTC, or the school's where it says none */
    private record Time(LocalDateTime local, ZoneRules zone) {
        Instant instant() {
            return FileZones.instant(local, zone);
        }

        /** The same moment in another zone. */
        LocalDateTime in(ZoneRules other) {
            return zone.equals(other) ? local : FileZones.local(instant(), other);
        }
    }

    /** A lesson of a series while changes are made to it. @param begins in the zone of the series */
    private record Slot(LocalDateTime begins, int minutes, boolean cancelled) {}

    private void expand(Event event, List<Event> changes) {
        if (isFull) {
            return;
        }
        try {
            add(event, entry(event, newest(changes)));
        } catch (NotTaken not) {
            faults.add(new Fault(event.line(), not.problem, not.quote));
            changes.forEach(one -> faults.add(new Fault(one.line(), CHANGES_NOTHING_KNOWN, one.title())));
        }
    }

    private void add(Event event, Entry entry) {
        if (lessons + entry.lessons().size() > TimetableReading.MOST_LESSONS) {
            faults.add(new Fault(entry.line(), TOO_MANY_LESSONS, event.title()));
            isFull = true;
        } else {
            lessons += entry.lessons().size();
            entries.add(entry);
        }
    }

    private Entry entry(Event event, List<Event> changes) throws NotTaken {
        String title = event.title();
        boolean cancelled = isCancelling || event.isCancelled();
        if (title.isEmpty() && !cancelled) {
            throw new NotTaken(NO_TITLE, event.text("UID"));
        }
        Time start = time(event, "DTSTART", school.getRules()).orElseThrow(() -> new NotTaken(NO_START, title));
        int minutes = cancelled && !saysHowLong(event) ? CALLED_OFF_MINUTES : minutes(event, start);
        var slots = new TreeMap<LocalDateTime, Slot>();
        new Dates(event, start, minutes).all().forEach((at, length) -> slots.put(at, new Slot(at, length, cancelled)));
        var changed = new ArrayList<Integer>();
        Stream.concat(
                        changes.stream()
                                .filter(Event::isForAllAfter)
                                .sorted(Comparator.comparing(one -> one.text("RECURRENCE-ID"))),
                        changes.stream().filter(one -> !one.isForAllAfter()))
                .forEach(change -> {
                    try {
                        change(change, start.zone, slots, title);
                        changed.add(change.line());
                    } catch (NotTaken not) {
                        faults.add(new Fault(change.line(), not.problem, not.quote));
                    }
                });
        if ("TENTATIVE".equalsIgnoreCase(event.text("STATUS"))) {
            faults.add(new Fault(event.line(), PERHAPS_ONLY, title));
        }
        var all = new ArrayList<TimetableReading.Lesson>();
        slots.forEach((slot, is) -> all.add(lesson(slot, is, start.zone)));
        return new Entry(event.text("UID"), event.line(), changed, title, all);
    }

    /** Times in UTC are named in the school's time, as a lesson that does not repeat always was. */
    private TimetableReading.Lesson lesson(LocalDateTime slot, Slot is, ZoneRules zone) {
        Instant from = FileZones.instant(is.begins, zone);
        LocalDateTime name = zone.equals(ZoneOffset.UTC.getRules())
                ? FileZones.local(FileZones.instant(slot, zone), school.getRules())
                : slot;
        return new TimetableReading.Lesson(
                name, new Span(from, from.plus(Duration.ofMinutes(is.minutes))), is.cancelled);
    }

    /** Changes one lesson of a series, or one and all after it. */
    private void change(Event change, ZoneRules zone, NavigableMap<LocalDateTime, Slot> slots, String title)
            throws NotTaken {
        LocalDateTime of = time(change, "RECURRENCE-ID", zone)
                .map(at -> at.in(zone))
                .orElseThrow(() -> new NotTaken(NOT_A_TIME, title));
        if (!slots.containsKey(of)) {
            throw new NotTaken(isAfter(of, zone) ? AFTER_THE_YEAR : CHANGES_NOTHING_KNOWN, title);
        }
        Optional<Time> start = time(change, "DTSTART", zone);
        LocalDateTime begins = start.map(at -> at.in(zone)).orElse(of);
        Duration moved = Duration.between(of, begins);
        Optional<Integer> minutes =
                saysHowLong(change) ? Optional.of(minutes(change, start.orElse(new Time(of, zone)))) : Optional.empty();
        boolean cancelled = isCancelling || change.isCancelled();
        NavigableMap<LocalDateTime, Slot> those =
                change.isForAllAfter() ? slots.tailMap(of, true) : slots.subMap(of, true, of, true);
        those.replaceAll((slot, is) -> new Slot(slot.plus(moved), minutes.orElse(is.minutes), cancelled));
        if (!change.title().isEmpty() && !change.title().equals(title)) {
            faults.add(new Fault(change.line(), OTHER_TITLE, change.title()));
        }
        if (change.has("RRULE") || change.has("RDATE")) {
            faults.add(new Fault(change.line(), RULE_OF_ONE, title));
        }
    }

    /** A change to a series that is not in the file: the one lesson is known by its name, or is new. */
    private void alone(Event change) {
        if (isFull) {
            return;
        }
        try {
            if (change.isForAllAfter()) {
                throw new NotTaken(CHANGES_NOTHING_KNOWN, change.title());
            }
            boolean cancelled = isCancelling || change.isCancelled();
            if (change.title().isEmpty() && !cancelled) {
                throw new NotTaken(NO_TITLE, change.text("UID"));
            }
            Time of = time(change, "RECURRENCE-ID", school.getRules())
                    .orElseThrow(() -> new NotTaken(NOT_A_TIME, change.title()));
            Optional<Time> said = time(change, "DTSTART", of.zone);
            if (said.isEmpty() && !cancelled) {
                throw new NotTaken(NO_START, change.title());
            }
            Time start = said.orElse(of);
            if (isAfter(start.local, start.zone)) {
                throw new NotTaken(AFTER_THE_YEAR, change.title());
            }
            int minutes = cancelled && !saysHowLong(change) ? CALLED_OFF_MINUTES : minutes(change, start);
            var slot = new Slot(start.in(of.zone), minutes, cancelled);
            add(
                    change,
                    new Entry(
                            change.text("UID"),
                            change.line(),
                            change.title(),
                            List.of(lesson(of.local, slot, of.zone))));
        } catch (NotTaken not) {
            faults.add(new Fault(change.line(), not.problem, not.quote));
        }
    }

    private boolean isAfter(LocalDateTime at, ZoneRules zone) {
        return !FileZones.local(FileZones.instant(at, zone), school.getRules())
                .toLocalDate()
                .isBefore(before);
    }

    private static boolean saysHowLong(Event event) {
        return event.has("DTEND") || event.has("DURATION");
    }

    /** When a series has lessons, before any of them was moved. */
    private final class Dates {
        private final Event event;
        private final Time start;
        private final Map<LocalDateTime, Integer> found = new TreeMap<>();

        Dates(Event event, Time start, int minutes) throws NotTaken {
            this.event = event;
            this.start = start;
            found.put(start.local, minutes);
            Optional<Recurrence> rule = rule("RRULE");
            if (rule.isPresent()) {
                // One more than there may be, and those left out besides: enough to know that there are too many.
                int most = Series.MOST + 1 + event.block.all("EXDATE").size() * Series.MOST;
                LocalDate end = rule.get().ends() ? before.plusYears(10) : before.plusDays(1);
                rule.get().from(start.local, end.atStartOfDay(), most).forEach(at -> found.put(at, minutes));
                if (!rule.get().ends()) {
                    faults.add(new Fault(event.line(), WITHOUT_AN_END, event.title()));
                }
            }
            for (Block.Property one : event.block.all("RDATE")) {
                added(one, minutes);
            }
        }

        Map<LocalDateTime, Integer> all() throws NotTaken {
            int inAll = found.size();
            found.keySet().removeIf(at -> isAfter(at, start.zone));
            if (found.isEmpty()) {
                throw new NotTaken(AFTER_THE_YEAR, event.title());
            }
            boolean ends =
                    !event.has("RRULE") || rule("RRULE").map(Recurrence::ends).orElse(true);
            if (ends && found.size() < inAll) {
                faults.add(new Fault(event.line(), PARTLY_AFTER_THE_YEAR, event.title()));
            }
            leaveOut();
            if (found.isEmpty()) {
                throw new NotTaken(ALL_LEFT_OUT, event.title());
            }
            if (found.size() > Series.MOST) {
                throw new NotTaken(TOO_MANY_OF_ONE_SERIES, event.title());
            }
            return found;
        }

        private Optional<Recurrence> rule(String name) throws NotTaken {
            List<Block.Property> rules = event.block.all(name);
            if (rules.size() > 1) {
                throw new NotTaken(RULE_NOT_UNDERSTOOD, "more than one " + name);
            }
            if (rules.isEmpty()) {
                return Optional.empty();
            }
            String written = rules.get(0).value();
            return Optional.of(Recurrence.parse(written, start.zone)
                    .orElseThrow(() -> new NotTaken(RULE_NOT_UNDERSTOOD, written)));
        }

        /** Single dates, or periods with a length of their own. */
        private void added(Block.Property property, int minutes) throws NotTaken {
            for (String one : property.value().split(",")) {
                String[] period = one.strip().split("/", 2);
                if (property.isDay() || period[0].matches("\\d{8}")) {
                    throw new NotTaken(NOT_A_TIME, one);
                }
                Time at = time(property, period[0], start.zone);
                int length = period.length < 2 ? minutes : length(property, at, period[1]);
                found.put(at.in(start.zone), length);
            }
        }

        private int length(Block.Property property, Time from, String end) throws NotTaken {
            return end.startsWith("P")
                    ? minutes(end)
                    : bounded(ChronoUnit.MINUTES.between(
                            from.instant(), time(property, end, start.zone).instant()));
        }

        /** What EXDATE and the older EXRULE name: a time that one lesson has, or a whole day. */
        private void leaveOut() throws NotTaken {
            for (Block.Property property : event.block.all("EXDATE")) {
                for (String one : property.value().split(",")) {
                    leaveOut(property, one.strip());
                }
            }
            Optional<Recurrence> never = rule("EXRULE");
            if (never.isPresent()) {
                found.keySet()
                        .removeAll(new HashSet<>(
                                never.get().from(start.local, before.plusDays(1).atStartOfDay(), 10 * Series.MOST)));
            }
        }

        private void leaveOut(Block.Property property, String written) throws NotTaken {
            boolean hit;
            boolean isLater;
            if (property.isDay() || written.matches("\\d{8}")) {
                LocalDate day = day(written);
                hit = found.keySet().removeIf(at -> at.toLocalDate().equals(day));
                isLater = !day.isBefore(before);
            } else {
                LocalDateTime at = time(property, written, start.zone).in(start.zone);
                hit = found.remove(at) != null;
                isLater = isAfter(at, start.zone);
            }
            if (!hit && !isLater) {
                faults.add(new Fault(event.line(), LEFT_OUT_NOTHING, written));
            }
        }
    }

    private static LocalDate day(String written) throws NotTaken {
        try {
            return CalendarTimes.day(written);
        } catch (DateTimeException none) {
            throw new NotTaken(NOT_A_TIME, written);
        }
    }

    private int minutes(Event event, Time start) throws NotTaken {
        Optional<Time> end = time(event, "DTEND", start.zone);
        return end.isPresent()
                ? bounded(ChronoUnit.MINUTES.between(start.instant(), end.get().instant()))
                : minutes(event.text("DURATION"));
    }

    private static int minutes(String duration) throws NotTaken {
        try {
            return bounded(Duration.parse(duration.toUpperCase(Locale.ROOT)).toMinutes());
        } catch (DateTimeException | ArithmeticException unreadable) {
            throw new NotTaken(NOT_A_LENGTH, duration.isEmpty() ? "no end" : duration);
        }
    }

    private static int bounded(long minutes) throws NotTaken {
        if (minutes < Series.SHORTEST || minutes > Series.LONGEST) {
            throw new NotTaken(NOT_A_LENGTH, minutes + " min");
        }
        return (int) minutes;
    }

    private Optional<Time> time(Event event, String name, ZoneRules otherwise) throws NotTaken {
        Optional<Block.Property> written = event.block.one(name);
        if (written.isPresent() && written.get().isDay()) {
            throw new NotTaken(ALL_DAY, event.title());
        }
        return written.isEmpty()
                ? Optional.empty()
                : Optional.of(time(written.get(), written.get().value().strip(), otherwise));
    }

    private Time time(Block.Property property, String value, ZoneRules otherwise) throws NotTaken {
        try {
            if (value.endsWith("Z")) {
                return new Time(CalendarTimes.local(value.substring(0, value.length() - 1)), ZoneOffset.UTC.getRules());
            }
            ZoneRules zone = otherwise;
            String id = property.zone();
            if (id.isEmpty()) {
                hasTimesWithoutZone = true;
            } else {
                zone = zones.of(id).orElseThrow(() -> new NotTaken(UNKNOWN_ZONE, id));
                if (zones.isOtherwise(id) && zonesTold.add(id)) {
                    faults.add(new Fault(0, ZONE_OTHERWISE, id));
                }
            }
            return new Time(CalendarTimes.local(value), zone);
        } catch (DateTimeException unreadable) {
            throw new NotTaken(NOT_A_TIME, value);
        }
    }
}
