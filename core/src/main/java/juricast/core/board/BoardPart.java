package juricast.core.board;

import static juricast.core.live.Decision.done;
import static juricast.core.live.Refusal.Common.TOO_MUCH;

import java.util.List;
import java.util.Optional;
import juricast.core.door.Acting;
import juricast.core.limits.Limits;
import juricast.core.live.Decision;
import juricast.core.live.Part;
import juricast.core.live.PlaceId;
import juricast.core.live.Refusal;
import juricast.core.live.Room;
import juricast.core.rules.Catalogue;

/** The board of each place, each line with its author (need F6). */
public final class BoardPart implements Part<BoardState, BoardOrder, BoardEvent> {
    public static final BoardPart BOARD = new BoardPart();

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
        return order.match(new Rules(is, room));
    }

    private record Rules(BoardState is, Room room) implements BoardOrder.Cases<Decision> {
        @Override
        public Decision draw(BoardOrder.Draw order) {
            if (!isLine(order.line())) {
                return Refusal.of(BoardRefusal.NOT_A_LINE);
            }
            return Acting.present(room, order.visit(), person -> room.who()
                    .right(person, Catalogue.DRAW)
                    .orElseGet(() -> is.lines().size() >= Limits.BOARD
                            ? Refusal.of(TOO_MUCH)
                            : done(new BoardEvent.Drawn(
                                    person,
                                    List.copyOf(order.line()),
                                    page(room.where().placeOf(person)),
                                    room.now()))));
        }

        private static boolean isLine(List<Integer> line) {
            return line.size() >= 4
                    && line.size() <= Limits.LINE
                    && line.size() % 2 == 0
                    && line.stream().allMatch(point -> point >= 0 && point <= 1000);
        }

        @Override
        public Decision wipe(BoardOrder.Wipe order) {
            PlaceId page = order.in().orElseGet(() -> room.where().placeOf(order.by()));
            boolean own = order.of().filter(order.by()::equals).isPresent()
                    && room.there().isPresent(order.by());
            boolean isThere = is.lines(page).stream().anyMatch(line -> BoardState.isOf(line, order.of()));
            Decision wiped =
                    isThere ? done(new BoardEvent.Wiped(order.of(), page(page), order.by(), room.now())) : done();
            return own
                    ? wiped
                    : room.who().adult(order.by(), Catalogue.HELP_STEER).orElse(wiped);
        }

        private static Optional<PlaceId> page(PlaceId place) {
            return Optional.of(place).filter(one -> !one.equals(PlaceId.TOGETHER));
        }
    }
}
