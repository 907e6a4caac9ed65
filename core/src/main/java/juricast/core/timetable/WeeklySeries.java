package juricast.core.timetable;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;
import juricast.core.time.Span;

/**
 * A lesson that repeats weekly. It expands by local time, so that a clock change does not move it.
 *
 * @param until the last day on which it may be, inclusive
 * @param length of each lesson in minutes
 */
public record WeeklySeries(
        LocalDate first, LocalDate until, Set<DayOfWeek> days, LocalTime start, int length, ZoneId zone) {
    public static final int SHORTEST = 5;
    public static final int LONGEST = 300;
    /** Lessons one series may have; a school year of daily lessons is some 200. */
    public static final int MOST = 400;

    /** What a series can be refused for. */
    public enum Fault {
        NO_DAYS,
        ENDS_BEFORE_IT_BEGINS,
        LENGTH_OUT_OF_RANGE,
        NO_LESSON_IN_THAT_TIME,
        TOO_MANY_LESSONS
    }

    public WeeklySeries {
        days = Set.copyOf(days);
    }

    /** Everything that is wrong with it; empty if it can be expanded. */
    public List<Fault> faults() {
        if (days.isEmpty()) {
            return List.of(Fault.NO_DAYS);
        }
        if (until.isBefore(first)) {
            return List.of(Fault.ENDS_BEFORE_IT_BEGINS);
        }
        if (length < SHORTEST || length > LONGEST) {
            return List.of(Fault.LENGTH_OUT_OF_RANGE);
        }
        // Seven days a week of more weeks than that would be too many lessons anyway.
        if (until.isAfter(first.plusWeeks(MOST)) || dates().size() > MOST) {
            return List.of(Fault.TOO_MANY_LESSONS);
        }
        return dates().isEmpty() ? List.of(Fault.NO_LESSON_IN_THAT_TIME) : List.of();
    }

    /** The planned time of every lesson, in order. @throws IllegalStateException if it has faults */
    public List<Span> lessons() {
        if (!faults().isEmpty()) {
            throw new IllegalStateException("This series cannot be expanded: " + faults());
        }
        return dates().stream().map(this::on).toList();
    }

    private List<LocalDate> dates() {
        return first.datesUntil(until.plusDays(1))
                .filter(date -> days.contains(date.getDayOfWeek()))
                .limit(MOST + 1L)
                .toList();
    }

    private Span on(LocalDate date) {
        var from = date.atTime(start).atZone(zone).toInstant();
        return new Span(from, from.plus(Duration.ofMinutes(length)));
    }
}
