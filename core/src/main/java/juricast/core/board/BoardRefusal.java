package juricast.core.board;

import juricast.core.live.Refusal;

/** What stands in the way of drawing. */
public enum BoardRefusal implements Refusal.Code {
    NOT_A_LINE
}
