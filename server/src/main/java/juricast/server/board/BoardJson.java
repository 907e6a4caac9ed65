package juricast.server.board;

import static juricast.core.board.BoardPart.BOARD;

import java.util.List;
import juricast.core.board.BoardState;
import juricast.core.identity.PersonId;
import juricast.core.live.PlaceId;
import juricast.server.lesson.Snapshot;

/** The board on the wire: desk and seat are told that it changed, and fetch it. */
public final class BoardJson {
    private BoardJson() {}

    /** @param changed the number of the event that last changed it */
    public record BoardChanged(int changed) {}

    /** The board. @param number changes whenever the board does */
    public record Board(int number, List<Mark> lines) {}

    /** A line. @param mine whether the asking person drew it */
    public record Mark(int number, String author, String authorName, boolean mine, List<Integer> line) {}

    /** Of the page of one place. */
    public static BoardChanged changed(Snapshot at, PlaceId in) {
        return at.piece(
                "board",
                in,
                List.of(BOARD),
                () -> new BoardChanged(at.state().of(BOARD).changed(in)));
    }

    public static final BoardChanged FROM_OUTSIDE = new BoardChanged(0);

    static Board board(Snapshot at, PersonId me, PlaceId in) {
        BoardState board = at.state().of(BOARD);
        return new Board(
                board.changed(in),
                board.lines(in).stream()
                        .map(line -> new Mark(
                                line.number(),
                                line.author().value(),
                                at.plan().nameOf(line.author()),
                                line.author().equals(me),
                                line.line()))
                        .toList());
    }
}
