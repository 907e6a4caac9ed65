package juricast.core.ending;

import juricast.core.live.Refusal;

/** What stands in the way of ending a lesson. */
public enum EndingRefusal implements Refusal.Code {
    /** Everybody but one pupil has gone already. */
    LAST_WORD
}
