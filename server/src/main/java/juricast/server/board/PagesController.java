package juricast.server.board;

import static juricast.core.board.BoardPart.BOARD;
import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.board.BoardEvent;
import juricast.core.board.BoardOrder;
import juricast.core.board.BoardPage;
import juricast.core.board.BoardPages;
import juricast.core.board.Under;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonOrder;
import juricast.core.live.PlaceId;
import juricast.core.live.Visit;
import juricast.core.reading.Matter;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.SignedIn;
import juricast.server.access.Takes;
import juricast.server.classes.Classes;
import juricast.server.classes.Reading;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.Ordered;
import juricast.server.lesson.SeatOrders;
import juricast.server.lesson.Snapshot;
import juricast.server.problems.Problem;
import juricast.server.words.RefusalWords;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** What comes onto a board from elsewhere: pages of a PDF, photographs, a phone's camera, the board of an earlier lesson. */
@RestController
@RequestMapping("/api")
class PagesController {
    /** A form with a PDF or a photograph as a phone takes it. */
    static final int FILE = 12_000_000;

    private final LiveLessons lessons;
    private final DeskOrders desk;
    private final SeatOrders seats;
    private final PagePictures pictures;
    private final PhoneLinks phones;
    private final EarlierBoards earlier;
    private final Reading reading;
    private final RefusalWords refusals;

    PagesController(
            LiveLessons lessons,
            DeskOrders desk,
            SeatOrders seats,
            PagePictures pictures,
            PhoneLinks phones,
            EarlierBoards earlier,
            Reading reading,
            RefusalWords refusals) {
        this.lessons = lessons;
        this.desk = desk;
        this.seats = seats;
        this.pictures = pictures;
        this.phones = phones;
        this.earlier = earlier;
        this.reading = reading;
        this.refusals = refusals;
    }

    /** Pages of a PDF, or a picture, as pages of the board. */
    @PostMapping("/lessons/{lesson}/board/files")
    @Takes(FILE)
    @For({TEACHER, LEAD})
    Ordered bringFile(
            @PathVariable String lesson,
            @RequestParam MultipartFile file,
            @RequestParam(required = false) @Nullable String in,
            @AuthenticationPrincipal SignedIn caller)
            throws IOException {
        LessonId id = desk.known(lesson, caller);
        return bring(id, file.getBytes(), BoardController.place(in), caller.person());
    }

    /** Bytes are kept only if the rules allow it, but before anybody is told of them. */
    private Ordered bring(LessonId id, byte[] sent, Optional<PlaceId> place, PersonId by) {
        mayBring(id, added(List.of(new Under("", 1, 1)), place, by));
        List<Under> kept = pictures.keep(id, pictures.pages(sent));
        return order(id, added(kept, place, by), kept);
    }

    private static LessonOrder added(List<Under> under, Optional<PlaceId> place, PersonId by) {
        return new BoardOrder.AddPages(under.stream().map(Optional::of).toList(), place, by);
    }

    /** Says no before anything is drawn or kept that would not be let in. */
    private void mayBring(LessonId id, LessonOrder tried) {
        Snapshot now = lessons.look(id);
        now.at(lessons.now()).decide(tried).either(done -> null, refusal -> {
            throw refusals.problem(refusal, now.plan(), false);
        });
    }

    /** @param kept for it: dropped if it is refused after all */
    private Ordered order(LessonId id, LessonOrder order, List<Under> kept) {
        try {
            return desk.order(id, order);
        } catch (Problem refusedMeanwhile) {
            pictures.drop(kept);
            throw refusedMeanwhile;
        }
    }

    /** @param url where a phone opens it @param qr the same as a picture (SVG) @param until when it is of no use any more */
    record PhoneLink(String url, String qr, Instant until) {}

    /** A link, for once, by which the adult's own phone brings a picture onto the board. */
    @PostMapping("/lessons/{lesson}/board/phone")
    @For({TEACHER, LEAD})
    PhoneLink phone(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        LessonId id = desk.known(lesson, caller);
        return phones.make(id, caller.person(), lessons.now());
    }

    /** @param title of the lesson that the picture goes to */
    record Bringing(String title) {}

    /** For which lesson a link is; it does not use it up. */
    @GetMapping("/bring/{word}")
    @For(anyone = true)
    Bringing bringing(@PathVariable String word) {
        return new Bringing(
                lessons.look(phones.find(word, lessons.now()).lesson()).plan().title());
    }

    /** A picture from a phone. The link is used up by it, whether or not the picture could be read. */
    @PostMapping("/bring/{word}")
    @Takes(FILE)
    @For(anyone = true)
    Bringing bringFromPhone(@PathVariable String word, @RequestParam MultipartFile file) throws IOException {
        PhoneLinks.Bound to = phones.use(word, lessons.now());
        bring(to.lesson(), file.getBytes(), Optional.empty(), to.by());
        return new Bringing(lessons.look(to.lesson()).plan().title());
    }

    record EarlierBoard(String lesson, String title, Instant starts, int pages, int marks) {}

    /** Boards of finished lessons whose classes are the caller's, newest first. */
    @GetMapping("/lessons/{lesson}/board/earlier")
    @For({TEACHER, LEAD})
    List<EarlierBoard> earlier(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        desk.known(lesson, caller);
        return earlier.of(reading.classes(caller, Matter.REPLAY));
    }

    /** @param from the lesson whose board is opened again */
    record BringRequest(String from, @Nullable String in) {}

    /** Brings pages of the board of an earlier lesson. */
    @PostMapping("/lessons/{lesson}/board/earlier")
    @Noted("the board of an earlier lesson")
    @For({TEACHER, LEAD})
    Ordered bringEarlier(
            @PathVariable String lesson, @RequestBody BringRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        LessonId id = desk.known(lesson, caller);
        Classes.Planned from = reading.ofLesson(caller, Matter.REPLAY, wanted.from);
        Optional<PlaceId> place = BoardController.place(wanted.in);
        List<BoardEvent.BroughtPage> pages = earlier.pages(from.id());
        mayBring(id, new BoardOrder.Bring(from.id(), pages, place, caller.person()));
        List<BoardEvent.BroughtPage> copied = pages.stream()
                .map(page ->
                        new BoardEvent.BroughtPage(page.under().flatMap(one -> pictures.copy(one, id)), page.marks()))
                .toList();
        return order(
                id,
                new BoardOrder.Bring(from.id(), copied, place, caller.person()),
                copied.stream().flatMap(page -> page.under().stream()).toList());
    }

    /** The picture under a page. */
    @GetMapping(path = "/lessons/{lesson}/board/pictures/{file}", produces = "image/png")
    @For({TEACHER, LEAD})
    ResponseEntity<byte[]> picture(
            @PathVariable String lesson, @PathVariable String file, @AuthenticationPrincipal SignedIn caller) {
        Snapshot now = lessons.look(desk.known(lesson, caller));
        return picture(
                file,
                now.state().of(BOARD).places().values().stream()
                        .flatMap(board -> board.pages().stream())
                        .toList());
    }

    /** The same for a seat: of the page that is shown and no other. */
    @GetMapping(path = "/seats/{visit}/board/pictures/{file}", produces = "image/png")
    @For(anyone = true)
    ResponseEntity<byte[]> pictureAtSeat(
            @PathVariable String visit, @PathVariable String file, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        if (mine.now().status() != Visit.Status.IN) {
            throw Problem.notThere("Your seat");
        }
        Snapshot now = lessons.look(mine.lesson());
        BoardPages board = now.state().of(BOARD).of(now.state().where().placeOf(mine.person()));
        return picture(file, List.of(board.shownPage()));
    }

    private ResponseEntity<byte[]> picture(String file, List<BoardPage> pages) {
        boolean isThere = pages.stream().flatMap(page -> page.under().stream()).anyMatch(one -> one.file()
                .equals(file));
        PagePictures.Kept found = Optional.of(file)
                .filter(any -> isThere)
                .flatMap(pictures::find)
                .orElseThrow(() -> Problem.notThere("This picture"));
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(found.type()))
                .cacheControl(CacheControl.maxAge(Duration.ofHours(2)).cachePrivate())
                .body(found.bytes());
    }
}
