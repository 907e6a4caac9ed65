package juricast.core.door;

import juricast.core.live.Refusal;

/** What stands in the way of who comes, is let in, goes or is put out. */
public enum DoorRefusal implements Refusal.Code {
    TOO_EARLY_TO_OPEN,
    ALREADY_OPEN,
    NO_SUCH_VISIT,
    NOT_WAITING,
    WHO_IS_IT,
    NOT_ON_LIST,
    TOO_EARLY_TO_ADMIT,
    NOT_REMOVED,
    LAST_ADULT,
    TOO_MANY_ARRIVALS,
    ROOM_IS_FULL,
    HELP_IS_FULL,
    ONE_BY_ONE,
    /** A last word with one pupil needs a second adult or a recording, by the rule. */
    ALONE_WITH_ONE,
    /** An adult whom a safeguarding lead put out of this lesson. */
    REMOVED_HERE
}
