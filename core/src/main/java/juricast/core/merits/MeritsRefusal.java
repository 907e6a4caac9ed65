package juricast.core.merits;

import juricast.core.live.Refusal;

/** What stands in the way of praise, and of taking it back. */
public enum MeritsRefusal implements Refusal.Code {
    NO_SUCH_MERIT,
    TOO_LATE_TO_TAKE_BACK
}
