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
    /** Characters of a note to a step or an incident, and of a worry. */
    public static final int NOTE = 2000;
    /** The longest pass or curb. */
    public static final Duration LOAN = Duration.ofMinutes(120);
    /**
     * Arrivals that one lesson keeps; more are refused, so that a flood of knocks cannot fill the record. For those of the
     * class who are signed in it is twice as many.
     */
    public static final int ARRIVALS = 500;

    /** Characters of the title of something handed out. */
    public static final int TITLE = 120;
    /** Numbers of one line on a board: x and y in turn. */
    public static final int LINE = 600;
    /** Lines that a board keeps; wiping makes room. */
    public static final int BOARD = 2000;
    /** Things handed out that hang in one lesson. */
    public static final int MATERIALS = 60;
    /** Lines of captions that a lesson keeps at hand; all of them are in its record. */
    public static final int CAPTIONS = 60;
    /** Bytes of a file sent in a lesson: a page of homework as a picture, but nothing that chokes a weak link. */
    public static final int FILE_BYTES = 1_900_000;
    /** Files that one lesson keeps; more are refused, so that a flood of them cannot fill the disk. */
    public static final int FILES = 60;
    /** Characters of the name of a file. */
    public static final int FILE_NAME = 120;
    /** Words and phrases on the school's list. */
    public static final int WATCHED_WORDS = 500;

    /** Groups of one lesson at a time. */
    public static final int GROUPS = 30;
    /** The longest time that people have to come back from groups by themselves. */
    public static final Duration CALL_BACK = Duration.ofMinutes(5);

    private Limits() {}
}
