package juricast.core.register;

import java.time.Duration;
import java.util.Optional;
import juricast.core.identity.Member;
import juricast.core.presence.Attendance;

/**
 * One pupil in the register.
 *
 * @param computed the mark that presence gives; never overwritten
 * @param lateMinutes full minutes from the planned start to the knock, 0 unless late
 * @param earlyMinutes full minutes from the last time there to the end, 0 unless gone early
 * @param share of the lesson in percent, 0 to 100, the time at the door counted
 * @param minutes time in the room within the lesson, in full minutes
 * @param drops how often the pupil was away for longer than the rules bridge
 * @param longestGap the longest of these
 * @param correction the latest correction, if any
 */
public record RegisterLine(
        Member pupil,
        Mark computed,
        int lateMinutes,
        int earlyMinutes,
        int share,
        long minutes,
        int drops,
        Duration longestGap,
        Attendance attendance,
        Optional<Correction> correction) {
    /** The mark that counts. */
    public Mark mark() {
        return correction.map(Correction::mark).orElse(computed);
    }

    /** The minutes late that count. */
    public int minutesLate() {
        return correction.map(Correction::lateMinutes).orElse(lateMinutes);
    }

    /** The same of who was not expected: there if they came. */
    RegisterLine notExpected() {
        Mark mark = attendance.stays().isEmpty() ? Mark.NOT_EXPECTED : Mark.PRESENT;
        return new RegisterLine(pupil, mark, 0, 0, share, minutes, drops, longestGap, attendance, correction);
    }

    /** The same of a help hour: came, or not, which is no absence. */
    RegisterLine ofHelpHour() {
        Mark mark = attendance.stays().isEmpty() ? Mark.NOT_EXPECTED : Mark.CAME;
        return new RegisterLine(pupil, mark, 0, 0, share, minutes, drops, longestGap, attendance, correction);
    }

    /** The same of who has watched what was recorded: what presence gives stands where they were there. */
    RegisterLine watched() {
        boolean wasAway = computed == Mark.ABSENT || computed == Mark.NOT_EXPECTED;
        return wasAway
                ? new RegisterLine(pupil, Mark.WATCHED, 0, 0, share, minutes, drops, longestGap, attendance, correction)
                : this;
    }

    public Duration waited() {
        return attendance.waited();
    }
}
