package juricast.core.notices;

import juricast.core.live.Refusal;

/** What stands in the way of putting words up. */
public enum NoticesRefusal implements Refusal.Code {
    NOT_UP
}
