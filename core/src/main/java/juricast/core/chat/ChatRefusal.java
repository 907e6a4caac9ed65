package juricast.core.chat;

import juricast.core.live.Refusal;

/** What stands in the way of what is written or sent. */
public enum ChatRefusal implements Refusal.Code {
    TOO_FAST,
    NO_SUCH_WORDS,
    TOO_MANY_FILES,
    /** The group is out no more. */
    NO_SUCH_PLACE,
    /** Between a pupil and somebody from outside nothing is written that no adult reads along. */
    NO_ADULT_READS
}
