package juricast.core.rights;

import juricast.core.live.Refusal;

/** What stands in the way of what is switched on, lent or ordered. */
public enum RightsRefusal implements Refusal.Code {
    ALREADY_ALLOWED,
    WRONG_LENGTH,
    SOMEBODY_SHOWS,
    /** The rule does not speak of people of their role. */
    NOT_FOR_THEM,
    /** Nothing was muted for all in the last seconds. */
    NOTHING_TO_UNDO
}
