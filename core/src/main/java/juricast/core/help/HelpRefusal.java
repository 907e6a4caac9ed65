package juricast.core.help;

import juricast.core.live.Refusal;

/** What stands in the way of staying for questions. */
public enum HelpRefusal implements Refusal.Code {
    IS_ONE_ALREADY,
    /** The lesson has longer to go than {@link HelpPart#BEFORE_THE_END}. */
    LESSON_GOES_ON,
    /** The class is in groups; they are called back first. */
    IN_GROUPS,
    WRONG_LENGTH
}
