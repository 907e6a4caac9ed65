package juricast.server.board;

import static juricast.core.board.BoardPart.BOARD;
import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import juricast.core.board.BoardOrder;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonOrder;
import juricast.core.live.PlaceId;
import juricast.core.live.Visit;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.drawing.DrawingJson;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.Ordered;
import juricast.server.lesson.SeatOrders;
import juricast.server.lesson.Snapshot;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The board: looked at, drawn on, wiped, its pages turned. */
@RestController
@RequestMapping("/api")
class BoardController {
    private final LiveLessons lessons;
    private final DeskOrders desk;
    private final SeatOrders seats;

    BoardController(LiveLessons lessons, DeskOrders desk, SeatOrders seats) {
        this.lessons = lessons;
        this.desk = desk;
        this.seats = seats;
    }

    /** @param page on which one draws, as it is believed to be shown */
    record DrawRequest(int page, DrawingJson.DrawingBody drawing) {}

    record EraseRequest(int page, List<Integer> marks) {}

    record UndoRequest(int page) {}

    record PointRequest(int page, @Nullable List<Integer> points) {}

    /** @param in in which group; nothing: where the adult is */
    record PageRequest(int page, @Nullable String in) {}

    /** @param minutes for how long drawing is closed to them */
    record TakeAwayRequest(int minutes) {}

    /** A page of the board. @param in of which group; nothing: where the adult is @param page nothing: the one that is shown */
    @GetMapping("/lessons/{lesson}/board")
    @For({TEACHER, LEAD})
    BoardJson.BoardSheet board(
            @PathVariable String lesson,
            @RequestParam(required = false) @Nullable String in,
            @RequestParam(required = false) @Nullable Integer page,
            @AuthenticationPrincipal SignedIn caller) {
        Snapshot now = lessons.look(desk.known(lesson, caller));
        PlaceId place = place(in).orElseGet(() -> now.state().where().placeOf(caller.person()));
        int id = page == null ? now.state().of(BOARD).of(place).shown() : page;
        return BoardJson.sheet(now, caller.person(), place, id, lessons.now());
    }

    /** Draws marks on the board. */
    @PostMapping("/lessons/{lesson}/board/marks")
    @For({TEACHER, LEAD})
    Ordered draw(
            @PathVariable String lesson, @RequestBody DrawRequest drawn, @AuthenticationPrincipal SignedIn caller) {
        LessonId id = desk.known(lesson, caller);
        return desk.order(id, new BoardOrder.Draw(desk.presence(id, caller), drawn.page, drawn.drawing.drawing()));
    }

    /** Erases marks of the board, of all or of one person. */
    @PostMapping("/lessons/{lesson}/board/erase")
    @For({TEACHER, LEAD})
    Ordered erase(
            @PathVariable String lesson, @RequestBody EraseRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        LessonId id = desk.known(lesson, caller);
        return desk.order(
                id, new BoardOrder.Erase(desk.presence(id, caller), wanted.page, DrawingJson.points(wanted.marks)));
    }

    /** Takes back one's own last mark on the board. */
    @PostMapping("/lessons/{lesson}/board/undo")
    @For({TEACHER, LEAD})
    Ordered undo(
            @PathVariable String lesson, @RequestBody UndoRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        LessonId id = desk.known(lesson, caller);
        return desk.order(id, new BoardOrder.Undo(desk.presence(id, caller), wanted.page));
    }

    /** Points at a place of the board. */
    @PostMapping("/lessons/{lesson}/board/point")
    @For({TEACHER, LEAD})
    Ordered point(
            @PathVariable String lesson, @RequestBody PointRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        LessonId id = desk.known(lesson, caller);
        return desk.order(
                id, new BoardOrder.Point(desk.presence(id, caller), wanted.page, DrawingJson.points(wanted.points)));
    }

    /** Wipes the page that is shown, or all marks of one author. @param of whose; everybody's where nobody is named */
    @DeleteMapping("/lessons/{lesson}/board")
    @For({TEACHER, LEAD})
    Ordered wipe(
            @PathVariable String lesson,
            @RequestParam(required = false) @Nullable String of,
            @RequestParam(required = false) @Nullable String in,
            @AuthenticationPrincipal SignedIn caller) {
        Optional<PersonId> author =
                Optional.ofNullable(of).filter(one -> !one.isBlank()).map(PersonId::new);
        return order(lesson, caller, new BoardOrder.Wipe(author, place(in), caller.person()));
    }

    /** Closes drawing to one person, and wipes what they drew: one act. */
    @PostMapping("/lessons/{lesson}/board/people/{person}/take-away")
    @For({TEACHER, LEAD})
    Ordered takeAway(
            @PathVariable String lesson,
            @PathVariable String person,
            @RequestBody TakeAwayRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        Duration length = Duration.ofMinutes(Math.max(1, wanted.minutes));
        return order(lesson, caller, new BoardOrder.TakeAway(new PersonId(person), length, caller.person()));
    }

    /** Shows another page of the board. */
    @PutMapping("/lessons/{lesson}/board/page")
    @For({TEACHER, LEAD})
    Ordered turn(
            @PathVariable String lesson, @RequestBody PageRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        return order(lesson, caller, new BoardOrder.Turn(wanted.page, place(wanted.in), caller.person()));
    }

    /** An empty page after the one that is shown. */
    @PostMapping("/lessons/{lesson}/board/pages")
    @For({TEACHER, LEAD})
    Ordered addPage(
            @PathVariable String lesson,
            @RequestParam(required = false) @Nullable String in,
            @AuthenticationPrincipal SignedIn caller) {
        return order(lesson, caller, new BoardOrder.AddPages(List.of(Optional.empty()), place(in), caller.person()));
    }

    /** Removes a page of the board. */
    @DeleteMapping("/lessons/{lesson}/board/pages/{page}")
    @For({TEACHER, LEAD})
    Ordered removePage(
            @PathVariable String lesson,
            @PathVariable int page,
            @RequestParam(required = false) @Nullable String in,
            @AuthenticationPrincipal SignedIn caller) {
        return order(lesson, caller, new BoardOrder.RemovePage(page, place(in), caller.person()));
    }

    private Ordered order(String lesson, SignedIn caller, LessonOrder order) {
        return desk.order(lesson, caller, order);
    }

    /** The page that is shown, for those who are in. */
    @GetMapping("/seats/{visit}/board")
    @For(anyone = true)
    BoardJson.BoardSheet boardAtSeat(@PathVariable String visit, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        if (mine.now().status() != Visit.Status.IN) {
            throw Problem.notThere("Your seat");
        }
        Snapshot now = lessons.look(mine.lesson());
        PlaceId place = now.state().where().placeOf(mine.person());
        return BoardJson.sheet(
                now, mine.person(), place, now.state().of(BOARD).of(place).shown(), lessons.now());
    }

    /** Draws marks on the board from a seat. */
    @PostMapping("/seats/{visit}/board/marks")
    @For(anyone = true)
    Ordered drawAtSeat(@PathVariable String visit, @RequestBody DrawRequest drawn, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        return seats.order(mine, new BoardOrder.Draw(mine.visit(), drawn.page, drawn.drawing.drawing()));
    }

    /** Erases one's own marks of the board. */
    @PostMapping("/seats/{visit}/board/erase")
    @For(anyone = true)
    Ordered eraseAtSeat(@PathVariable String visit, @RequestBody EraseRequest wanted, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        return seats.order(mine, new BoardOrder.Erase(mine.visit(), wanted.page, DrawingJson.points(wanted.marks)));
    }

    /** Takes back one's own last mark. */
    @PostMapping("/seats/{visit}/board/undo")
    @For(anyone = true)
    Ordered undoAtSeat(@PathVariable String visit, @RequestBody UndoRequest wanted, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        return seats.order(mine, new BoardOrder.Undo(mine.visit(), wanted.page));
    }

    /** Points at a place of the board from a seat. */
    @PostMapping("/seats/{visit}/board/point")
    @For(anyone = true)
    Ordered pointAtSeat(@PathVariable String visit, @RequestBody PointRequest wanted, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        return seats.order(mine, new BoardOrder.Point(mine.visit(), wanted.page, DrawingJson.points(wanted.points)));
    }

    /** Wipes one's own marks. */
    @DeleteMapping("/seats/{visit}/board")
    @For(anyone = true)
    Ordered wipeOwn(@PathVariable String visit, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        return seats.order(mine, new BoardOrder.Wipe(Optional.of(mine.person()), Optional.empty(), mine.person()));
    }

    static Optional<PlaceId> place(@Nullable String in) {
        return Optional.ofNullable(in).filter(one -> !one.isBlank()).map(PlaceId::new);
    }
}
