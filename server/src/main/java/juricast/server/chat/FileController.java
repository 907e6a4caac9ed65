package juricast.server.chat;

import static juricast.core.chat.ChatPart.CHAT;
import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import juricast.core.audience.DeskView;
import juricast.core.audience.SeatView;
import juricast.core.chat.ChatOrder;
import juricast.core.chat.HeldWords;
import juricast.core.chat.Readers;
import juricast.core.chat.SentFile;
import juricast.core.chat.Words;
import juricast.core.identity.LessonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonOrder;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.SignedIn;
import juricast.server.access.Takes;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.Ordered;
import juricast.server.lesson.SeatOrders;
import juricast.server.lesson.Snapshot;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;
import org.springframework.web.multipart.MultipartFile;

/** Files in the chat: sent as words are, and fetched by exactly those who may read the words. */
@RestController
@RequestMapping("/api")
class FileController {
    private final LiveLessons lessons;
    private final DeskOrders desk;
    private final SeatOrders seats;
    private final LessonFiles files;

    FileController(LiveLessons lessons, DeskOrders desk, SeatOrders seats, LessonFiles files) {
        this.lessons = lessons;
        this.desk = desk;
        this.seats = seats;
        this.files = files;
    }

    /** Sends a file from a seat. */
    @PostMapping("/seats/{visit}/files")
    @Takes(Takes.FORM)
    @For(anyone = true)
    Ordered sendFromSeat(
            @PathVariable String visit,
            @RequestParam MultipartFile file,
            @RequestParam Readers.Kind to,
            @RequestParam(required = false) @Nullable String person,
            @RequestParam(required = false) @Nullable String place,
            HttpServletRequest request)
            throws IOException {
        SeatOrders.Mine mine = seats.mine(visit, request);
        return send(
                mine.lesson(),
                file,
                sent -> new ChatOrder.SendFile(mine.visit(), ChatController.readers(to, person, place), sent),
                order -> seats.order(mine, order));
    }

    /** Sends a file from the desk. */
    @PostMapping("/lessons/{lesson}/files")
    @Takes(Takes.FORM)
    @For({TEACHER, LEAD})
    Ordered sendFromDesk(
            @PathVariable String lesson,
            @RequestParam MultipartFile file,
            @RequestParam Readers.Kind to,
            @RequestParam(required = false) @Nullable String person,
            @RequestParam(required = false) @Nullable String place,
            @AuthenticationPrincipal SignedIn caller)
            throws IOException {
        LessonId id = desk.known(lesson, caller);
        VisitId visit = desk.presence(id, caller);
        return send(
                id,
                file,
                sent -> new ChatOrder.SendFile(visit, ChatController.readers(to, person, place), sent),
                order -> desk.order(lesson, caller, order));
    }

    /** Fetches a file that was sent. */
    @GetMapping("/seats/{visit}/files/{number}")
    @For(anyone = true)
    ResponseEntity<byte[]> fetchAtSeat(
            @PathVariable String visit, @PathVariable int number, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        Snapshot live = lessons.look(mine.lesson());
        return fetch(SeatView.of(live.plan(), live.state(), live.rules(), mine.visit(), lessons.now()).words().stream()
                .filter(one -> one.number() == number)
                .map(Words::file)
                .flatMap(Optional::stream));
    }

    /** Adults look at what waits for them, too. */
    @GetMapping("/lessons/{lesson}/files/{number}")
    @Noted(value = "a file", takenAway = true)
    @For({TEACHER, LEAD})
    ResponseEntity<byte[]> fetchAtDesk(
            @PathVariable String lesson, @PathVariable int number, @AuthenticationPrincipal SignedIn caller) {
        Snapshot live = lessons.look(desk.known(lesson, caller));
        Stream<SentFile> said = DeskView.words(live.plan(), live.state(), 0).stream()
                .filter(one -> one.number() == number)
                .map(Words::file)
                .flatMap(Optional::stream);
        Stream<SentFile> held = live.state().of(CHAT).held().stream()
                .filter(one -> one.number() == number)
                .map(HeldWords::file)
                .flatMap(Optional::stream);
        return fetch(Stream.concat(said, held));
    }

    /** Bytes go to the disk only if the rules allow the file, but before anybody is told that there is one. */
    private <V> @Nullable V send(
            LessonId lesson,
            MultipartFile upload,
            Function<SentFile, LessonOrder> asOrder,
            Function<LessonOrder, @Nullable V> give)
            throws IOException {
        String name = upload.getOriginalFilename() == null ? "" : upload.getOriginalFilename();
        byte[] bytes = upload.getBytes();
        SentFile file = files.told(name, bytes);
        LessonOrder order = asOrder.apply(file);
        boolean isAllowed =
                lessons.look(lesson).at(lessons.now()).decide(order).either(events -> true, refusal -> false);
        if (!isAllowed) {
            return give.apply(order); // refused once more, with the reason
        }
        files.keep(lesson, file, bytes);
        try {
            return give.apply(order);
        } catch (Problem refusedMeanwhile) {
            files.drop(file);
            throw refusedMeanwhile;
        }
    }

    private ResponseEntity<byte[]> fetch(Stream<SentFile> found) {
        return files.download(found.findFirst());
    }
}
