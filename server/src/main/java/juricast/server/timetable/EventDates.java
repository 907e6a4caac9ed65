package juricast.server.timetable;

import static juricast.core.exchange.TimetableReading.Problem.*;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import juricast.core.exchange.TimetableReading.Fault;
import juricast.core.timetable.Recurrence;
import juricast.core.timetable.Series;
import juricast.server.ical.Block;

/** When a series has lessons, before any of them was moved. */
final class EventDates {
    /** Years of a rule that ends by itself, in which it is seen whether it goes on after the school year. */
    private static final int LOOKED_AHEAD = 10;

    private final CalendarEvent event;
    private final EventTimes.Time start;
    private final EventTimes times;
    private final List<Fault> faults;
    private final Optional<Recurrence> rule;
    private final Map<LocalDateTime, Integer> found = new TreeMap<>();

    EventDates(CalendarEvent event, EventTimes.Time start, int minutes, EventTimes times, List<Fault> faults)
            throws NotTaken {
        this.event = event;
        this.start = start;
        this.times = times;
        this.faults = faults;
        rule = rule("RRULE");
        found.put(start.local(), minutes);
        if (rule.isPresent()) {
            // One more than there may be, and those left out besides: enough to know that there are too many.
            int most = Series.MOST + 1 + leftOut();
            LocalDate end = rule.get().ends()
                    ? times.before().plusYears(LOOKED_AHEAD)
                    : times.before().plusDays(1);
            rule.get().from(start.local(), end.atStartOfDay(), most).forEach(at -> found.put(at, minutes));
            if (!rule.get().ends()) {
                faults.add(new Fault(event.line(), WITHOUT_AN_END, event.title()));
            }
        }
        for (Block.Property one : event.block().all("RDATE")) {
            added(one, minutes);
        }
    }

    private int leftOut() {
        return event.block().all("EXDATE").stream()
                .mapToInt(one -> one.value().split(",").length)
                .sum();
    }

    /** Each with its minutes. @throws NotTaken if there is none, or too many */
    Map<LocalDateTime, Integer> all() throws NotTaken {
        int inAll = found.size();
        found.keySet().removeIf(at -> times.isAfter(at, start.zone()));
        if (found.isEmpty()) {
            throw new NotTaken(AFTER_THE_YEAR, event.title());
        }
        if (rule.map(Recurrence::ends).orElse(true) && found.size() < inAll) {
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
        List<Block.Property> rules = event.block().all(name);
        if (rules.size() > 1) {
            throw new NotTaken(RULE_NOT_UNDERSTOOD, "more than one " + name);
        }
        if (rules.isEmpty()) {
            return Optional.empty();
        }
        String written = rules.get(0).value();
        return Optional.of(
                Recurrence.parse(written, start.zone()).orElseThrow(() -> new NotTaken(RULE_NOT_UNDERSTOOD, written)));
    }

    /** Single dates, or periods with a length of their own. */
    private void added(Block.Property property, int minutes) throws NotTaken {
        for (String one : property.value().split(",")) {
            String[] period = one.strip().split("/", 2);
            if (property.isDay() || period[0].matches("\\d{8}")) {
                throw new NotTaken(NOT_A_TIME, one);
            }
            EventTimes.Time at = times.time(property, period[0], start.zone());
            int length = period.length < 2 ? minutes : length(property, at, period[1]);
            found.put(at.in(start.zone()), length);
        }
    }

    private int length(Block.Property property, EventTimes.Time from, String end) throws NotTaken {
        return end.startsWith("P")
                ? EventTimes.minutes(end)
                : EventTimes.bounded(ChronoUnit.MINUTES.between(
                        from.instant(), times.time(property, end, start.zone()).instant()));
    }

    /** What EXDATE and the older EXRULE name: a time that one lesson has, or a whole day. */
    private void leaveOut() throws NotTaken {
        for (Block.Property property : event.block().all("EXDATE")) {
            for (String one : property.value().split(",")) {
                leaveOut(property, one.strip());
            }
        }
        Optional<Recurrence> never = rule("EXRULE");
        if (never.isPresent()) {
            found.keySet()
                    .removeAll(new HashSet<>(never.get()
                            .from(start.local(), times.before().plusDays(1).atStartOfDay(), 10 * Series.MOST)));
        }
    }

    private void leaveOut(Block.Property property, String written) throws NotTaken {
        boolean hit;
        boolean isLater;
        if (property.isDay() || written.matches("\\d{8}")) {
            LocalDate day = EventTimes.day(written);
            hit = found.keySet().removeIf(at -> at.toLocalDate().equals(day));
            isLater = !day.isBefore(times.before());
        } else {
            LocalDateTime at = times.time(property, written, start.zone()).in(start.zone());
            hit = found.remove(at) != null;
            isLater = times.isAfter(at, start.zone());
        }
        if (!hit && !isLater) {
            faults.add(new Fault(event.line(), LEFT_OUT_NOTHING, written));
        }
    }
}
