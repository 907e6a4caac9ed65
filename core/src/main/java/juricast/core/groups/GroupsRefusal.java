package juricast.core.groups;

import juricast.core.live.Refusal;

/** What stands in the way of groups. */
public enum GroupsRefusal implements Refusal.Code {
    NO_GROUPS,
    NO_SUCH_GROUP,
    NAME_TAKEN,
    TOO_MANY_GROUPS,
    NOT_ON_LIST,
    TWICE,
    /** A group is smaller than the rule lets it be, or of one alone. */
    TOO_SMALL,
    /** People are together whom the lead keeps apart, or the reverse. */
    BINDING_WISH,
    WRONG_LENGTH,
    TOO_LONG,
    ALREADY_OUT,
    NOT_OUT,
    /** Everybody is on the way back. */
    CALLED_BACK,
    NOT_INVITED,
    NOT_IN_A_GROUP
}
