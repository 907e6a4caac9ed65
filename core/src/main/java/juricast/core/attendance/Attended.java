package juricast.core.attendance;

import java.time.Instant;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.register.Mark;

/**
 * What stands in a register about one pupil.
 *
 * @param lateMinutes 0 unless late
 * @param minutes in the room
 * @param lessonMinutes how long the lesson was
 * @param corrected whether an adult wrote the mark
 */
public record Attended(
        LessonId lesson,
        ClassId ofClass,
        Instant at,
        Mark mark,
        int lateMinutes,
        int minutes,
        int lessonMinutes,
        boolean corrected) {
    private static final int MINUTES = 1023;

    /**
     * Mark, minutes late, minutes in the room, minutes of the lesson and whether it was corrected in one number, so that a year
     * of a school is read in one go: 4, 10, 10, 10 and 1 bits from the lowest on. Minutes above 1,023 are kept as 1,023.
     */
    public static long packed(Mark mark, int lateMinutes, long minutes, long lessonMinutes, boolean corrected) {
        return mark.ordinal()
                | (long) Math.min(MINUTES, lateMinutes) << 4
                | Math.min(MINUTES, minutes) << 14
                | Math.min(MINUTES, lessonMinutes) << 24
                | (corrected ? 1L << 34 : 0);
    }

    /** Reads what {@link #packed} wrote. */
    public static Attended unpacked(long packed, LessonId lesson, ClassId ofClass, Instant at) {
        return new Attended(
                lesson,
                ofClass,
                at,
                MARKS[(int) (packed & 15)],
                (int) (packed >> 4 & MINUTES),
                (int) (packed >> 14 & MINUTES),
                (int) (packed >> 24 & MINUTES),
                (packed >> 34 & 1) == 1);
    }

    private static final Mark[] MARKS = Mark.values();

    static int lateOf(long packed) {
        return (int) (packed >> 4 & MINUTES);
    }

    static int minutesOf(long packed) {
        return (int) (packed >> 14 & MINUTES);
    }
}
