package juricast.core.timetable;

import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import juricast.core.time.Span;

/**
 * A lesson that repeats (need B2). It is written in local time and expands by local time, so that a clock change does not
 * move it; a start that a clock change leaves out is held as much later as the clock is put forward.
 *
 * @param first when the first lesson begins; it counts whether or not the rule names it
 * @param minutes how long each lesson is, {@link #SHORTEST} to {@link #LONGEST}
 * @param rule how it repeats; nothing for a single lesson
 * @param added further lessons that the rule does not name (RDATE of RFC 5545)
 * @param leftOut days on which there is none, although the rule names them (EXDATE)
 */
public record Series(
        LocalDateTime first,
        int minutes,
        ZoneId zone,
        Optional<Recurrence> rule,
        Set<LocalDateTime> added,
        Set<LocalDate> leftOut) {
    public static final int SHORTEST = 5;
    public static final int LONGEST = 300;
    /** Lessons one series may have; a school year of daily lessons is some 200. */
    public static final int MOST = 400;

    /** What a series can be refused for. */
    public enum Fault {
        LENGTH_OUT_OF_RANGE,
        NO_LESSON_IN_THAT_TIME,
        TOO_MANY_LESSONS
    }

    /** One lesson of a series. @param slot when the series has it, which names it for ever, also when it is moved */
    public record Slot(LocalDateTime slot, Span time) {}

    public Series {
        added = Set.copyOf(added);
        leftOut = Set.copyOf(leftOut);
    }

    /** Everything that is wrong with it; empty if it can be expanded. @param before as in {@link #lessons} */
    public List<Fault> faults(LocalDate before) {
        if (minutes < SHORTEST || minutes > LONGEST) {
            return List.of(Fault.LENGTH_OUT_OF_RANGE);
        }
        int found = slots(before).size();
        return found == 0
                ? List.of(Fault.NO_LESSON_IN_THAT_TIME)
                : found > MOST ? List.of(Fault.TOO_MANY_LESSONS) : List.of();
    }

    /**
     * All lessons in order of time.
     *
     * @param before rules without an end stop here: the day after the last of the school year
     * @throws IllegalStateException if it has faults
     */
    public List<Slot> lessons(LocalDate before) {
        if (!faults(before).isEmpty()) {
            throw new IllegalStateException("This series cannot be expanded: " + faults(before));
        }
        return slots(before).stream().map(slot -> new Slot(slot, on(slot))).toList();
    }

    private List<LocalDateTime> slots(LocalDate before) {
        var all = new TreeSet<LocalDateTime>(added);
        all.add(first);
        // One more than there may be, and those left out besides: enough to know that there are too many.
        rule.ifPresent(one -> all.addAll(one.from(first, before.atStartOfDay(), MOST + 1 + leftOut.size())));
        all.removeIf(slot ->
                leftOut.contains(slot.toLocalDate()) || !slot.toLocalDate().isBefore(before));
        return new ArrayList<>(all);
    }

    private Span on(LocalDateTime slot) {
        var from = slot.atZone(zone).toInstant();
        return new Span(from, from.plus(Duration.ofMinutes(minutes)));
    }
}
