package juricast.server.timetable;

import static juricast.core.exchange.TimetableReading.Problem.*;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.zone.ZoneRules;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
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
import juricast.core.timetable.Series;
import juricast.server.ical.Block;
import juricast.server.ical.Blocks;
import juricast.server.ical.CalendarText;
import juricast.server.ical.FileZones;

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
    private EventTimes times;
    private boolean isCancelling;
    private int events;
    private int lessons;
    /** From here on nothing is looked at, as is told once. */
    private boolean isFull;

    private CalendarFile(ZoneId school, LocalDate before) {
        this.school = school;
        this.before = before;
        times = new EventTimes(List.of(), school, before, faults);
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
        times = new EventTimes(blocks.get(true), school, before, faults);
        String method = calendar.own().text("METHOD").toUpperCase(Locale.ROOT);
        isCancelling = method.equals("CANCEL");
        var series = new LinkedHashMap<String, CalendarEvent>();
        var changes = new LinkedHashMap<String, List<CalendarEvent>>();
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
                take(new CalendarEvent(one), series, changes);
            }
        }
        series.forEach((uid, event) ->
                expand(event, Optional.ofNullable(changes.remove(uid)).orElse(List.of())));
        changes.values().forEach(alone -> newest(alone).forEach(this::alone));
        String zone = calendar.own().text("X-WR-TIMEZONE");
        if (times.areOfAnotherZone(zone)) {
            faults.add(new Fault(0, ZONE_OF_FILE, zone));
        }
    }

    private void take(
            CalendarEvent event, Map<String, CalendarEvent> series, Map<String, List<CalendarEvent>> changes) {
        event.block().properties().forEach((name, all) -> {
            if (!READ.contains(name)) {
                notRead.merge(name, all.size(), Integer::sum);
            }
        });
        event.block().inner().forEach(one -> notRead.merge(one.name(), 1, Integer::sum));
        String uid = event.text("UID");
        if (uid.isEmpty()) {
            faults.add(new Fault(event.line(), NO_UID, event.title()));
        } else if (event.has("RECURRENCE-ID")) {
            changes.computeIfAbsent(uid, any -> new ArrayList<>()).add(event);
        } else {
            series.merge(uid, event, (one, other) -> newer(one, other, SAME_UID_TWICE));
        }
    }

    /** Of two versions the one of the higher SEQUENCE, then of the later DTSTAMP, then that stands later; the other is told. */
    private CalendarEvent newer(CalendarEvent one, CalendarEvent other, Problem told) {
        Comparator<CalendarEvent> age =
                Comparator.comparingInt(CalendarEvent::sequence).thenComparing(event -> event.text("DTSTAMP"));
        boolean isFirst = age.compare(one, other) > 0;
        CalendarEvent left = isFirst ? other : one;
        faults.add(new Fault(left.line(), told, left.title().isEmpty() ? left.text("UID") : left.title()));
        return isFirst ? one : other;
    }

    /** Of changes to one lesson the newest. */
    private List<CalendarEvent> newest(List<CalendarEvent> changes) {
        var byLesson = new LinkedHashMap<String, CalendarEvent>();
        for (CalendarEvent change : changes) {
            Block.Property of = change.block().one("RECURRENCE-ID").orElseThrow();
            byLesson.merge(
                    of.value() + of.zone() + change.isForAllAfter(),
                    change,
                    (one, other) -> newer(one, other, CHANGED_TWICE));
        }
        return List.copyOf(byLesson.values());
    }

    /** A lesson of a series while changes are made to it. @param begins in the zone of the series */
    private record Slot(LocalDateTime begins, int minutes, boolean cancelled) {}

    private void expand(CalendarEvent event, List<CalendarEvent> changes) {
        if (isFull) {
            return;
        }
        try {
            add(event, entry(event, newest(changes)));
        } catch (NotTaken not) {
            faults.add(not.at(event.line()));
            changes.forEach(one -> faults.add(new Fault(one.line(), CHANGES_NOTHING_KNOWN, one.title())));
        }
    }

    private void add(CalendarEvent event, Entry entry) {
        if (lessons + entry.lessons().size() > TimetableReading.MOST_LESSONS) {
            faults.add(new Fault(entry.line(), TOO_MANY_LESSONS, event.title()));
            isFull = true;
        } else {
            lessons += entry.lessons().size();
            entries.add(entry);
        }
    }

    private Entry entry(CalendarEvent event, List<CalendarEvent> changes) throws NotTaken {
        String title = event.title();
        boolean cancelled = isCancelling || event.isCancelled();
        if (title.isEmpty() && !cancelled) {
            throw new NotTaken(NO_TITLE, event.text("UID"));
        }
        EventTimes.Time start =
                times.time(event, "DTSTART", times.school()).orElseThrow(() -> new NotTaken(NO_START, title));
        int minutes = cancelled && !event.saysHowLong() ? CALLED_OFF_MINUTES : times.minutes(event, start);
        var slots = new TreeMap<LocalDateTime, Slot>();
        new EventDates(event, start, minutes, times, faults)
                .all()
                .forEach((at, length) -> slots.put(at, new Slot(at, length, cancelled)));
        var changed = new ArrayList<Integer>();
        Stream.concat(
                        changes.stream()
                                .filter(CalendarEvent::isForAllAfter)
                                .sorted(Comparator.comparing(one -> one.text("RECURRENCE-ID"))),
                        changes.stream().filter(one -> !one.isForAllAfter()))
                .forEach(change -> {
                    try {
                        change(change, start.zone(), slots, title);
                        changed.add(change.line());
                    } catch (NotTaken not) {
                        faults.add(not.at(change.line()));
                    }
                });
        if ("TENTATIVE".equalsIgnoreCase(event.text("STATUS"))) {
            faults.add(new Fault(event.line(), PERHAPS_ONLY, title));
        }
        var all = new ArrayList<TimetableReading.Lesson>();
        slots.forEach((slot, is) -> all.add(lesson(slot, is, start.zone())));
        return new Entry(event.text("UID"), event.line(), changed, title, all);
    }

    /** Times in UTC are named in the school's time, as a lesson that does not repeat always was. */
    private TimetableReading.Lesson lesson(LocalDateTime slot, Slot is, ZoneRules zone) {
        Instant from = FileZones.instant(is.begins, zone);
        LocalDateTime name = zone.equals(ZoneOffset.UTC.getRules())
                ? FileZones.local(FileZones.instant(slot, zone), times.school())
                : slot;
        return new TimetableReading.Lesson(
                name, new Span(from, from.plus(Duration.ofMinutes(is.minutes))), is.cancelled);
    }

    /** Changes one lesson of a series, or one and all after it. */
    private void change(CalendarEvent change, ZoneRules zone, NavigableMap<LocalDateTime, Slot> slots, String title)
            throws NotTaken {
        LocalDateTime of = times.time(change, "RECURRENCE-ID", zone)
                .map(at -> at.in(zone))
                .orElseThrow(() -> new NotTaken(NOT_A_TIME, title));
        if (!slots.containsKey(of)) {
            throw new NotTaken(times.isAfter(of, zone) ? AFTER_THE_YEAR : CHANGES_NOTHING_KNOWN, title);
        }
        Optional<EventTimes.Time> start = times.time(change, "DTSTART", zone);
        LocalDateTime begins = start.map(at -> at.in(zone)).orElse(of);
        Duration moved = Duration.between(of, begins);
        Optional<Integer> minutes = change.saysHowLong()
                ? Optional.of(times.minutes(change, start.orElse(new EventTimes.Time(of, zone))))
                : Optional.empty();
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
    private void alone(CalendarEvent change) {
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
            EventTimes.Time of = times.time(change, "RECURRENCE-ID", times.school())
                    .orElseThrow(() -> new NotTaken(NOT_A_TIME, change.title()));
            Optional<EventTimes.Time> said = times.time(change, "DTSTART", of.zone());
            if (said.isEmpty() && !cancelled) {
                throw new NotTaken(NO_START, change.title());
            }
            EventTimes.Time start = said.orElse(of);
            if (times.isAfter(start.local(), start.zone())) {
                throw new NotTaken(AFTER_THE_YEAR, change.title());
            }
            int minutes = cancelled && !change.saysHowLong() ? CALLED_OFF_MINUTES : times.minutes(change, start);
            var slot = new Slot(start.in(of.zone()), minutes, cancelled);
            add(
                    change,
                    new Entry(
                            change.text("UID"),
                            change.line(),
                            change.title(),
                            List.of(lesson(of.local(), slot, of.zone()))));
        } catch (NotTaken not) {
            faults.add(not.at(change.line()));
        }
    }
}
