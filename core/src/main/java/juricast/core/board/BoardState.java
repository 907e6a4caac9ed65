package juricast.core.board;

import java.util.List;
import juricast.core.live.Copies;

/** The lines on the board. @param changed the number of the event that last changed it */
public record BoardState(List<BoardLine> lines, int changed) {
    static final BoardState NEW = new BoardState(List.of(), 0);

    /** One step of the fold. @param was the state before it @param number the number of the event */
    record Fold(BoardState was, int number) implements BoardEvent.Cases<BoardState> {
        @Override
        public BoardState drawn(BoardEvent.Drawn event) {
            return new BoardState(Copies.plus(was.lines, new BoardLine(number, event.person(), event.line())), number);
        }

        @Override
        public BoardState wiped(BoardEvent.Wiped event) {
            return new BoardState(
                    event.of()
                            .map(author -> was.lines.stream()
                                    .filter(line -> !line.author().equals(author))
                                    .toList())
                            .orElse(List.of()),
                    number);
        }
    }
}
