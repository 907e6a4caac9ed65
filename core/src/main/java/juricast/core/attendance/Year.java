package juricast.core.attendance;

import java.util.Arrays;

/**
 * What stands in all registers of a long time, in plain columns: two million lines are some 30 MB, and are added up by pupil,
 * class or week without making anything on the way.
 */
public final class Year {
    /** As many marks as four bits hold. */
    private static final int MARKS = 16;

    private int[] people = new int[1024];
    private int[] lessons = new int[1024];
    private long[] packed = new long[1024];
    private int size;

    /** Adds a line. @param person and @param lesson by numbers from 0 on @param line as {@link Attended#packed} wrote it */
    public void add(int person, int lesson, long line) {
        if (size == people.length) {
            people = Arrays.copyOf(people, 2 * size);
            lessons = Arrays.copyOf(lessons, 2 * size);
            packed = Arrays.copyOf(packed, 2 * size);
        }
        people[size] = person;
        lessons[size] = lesson;
        packed[size] = line;
        size++;
    }

    public int size() {
        return size;
    }

    /** What to do with a line. */
    @FunctionalInterface
    public interface Line {
        void is(int person, int lesson, long packed);
    }

    public void forEach(Line line) {
        for (int i = 0; i < size; i++) {
            line.is(people[i], lessons[i], packed[i]);
        }
    }

    /** Tallies of people, by their numbers. @param groups how many people there are */
    public Tally[] byPerson(int groups) {
        int[] themselves = new int[groups];
        Arrays.setAll(themselves, n -> n);
        return sums(people, themselves, groups);
    }

    /**
     * Tallies by something that each lesson has, such as its class, its week, its hour.
     *
     * @param groupOf by the number of a lesson: its group, from 0 to {@code groups - 1}, or less than 0 to leave it out
     */
    public Tally[] byLesson(int[] groupOf, int groups) {
        return sums(lessons, groupOf, groups);
    }

    /**
     * Counts marks and adds minutes in plain arrays; the tallies are made from them at the end. Minutes late and minutes in the
     * room are added in the two halves of one number: 2,000,000 lines of 1,023 minutes fit.
     */
    private Tally[] sums(int[] of, int[] groupOf, int groups) {
        int[] counts = new int[groups * MARKS];
        long[] minutes = new long[groups];
        for (int i = 0; i < size; i++) {
            int group = groupOf[of[i]];
            if (group >= 0) {
                long line = packed[i];
                counts[group * MARKS + (int) (line & MARKS - 1)]++;
                minutes[group] += (long) Attended.minutesOf(line) << 32 | Attended.lateOf(line);
            }
        }
        var tallies = new Tally[groups];
        for (int group = 0; group < groups; group++) {
            int[] marks = Arrays.copyOfRange(counts, group * MARKS, (group + 1) * MARKS);
            tallies[group] = Tally.of(marks, (int) minutes[group], (int) (minutes[group] >>> 32));
        }
        return tallies;
    }
}
