package juricast.core.board;

import static juricast.core.live.Decision.done;
import static juricast.core.live.Refusal.Common.TOO_MUCH;
import static juricast.core.rights.RightsPart.RIGHTS;
import static juricast.core.rules.Catalogue.DRAW;
import static juricast.core.rules.Catalogue.HELP_STEER;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import juricast.core.door.Acting;
import juricast.core.drawing.Drawing;
import juricast.core.drawing.Mark;
import juricast.core.drawing.Sheet;
import juricast.core.identity.PersonId;
import juricast.core.live.Decision;
import juricast.core.live.LessonEvent;
import juricast.core.live.PlaceId;
import juricast.core.live.Refusal;
import juricast.core.live.Room;
import juricast.core.rights.RightsOrder;
import juricast.core.rules.Catalogue;

/** What may be drawn where, and wiped by whom. */
record BoardRules(BoardState is, Room room) implements BoardOrder.Cases<Decision> {
    @Override
    public Decision draw(BoardOrder.Draw order) {
        if (!order.drawing().isPossible()) {
            return Refusal.of(BoardRefusal.NOT_A_LINE);
        }
        return Acting.present(room, order.visit(), person -> room.who()
                .right(person, DRAW)
                .orElseGet(() -> shown(person, order.page(), sheet -> {
                    if (sheet.marks().size() >= BoardPart.MARKS) {
                        return Refusal.of(BoardRefusal.PAGE_FULL);
                    }
                    return is.marks().size() >= BoardPart.ALL_MARKS
                            ? Refusal.of(TOO_MUCH)
                            : done(new BoardEvent.Drawn(person, order.drawing(), order.page(), in(person), room.now()));
                })));
    }

    @Override
    public Decision erase(BoardOrder.Erase order) {
        return Acting.present(
                room,
                order.visit(),
                person -> shown(person, order.page(), sheet -> {
                    List<Mark> which = sheet.marks().stream()
                            .filter(mark -> order.marks().contains(mark.number()))
                            .toList();
                    if (which.isEmpty()) {
                        return done();
                    }
                    boolean own = which.stream().allMatch(mark -> mark.author().equals(person));
                    Optional<Decision> refused = own
                            ? room.who().right(person, DRAW)
                            : room.who().adult(person, HELP_STEER).map(no -> Refusal.of(BoardRefusal.NOT_YOURS));
                    return refused.orElseGet(() -> done(new BoardEvent.Erased(
                            person, which.stream().map(Mark::number).toList(), order.page(), in(person), room.now())));
                }));
    }

    @Override
    public Decision undo(BoardOrder.Undo order) {
        return Acting.present(
                room,
                order.visit(),
                person -> shown(person, order.page(), sheet -> sheet.undoes(person, 0)
                        // Taking back what one did needs no right; bringing marks back is drawing them.
                        .map(change -> (change.came().isEmpty()
                                        ? Optional.<Decision>empty()
                                        : room.who().right(person, DRAW))
                                .orElseGet(() ->
                                        done(new BoardEvent.Undone(person, order.page(), in(person), room.now()))))
                        .orElseGet(Decision::done)));
    }

    @Override
    public Decision wipe(BoardOrder.Wipe order) {
        PlaceId place = place(order.in(), order.by());
        boolean own = order.of().filter(order.by()::equals).isPresent()
                && room.there().isPresent(order.by());
        Optional<Integer> page = order.of().isPresent()
                ? Optional.empty()
                : Optional.of(is.of(place).shown());
        boolean isThere = is.of(place).pages().stream()
                .filter(one -> page.map(id -> one.id() == id).orElse(true))
                .flatMap(one -> one.sheet().marks().stream())
                .anyMatch(mark -> order.of().map(mark.author()::equals).orElse(true));
        Decision wiped =
                isThere ? done(new BoardEvent.Wiped(order.of(), page, named(place), order.by(), room.now())) : done();
        return own ? wiped : room.who().adult(order.by(), HELP_STEER).orElse(wiped);
    }

    @Override
    public Decision takeAway(BoardOrder.TakeAway order) {
        return room.who().adult(order.by(), HELP_STEER).orElseGet(() -> {
            boolean mayDraw = room.there().isPresent(order.person())
                    && room.who().right(order.person(), DRAW).isEmpty();
            Decision curbed = mayDraw
                    ? RIGHTS.decide(
                            room.of(RIGHTS),
                            new RightsOrder.GiveCurb(order.person(), DRAW, order.length(), order.by()),
                            room)
                    : done();
            return curbed.either(
                    events -> {
                        var all = new ArrayList<LessonEvent>(events);
                        is.places().forEach((place, board) -> {
                            if (is.marks(place).stream()
                                    .anyMatch(mark -> mark.author().equals(order.person()))) {
                                all.add(new BoardEvent.Wiped(
                                        Optional.of(order.person()),
                                        Optional.empty(),
                                        named(place),
                                        order.by(),
                                        room.now()));
                            }
                        });
                        return new Decision.Done(all);
                    },
                    Decision.Refused::new);
        });
    }

    @Override
    public Decision point(BoardOrder.Point order) {
        if (!Drawing.pen(order.points()).isPossible()) {
            return Refusal.of(BoardRefusal.NOT_A_LINE);
        }
        return Acting.present(room, order.visit(), person -> room.who()
                .right(person, DRAW)
                .orElseGet(() -> shown(
                        person,
                        order.page(),
                        sheet -> done(new BoardEvent.Pointed(
                                person, List.copyOf(order.points()), order.page(), in(person), room.now())))));
    }

    @Override
    public Decision addPages(BoardOrder.AddPages order) {
        PlaceId place = place(order.in(), order.by());
        return room.who().adult(order.by(), HELP_STEER).orElseGet(() -> {
            if (order.under().isEmpty()) {
                return done();
            }
            return is.of(place).pages().size() + order.under().size() > BoardPart.PAGES
                    ? Refusal.of(BoardRefusal.TOO_MANY_PAGES)
                    : done(new BoardEvent.PagesAdded(List.copyOf(order.under()), named(place), order.by(), room.now()));
        });
    }

    @Override
    public Decision turn(BoardOrder.Turn order) {
        return page(
                order.by(),
                order.in(),
                order.page(),
                (board, place) -> board.shown() == order.page()
                        ? done()
                        : done(new BoardEvent.PageTurned(order.page(), named(place), order.by(), room.now())));
    }

    @Override
    public Decision removePage(BoardOrder.RemovePage order) {
        return page(
                order.by(),
                order.in(),
                order.page(),
                (board, place) -> board.pages().size() == 1
                        ? Refusal.of(BoardRefusal.LAST_PAGE)
                        : done(new BoardEvent.PageRemoved(order.page(), named(place), order.by(), room.now())));
    }

    private Decision page(PersonId by, Optional<PlaceId> in, int page, BiFunction<BoardPages, PlaceId, Decision> then) {
        PlaceId place = place(in, by);
        return room.who()
                .adult(by, HELP_STEER)
                .orElseGet(() -> is.of(place).page(page).isEmpty()
                        ? Refusal.of(BoardRefusal.NO_SUCH_PAGE)
                        : then.apply(is.of(place), place));
    }

    @Override
    public Decision bring(BoardOrder.Bring order) {
        PlaceId place = place(order.in(), order.by());
        return room.who().adult(order.by(), Catalogue.OPEN_BOARD_AGAIN).orElseGet(() -> {
            if (order.pages().isEmpty()) {
                return done();
            }
            int more =
                    order.pages().stream().mapToInt(one -> one.marks().size()).sum();
            if (is.of(place).pages().size() + order.pages().size() > BoardPart.PAGES) {
                return Refusal.of(BoardRefusal.TOO_MANY_PAGES);
            }
            return is.marks().size() + more > BoardPart.ALL_MARKS
                    ? Refusal.of(TOO_MUCH)
                    : done(new BoardEvent.Brought(
                            order.from(),
                            order.pages().stream().map(this::known).toList(),
                            named(place),
                            order.by(),
                            room.now()));
        });
    }

    /** Names only of those whom this lesson knows. */
    private BoardEvent.BroughtPage known(BoardEvent.BroughtPage page) {
        return new BoardEvent.BroughtPage(
                page.under(),
                page.marks().stream()
                        .map(mark -> room.plan().member(mark.author()).isPresent()
                                ? mark
                                : new BoardEvent.BroughtMark(BoardPart.EARLIER, mark.drawing()))
                        .toList());
    }

    /** On the page that is shown where somebody is. */
    private Decision shown(PersonId person, int page, Function<Sheet, Decision> then) {
        BoardPages board = is.of(room.where().placeOf(person));
        return board.shown() == page ? then.apply(board.shownPage().sheet()) : Refusal.of(BoardRefusal.PAGE_TURNED);
    }

    private Optional<PlaceId> in(PersonId person) {
        return named(room.where().placeOf(person));
    }

    private PlaceId place(Optional<PlaceId> in, PersonId by) {
        return in.orElseGet(() -> room.where().placeOf(by));
    }

    private static Optional<PlaceId> named(PlaceId place) {
        return Optional.of(place).filter(one -> !one.equals(PlaceId.TOGETHER));
    }
}
