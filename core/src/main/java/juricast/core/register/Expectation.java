package juricast.core.register;

import java.time.Instant;
import java.util.List;
import juricast.core.time.Span;

/** Whether somebody was to come to a lesson, and why not (need L2). */
public enum Expectation {
    EXPECTED,
    /** The lesson was called off. */
    CALLED_OFF,
    JOINED_LATER,
    LEFT_BEFORE;

    /** @param membership the times in which the pupil belonged to the class, in any order */
    public static Expectation of(Span lesson, boolean calledOff, List<Span> membership) {
        if (calledOff) {
            return CALLED_OFF;
        }
        Instant start = lesson.from();
        if (membership.stream()
                .anyMatch(one -> !one.from().isAfter(start) && one.until().isAfter(start))) {
            return EXPECTED;
        }
        return membership.stream().anyMatch(one -> !one.until().isAfter(start)) ? LEFT_BEFORE : JOINED_LATER;
    }
}
