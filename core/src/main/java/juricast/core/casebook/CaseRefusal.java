package juricast.core.casebook;

/** Why an order about an incident was not carried out. Nothing has changed by it. */
public enum CaseRefusal {
    NOT_YOURS,
    IS_CLOSED,
    IS_OPEN,
    WAS_MERGED,
    EMPTY_TEXT,
    TEXT_TOO_LONG,
    NO_SUCH_ACT,
    NO_SUCH_FOLLOW_UP,
    ALREADY_DONE,
    DAY_IS_PAST,
    NO_SUCH_EVENT,
    NOT_OUT,
    NOT_IN_IT,
    THE_SAME_ONE,
    /** Nobody would be left in one of the two. */
    NOBODY_LEFT,
    /** One of the two is for safeguarding leads alone, the other is not. */
    LEADS_ALONE,
    STILL_TO_DO,
    TOO_MUCH
}
