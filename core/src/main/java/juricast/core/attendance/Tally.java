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
        var sum = new Sum();
        lines.forEach(one -> sum.add(one.mark(), one.lateMinutes(), one.minutes()));
        return sum.tally();
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

    /** Adds up without making anything on the way: a school year has some two million lines. */
    public static final class Sum {
        private int expected;
        private int attended;
        private int late;
        private int early;
        private int partly;
        private int excused;
        private int lateMinutes;
        private int minutes;

        public void add(Mark mark, int minutesLate, int minutesIn) {
            expected += mark.counts() ? 1 : 0;
            attended += mark.attended() ? 1 : 0;
            late += mark == Mark.LATE ? 1 : 0;
            early += mark == Mark.LEFT_EARLY ? 1 : 0;
            partly += mark == Mark.PARTLY ? 1 : 0;
            excused += mark == Mark.EXCUSED ? 1 : 0;
            lateMinutes += minutesLate;
            minutes += minutesIn;
        }

        /** Adds a line as {@link Attended#packed} wrote it. */
        public void add(long packed) {
            add(Attended.markOf(packed), Attended.lateOf(packed), Attended.minutesOf(packed));
        }

        public Tally tally() {
            return new Tally(expected, attended, late, early, partly, excused, lateMinutes, minutes);
        }
    }
}
