package juricast.server.board;

import static juricast.core.board.BoardPart.BOARD;
import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import juricast.core.board.BoardPage;
import juricast.core.board.BoardPages;
import juricast.core.board.Under;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.live.PlaceId;
import juricast.core.live.Visit;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.SignedIn;
import juricast.server.files.Download;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.SeatOrders;
import juricast.server.lesson.Snapshot;
import juricast.server.problems.Problem;
import juricast.server.words.RefusalWords;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The board as a file, for those who may save it (rule share.save-board). */
@RestController
@RequestMapping("/api")
class BoardFilesController {
    private final LiveLessons lessons;
    private final DeskOrders desk;
    private final SeatOrders seats;
    private final PagePictures pictures;
    private final PageDrawing drawing;
    private final RefusalWords refusals;

    BoardFilesController(
            LiveLessons lessons,
            DeskOrders desk,
            SeatOrders seats,
            PagePictures pictures,
            PageDrawing drawing,
            RefusalWords refusals) {
        this.lessons = lessons;
        this.desk = desk;
        this.seats = seats;
        this.pictures = pictures;
        this.drawing = drawing;
        this.refusals = refusals;
    }

    /** One page. @param page nothing: the one that is shown */
    @GetMapping(path = "/lessons/{lesson}/board.svg", produces = "image/svg+xml")
    @Noted(value = "the board, as a drawing", takenAway = true)
    @For({TEACHER, LEAD})
    ResponseEntity<byte[]> svg(
            @PathVariable String lesson,
            @RequestParam(required = false) @Nullable String in,
            @RequestParam(required = false) @Nullable Integer page,
            @AuthenticationPrincipal SignedIn caller) {
        Snapshot now = mine(lesson, caller);
        BoardPages board = board(now, in, caller.person());
        return svg(now, board.page(page == null ? board.shown() : page).orElseGet(board::shownPage));
    }

    /** All pages. */
    @GetMapping(path = "/lessons/{lesson}/board.pdf", produces = "application/pdf")
    @Noted(value = "the board, on paper", takenAway = true)
    @For({TEACHER, LEAD})
    ResponseEntity<byte[]> pdf(
            @PathVariable String lesson,
            @RequestParam(required = false) @Nullable String in,
            @AuthenticationPrincipal SignedIn caller) {
        Snapshot now = mine(lesson, caller);
        return pdf(now, board(now, in, caller.person()).pages());
    }

    private Snapshot mine(String lesson, SignedIn caller) {
        LessonId id = desk.known(lesson, caller);
        Snapshot now = lessons.look(id);
        maySave(now, caller.person(), false);
        return now;
    }

    private static BoardPages board(Snapshot now, @Nullable String in, PersonId me) {
        PlaceId place =
                BoardController.place(in).orElseGet(() -> now.state().where().placeOf(me));
        return now.state().of(BOARD).of(place);
    }

    /** The page that is shown, and no other. */
    @GetMapping(path = "/seats/{visit}/board.svg", produces = "image/svg+xml")
    @For(anyone = true)
    ResponseEntity<byte[]> svgAtSeat(@PathVariable String visit, HttpServletRequest request) {
        Seen seen = seen(visit, request);
        return svg(seen.now, seen.page);
    }

    /** The board as one's seat sees it, on paper. */
    @GetMapping(path = "/seats/{visit}/board.pdf", produces = "application/pdf")
    @For(anyone = true)
    ResponseEntity<byte[]> pdfAtSeat(@PathVariable String visit, HttpServletRequest request) {
        Seen seen = seen(visit, request);
        return pdf(seen.now, List.of(seen.page));
    }

    private record Seen(Snapshot now, BoardPage page) {}

    private Seen seen(String visit, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        if (mine.now().status() != Visit.Status.IN) {
            throw Problem.notThere("Your seat");
        }
        Snapshot now = lessons.look(mine.lesson());
        maySave(now, mine.person(), true);
        return new Seen(
                now,
                now.state()
                        .of(BOARD)
                        .of(now.state().where().placeOf(mine.person()))
                        .shownPage());
    }

    private void maySave(Snapshot at, PersonId person, boolean toPupil) {
        BoardJson.keepsNone(at, person, lessons.now())
                .ifPresent(no -> no.either(done -> null, refusal -> {
                    throw refusals.problem(refusal, at.plan(), toPupil);
                }));
    }

    private ResponseEntity<byte[]> svg(Snapshot at, BoardPage page) {
        return Download.svg(
                "board " + at.plan().title(),
                drawing.svg(page, "The board of " + at.plan().title()));
    }

    private ResponseEntity<byte[]> pdf(Snapshot at, List<BoardPage> pages) {
        return Download.pdf(
                "board " + at.plan().title(),
                BoardPdf.of(
                        "The board of " + at.plan().title(),
                        pages.stream()
                                .map(page -> new BoardPdf.Leaf(
                                        page,
                                        page.under()
                                                .map(Under::file)
                                                .flatMap(pictures::find)
                                                .map(PagePictures.Kept::bytes)))
                                .toList()));
    }
}
