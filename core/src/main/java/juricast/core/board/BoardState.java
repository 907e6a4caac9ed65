package juricast.core.board;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.Copies;
import juricast.core.live.PlaceId;

/** The lines on the board, a page for each place. @param changes when each was last changed */
public record BoardState(List<BoardLine> lines, Map<PlaceId, Change> changes) {
    static final BoardState NEW = new BoardState(List.of(), Map.of());

    /** The event that last changed a page. */
    public record Change(int number, Instant at) {}

    /** The page of one place. */
    public List<BoardLine> lines(PlaceId in) {
        return lines.stream().filter(line -> line.in().equals(in)).toList();
    }

    /** The number of the event that last changed a page; 0 for one on which nothing ever was. */
    public int changed(PlaceId in) {
        return Optional.ofNullable(changes.get(in)).map(Change::number).orElse(0);
    }

    /** When a page was last drawn on or wiped, if ever. */
    public Optional<Instant> changedAt(PlaceId in) {
        return Optional.ofNullable(changes.get(in)).map(Change::at);
    }

    /** One step of the fold. @param was the state before it @param number the number of the event */
    record Fold(BoardState was, int number) implements BoardEvent.Cases<BoardState> {
        @Override
        public BoardState drawn(BoardEvent.Drawn event) {
            var line = new BoardLine(number, event.person(), place(event.in()), event.line());
            return changed(Copies.plus(was.lines, line), line.in(), event.at());
        }

        @Override
        public BoardState wiped(BoardEvent.Wiped event) {
            PlaceId page = place(event.in());
            return changed(
                    was.lines.stream()
                            .filter(line -> !line.in().equals(page) || !isOf(line, event.of()))
                            .toList(),
                    page,
                    event.at());
        }

        private static PlaceId place(Optional<PlaceId> in) {
            return in.orElse(PlaceId.TOGETHER);
        }

        private BoardState changed(List<BoardLine> next, PlaceId page, Instant at) {
            return new BoardState(next, Copies.with(was.changes, page, new Change(number, at)));
        }
    }

    static boolean isOf(BoardLine line, Optional<PersonId> author) {
        return author.map(line.author()::equals).orElse(true);
    }
}
