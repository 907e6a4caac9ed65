package juricast.core.board;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import juricast.core.drawing.Mark;
import juricast.core.drawing.Sheet;
import juricast.core.live.Copies;
import juricast.core.live.PlaceId;

/** The boards of a lesson. @param places those on which anything ever was */
public record BoardState(Map<PlaceId, BoardPages> places) {
    static final BoardState NEW = new BoardState(Map.of());

    /** The board of one place. */
    public BoardPages of(PlaceId in) {
        return places.getOrDefault(in, BoardPages.NEW);
    }

    /** All marks on all boards. */
    public List<Mark> marks() {
        return places.values().stream().flatMap(BoardState::marks).toList();
    }

    /** All marks on the board of one place. */
    public List<Mark> marks(PlaceId in) {
        return marks(of(in)).toList();
    }

    private static Stream<Mark> marks(BoardPages board) {
        return board.pages().stream().flatMap(page -> page.sheet().marks().stream());
    }

    /** When a place's board was last changed, if ever. */
    public Optional<Instant> changedAt(PlaceId in) {
        return of(in).changedAt();
    }

    /** One step of the fold. @param was the state before it @param number the number of the event */
    record Fold(BoardState was, int number) implements BoardEvent.Cases<BoardState> {
        @Override
        public BoardState drawn(BoardEvent.Drawn event) {
            return sheet(event, event.page(), one -> one.drawn(number, event.person(), event.drawing()));
        }

        @Override
        public BoardState erased(BoardEvent.Erased event) {
            return sheet(
                    event,
                    event.page(),
                    one -> one.erased(
                            number, event.person(), mark -> event.marks().contains(mark.number())));
        }

        @Override
        public BoardState undone(BoardEvent.Undone event) {
            return sheet(event, event.page(), one -> one.undone(number, event.person()));
        }

        @Override
        public BoardState wiped(BoardEvent.Wiped event) {
            UnaryOperator<BoardPage> wipe = page -> page.with(page.sheet().erased(number, event.by(), mark -> event.of()
                    .map(mark.author()::equals)
                    .orElse(true)));
            return board(event, one -> event.page().map(id -> one.on(id, wipe)).orElseGet(() -> one.all(wipe)));
        }

        @Override
        public BoardState pointed(BoardEvent.Pointed event) {
            return new BoardState(
                    Copies.with(was.places, event.place(), was.of(event.place()).pointedAt(number, event)));
        }

        @Override
        public BoardState pagesAdded(BoardEvent.PagesAdded event) {
            return board(
                    event,
                    one -> one.with(IntStream.range(0, event.under().size())
                            .mapToObj(i -> new BoardPage(id(i), event.under().get(i), Sheet.EMPTY))
                            .toList()));
        }

        @Override
        public BoardState pageTurned(BoardEvent.PageTurned event) {
            return board(event, one -> one.turned(event.page()));
        }

        @Override
        public BoardState pageRemoved(BoardEvent.PageRemoved event) {
            return board(event, one -> one.without(event.page()));
        }

        @Override
        public BoardState brought(BoardEvent.Brought event) {
            return board(
                    event,
                    one -> one.with(IntStream.range(0, event.pages().size())
                            .mapToObj(i -> new BoardPage(
                                    id(i),
                                    event.pages().get(i).under(),
                                    Sheet.EMPTY.brought(
                                            number, marks(event.pages().get(i).marks()))))
                            .toList()));
        }

        /** Below zero, so that no mark that is drawn later has the same number. */
        private static List<Mark> marks(List<BoardEvent.BroughtMark> marks) {
            return IntStream.range(0, marks.size())
                    .mapToObj(i -> new Mark(
                            i - marks.size(),
                            marks.get(i).author(),
                            marks.get(i).drawing()))
                    .toList();
        }

        /** Of the page at a place among those that came by this event. */
        private int id(int place) {
            return number * BoardPart.PAGES + place;
        }

        private BoardState sheet(BoardEvent event, int page, UnaryOperator<Sheet> how) {
            return board(event, one -> one.on(page, it -> it.with(how.apply(it.sheet()))));
        }

        private BoardState board(BoardEvent event, UnaryOperator<BoardPages> how) {
            BoardPages next = how.apply(was.of(event.place())).changed(number, event.at());
            return new BoardState(Copies.with(was.places, event.place(), next));
        }
    }
}
