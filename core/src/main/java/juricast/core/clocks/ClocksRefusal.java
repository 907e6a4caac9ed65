package juricast.core.clocks;

import juricast.core.live.Refusal;

/** What stands in the way of clocks and of being first. */
public enum ClocksRefusal implements Refusal.Code {
    NO_CLOCK,
    NO_LENGTH,
    NO_CALL,
    NOT_OPEN_YET
}
