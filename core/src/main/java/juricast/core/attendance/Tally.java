package juricast.core.attendance;

import java.util.Collection;
import java.util.OptionalInt;
import juricast.core.register.Mark;

/**
 * How often pupils were there.
 *
 * @param expected lessons that count: all but excused ones and those for which nobody was expected
 * @param attended of these, lessons in which they were there, wholly or in part
 * @param late of these, lessons to which they came late
 * @param early of these, lessons which they left early
 * @param partly of these, lessons in which they were there in part
 * @param excused besides
 * @param lateMinutes minutes late in all
 * @param minutes minutes in the room in all
 */
public record Tally(
        int expected, int attended, int late, int early, int partly, int excused, int lateMinutes, int minutes) {
    public static final Tally NOTHING = new Tally(0, 0, 0, 0, 0, 0, 0, 0);

    /** Below so many lessons a rate says little, and is said to. */
    public static final int SMALL = 8;

    public static Tally of(Collection<Attended> lines) {
        int[] counts = new int[Mark.values().length];
        lines.forEach(one -> counts[one.mark().ordinal()]++);
        return of(
                counts,
                lines.stream().mapToInt(Attended::lateMinutes).sum(),
                lines.stream().mapToInt(Attended::minutes).sum());
    }

    /** From how often each mark stands there. @param counts by the ordinal of the mark */
    static Tally of(int[] counts, int lateMinutes, int minutes) {
        int expected = 0;
        int attended = 0;
        for (Mark mark : Mark.values()) {
            expected += mark.counts() ? counts[mark.ordinal()] : 0;
            attended += mark.attended() && mark.counts() ? counts[mark.ordinal()] : 0;
        }
        return new Tally(
                expected,
                attended,
                counts[Mark.LATE.ordinal()],
                counts[Mark.LEFT_EARLY.ordinal()],
                counts[Mark.PARTLY.ordinal()],
                counts[Mark.EXCUSED.ordinal()],
                lateMinutes,
                minutes);
    }

    public int absent() {
        return expected - attended;
    }

    /** Attended of expected in percent, rounded; nothing if nobody was expected. */
    public OptionalInt rate() {
        return expected == 0 ? OptionalInt.empty() : OptionalInt.of((int) Math.round(100.0 * attended / expected));
    }

    /** Whether a rate from it says little. */
    public boolean isSmall() {
        return expected < SMALL;
    }

    /** Both together. */
    public Tally plus(Tally other) {
        return new Tally(
                expected + other.expected,
                attended + other.attended,
                late + other.late,
                early + other.early,
                partly + other.partly,
                excused + other.excused,
                lateMinutes + other.lateMinutes,
                minutes + other.minutes);
    }
}
