package juricast.core.slates;

import juricast.core.live.Refusal;

/** What stands in the way of drawing on a slate, and of showing one. */
public enum SlatesRefusal implements Refusal.Code {
    NO_SLATES,
    /** It was handed in or collected. */
    FROZEN,
    NOT_A_MARK,
    FULL,
    NOBODY_HAS_ONE
}
