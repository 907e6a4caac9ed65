package juricast.core.limits;

import java.time.Duration;

/** How much of anything one person may send into a lesson, in one place. */
public final class Limits {
    /** Characters of one message. */
    public static final int MESSAGE = 1000;
    /** Characters of a name; longer ones are cut before they are judged. */
    public static final int NAME = 80;
    /** Characters of the reason of a removal. */
    public static final int REASON = 500;
    /** The longest pass or curb. */
    public static final Duration LOAN = Duration.ofMinutes(120);
    /** Arrivals that one lesson keeps; more are refused, so that a flood of knocks cannot fill the record. */
    public static final int ARRIVALS = 500;

    private Limits() {}
}
