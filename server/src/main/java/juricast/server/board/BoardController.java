package juricast.server.board;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Optional;
import juricast.core.board.BoardOrder;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.live.PlaceId;
import juricast.core.live.Visit;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
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
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The board: looked at, drawn on, wiped. */
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

    record LineRequest(@Nullable List<Integer> line) {}

    /** The board. @param in the page of which group; that of the place where the adult is where none is named */
    @GetMapping("/lessons/{lesson}/board")
    @For({TEACHER, LEAD})
    BoardJson.Board board(
            @PathVariable String lesson,
            @RequestParam(required = false) @Nullable String in,
            @AuthenticationPrincipal SignedIn caller) {
        return boardOf(desk.known(lesson, caller), caller.person(), place(in));
    }

    @PostMapping("/lessons/{lesson}/board/lines")
    @For({TEACHER, LEAD})
    BoardJson.Board draw(
            @PathVariable String lesson, @RequestBody LineRequest drawn, @AuthenticationPrincipal SignedIn caller) {
        LessonId id = desk.known(lesson, caller);
        desk.order(id, new BoardOrder.Draw(desk.presence(id, caller), line(drawn)));
        return boardOf(id, caller.person(), Optional.empty());
    }

    /** Wipes the board. @param of whose marks; all where nobody is named @param in as for looking at it */
    @DeleteMapping("/lessons/{lesson}/board")
    @For({TEACHER, LEAD})
    Ordered wipe(
            @PathVariable String lesson,
            @RequestParam(required = false) @Nullable String of,
            @RequestParam(required = false) @Nullable String in,
            @AuthenticationPrincipal SignedIn caller) {
        return desk.order(
                lesson,
                caller,
                new BoardOrder.Wipe(Optional.ofNullable(of).map(PersonId::new), place(in), caller.person()));
    }

    /** The board, for those who are in. */
    @GetMapping("/seats/{visit}/board")
    @For(anyone = true)
    BoardJson.Board boardAtSeat(@PathVariable String visit, HttpServletRequest request) {
        return boardOf(seats.mine(visit, request));
    }

    @PostMapping("/seats/{visit}/board/lines")
    @For(anyone = true)
    BoardJson.Board drawAtSeat(@PathVariable String visit, @RequestBody LineRequest drawn, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        seats.order(mine, new BoardOrder.Draw(mine.visit(), line(drawn)));
        return boardOf(mine);
    }

    /** Wipes one's own marks. */
    @DeleteMapping("/seats/{visit}/board")
    @For(anyone = true)
    BoardJson.Board wipeOwn(@PathVariable String visit, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        PersonId me = mine.person();
        seats.order(mine, new BoardOrder.Wipe(Optional.of(me), Optional.empty(), me));
        return boardOf(mine);
    }

    private BoardJson.Board boardOf(SeatOrders.Mine mine) {
        if (mine.now().status() != Visit.Status.IN) {
            throw Problem.notThere("Your seat");
        }
        return boardOf(mine.lesson(), mine.person(), Optional.empty());
    }

    private BoardJson.Board boardOf(LessonId lesson, PersonId me, Optional<PlaceId> in) {
        Snapshot now = lessons.look(lesson);
        return BoardJson.board(now, me, in.orElseGet(() -> now.state().where().placeOf(me)));
    }

    private static Optional<PlaceId> place(@Nullable String in) {
        return Optional.ofNullable(in).filter(one -> !one.isBlank()).map(PlaceId::new);
    }

    private static List<Integer> line(LineRequest drawn) {
        return drawn.line == null || drawn.line.contains(null) ? List.of() : drawn.line;
    }
}
