package juricast.core.board;

import java.time.Duration;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.Authority;
import juricast.core.live.Decision;
import juricast.core.live.Part;
import juricast.core.live.Room;
import juricast.core.rules.Catalogue;

/** The board of each place: pages, each mark with its author (needs F6, J6). */
public final class BoardPart implements Part<BoardState, BoardOrder, BoardEvent> {
    public static final BoardPart BOARD = new BoardPart();
    /** Author of marks on a board that was brought in and whose author is none of this lesson: names do not travel to other classes. */
    public static final PersonId EARLIER = new PersonId("an-earlier-board");
    /** Marks on one page. */
    public static final int MARKS = 5000;
    /** Marks on all boards of a lesson. */
    public static final int ALL_MARKS = 20_000;
    /** Pages of one board. */
    public static final int PAGES = 60;
    /** How long a pointer is seen. */
    public static final Duration POINTED = Duration.ofSeconds(3);

    private BoardPart() {}

    @Override
    public String name() {
        return "board";
    }

    @Override
    public Class<BoardOrder> orders() {
        return BoardOrder.class;
    }

    @Override
    public Class<BoardEvent> events() {
        return BoardEvent.class;
    }

    @Override
    public BoardState begin() {
        return BoardState.NEW;
    }

    @Override
    public BoardState after(BoardState was, BoardEvent event, int number) {
        return event.match(new BoardState.Fold(was, number));
    }

    @Override
    public Decision decide(BoardState is, BoardOrder order, Room room) {
        return order.match(new BoardRules(is, room));
    }

    /** Whether somebody may keep a copy of what they see of the board: nothing, or the refusal. */
    public static Optional<Decision> save(Authority who, PersonId person) {
        return who.right(person, Catalogue.SAVE_BOARD);
    }
}
