package juricast.core.board;

import juricast.core.live.Refusal;

/** What stands in the way of drawing, and of turning pages. */
public enum BoardRefusal implements Refusal.Code {
    NOT_A_LINE,
    /** It is not the page that is shown. */
    PAGE_TURNED,
    NO_SUCH_PAGE,
    /** The last page of a board stays. */
    LAST_PAGE,
    PAGE_FULL,
    TOO_MANY_PAGES,
    NOT_YOURS
}
