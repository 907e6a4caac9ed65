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
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import juricast.core.exchange.TimetableReading.Fault;
import juricast.core.timetable.Series;
import juricast.server.ical.Block;
import juricast.server.ical.CalendarTimes;
import juricast.server.ical.FileZones;

/** Times and lengths of the events of one calendar, in the zones that it means. */
final class EventTimes {
    private final FileZones zones;
    private final ZoneRules school;
    private final LocalDate before;
    private final List<Fault> faults;
    private final Set<String> lookedAt = new HashSet<>();
    private boolean hasTimesWithoutZone;

    /** @param faults to which is added what is read all the same and has to be known */
    EventTimes(List<Block> zones, ZoneId school, LocalDate before, List<Fault> faults) {
        this.zones = new FileZones(zones, school, before);
        this.school = school.getRules();
        this.before = before;
        this.faults = faults;
    }

    /** @param zone in which the file has it: its own, UTC, or the school's where it says none */
    record Time(LocalDateTime local, ZoneRules zone) {
        Instant instant() {
            return FileZones.instant(local, zone);
        }

        /** The same moment in another zone. */
        LocalDateTime in(ZoneRules other) {
            return zone.equals(other) ? local : FileZones.local(instant(), other);
        }
    }

    LocalDate before() {
        return before;
    }

    ZoneRules school() {
        return school;
    }

    /** Whether the calendar names another zone than the school's and has times that name none. */
    boolean areOfAnotherZone(String ofCalendar) {
        return hasTimesWithoutZone
                && zones.of(ofCalendar).filter(rules -> !rules.equals(school)).isPresent();
    }

    /** Whether a time lies after the last day of the school year. */
    boolean isAfter(LocalDateTime at, ZoneRules zone) {
        return !FileZones.local(FileZones.instant(at, zone), school)
                .toLocalDate()
                .isBefore(before);
    }

    static LocalDate day(String written) throws NotTaken {
        try {
            return CalendarTimes.day(written);
        } catch (DateTimeException none) {
            throw new NotTaken(NOT_A_TIME, written);
        }
    }

    int minutes(CalendarEvent event, Time start) throws NotTaken {
        Optional<Time> end = time(event, "DTEND", start.zone);
        return end.isPresent()
                ? bounded(ChronoUnit.MINUTES.between(start.instant(), end.get().instant()))
                : minutes(event.text("DURATION"));
    }

    static int minutes(String duration) throws NotTaken {
        try {
            return bounded(Duration.parse(duration.toUpperCase(Locale.ROOT)).toMinutes());
        } catch (DateTimeException | ArithmeticException unreadable) {
            throw new NotTaken(NOT_A_LENGTH, duration.isEmpty() ? "no end" : duration);
        }
    }

    static int bounded(long minutes) throws NotTaken {
        if (minutes < Series.SHORTEST || minutes > Series.LONGEST) {
            throw new NotTaken(NOT_A_LENGTH, minutes + " min");
        }
        return (int) minutes;
    }

    Optional<Time> time(CalendarEvent event, String name, ZoneRules otherwise) throws NotTaken {
        Optional<Block.Property> written = event.block().one(name);
        if (written.isPresent() && written.get().isDay()) {
            throw new NotTaken(ALL_DAY, event.title());
        }
        return written.isEmpty()
                ? Optional.empty()
                : Optional.of(time(written.get(), written.get().value().strip(), otherwise));
    }

    Time time(Block.Property property, String value, ZoneRules otherwise) throws NotTaken {
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
                if (lookedAt.add(id) && zones.isOtherwise(id)) {
                    faults.add(new Fault(0, ZONE_OTHERWISE, id));
                }
            }
            return new Time(CalendarTimes.local(value), zone);
        } catch (DateTimeException unreadable) {
            throw new NotTaken(NOT_A_TIME, value);
        }
    }
}
