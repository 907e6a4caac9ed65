package juricast.core.board;

import java.util.Optional;
import juricast.core.drawing.Sheet;

/** One page of a board. @param id by which it is known; 0 for the first */
public record BoardPage(int id, Optional<Under> under, Sheet sheet) {
    static final BoardPage FIRST = new BoardPage(0, Optional.empty(), Sheet.EMPTY);

    BoardPage with(Sheet next) {
        return next == sheet ? this : new BoardPage(id, under, next);
    }

    /** Whether nothing is on it and nothing under it. */
    public boolean isEmpty() {
        return under.isEmpty() && sheet.marks().isEmpty();
    }
}
