package juricast.server.chat;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.stream.Collectors;
import juricast.core.audience.ChatSeat;
import juricast.core.audience.SeatView;
import juricast.core.chat.Readers;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.Visit;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.SignedIn;
import juricast.server.data.School;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.SeatOrders;
import juricast.server.lesson.Snapshot;
import juricast.server.problems.Problem;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A copy of what was written, to keep: for whom the rules let keep one, and of what they could read. */
@RestController
@RequestMapping("/api")
class CopyController {
    private static final MediaType TEXT = new MediaType(MediaType.TEXT_PLAIN, StandardCharsets.UTF_8);

    private final LiveLessons lessons;
    private final DeskOrders desk;
    private final SeatOrders seats;
    private final School school;

    CopyController(LiveLessons lessons, DeskOrders desk, SeatOrders seats, School school) {
        this.lessons = lessons;
        this.desk = desk;
        this.seats = seats;
        this.school = school;
    }

    /** What this seat has read, as text. 409 where the rules let it keep no copy. */
    @GetMapping("/seats/{visit}/words.txt")
    @For(anyone = true)
    ResponseEntity<byte[]> ofSeat(@PathVariable String visit, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        Snapshot at = lessons.look(mine.lesson());
        Instant now = lessons.now();
        Role role = SeatView.roleOf(at.plan(), mine.now());
        if (mine.now().status() != Visit.Status.IN || !ChatSeat.mayKeep(at.rights(now), mine.person(), role, now)) {
            throw closed();
        }
        return file(
                at,
                ChatJson.heard(at, mine.visit(), 0).stream()
                        .map(one ->
                                line(one.at(), one.mine() ? at.plan().nameOf(mine.person()) : one.from(), one.text()))
                        .toList());
    }

    /** All that was written so far, as text, for its adults. 409 where the rules let them keep no copy. */
    @GetMapping("/lessons/{lesson}/words.txt")
    @Noted(value = "a copy of the words of a lesson", takenAway = true)
    @For({TEACHER, LEAD})
    ResponseEntity<byte[]> ofDesk(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        Snapshot at = lessons.look(desk.known(lesson, caller));
        Instant now = lessons.now();
        PersonId me = caller.person();
        if (!ChatSeat.mayKeep(at.rights(now), me, at.plan().roleOf(me), now)) {
            throw closed();
        }
        return file(
                at,
                ChatJson.messages(at, 0).stream()
                        .map(one -> line(
                                one.at(),
                                one.to() == Readers.Kind.ONE ? one.fromName() + " to " + one.toName() : one.fromName(),
                                one.text()))
                        .toList());
    }

    private String line(Instant at, String from, String text) {
        return "%s %s: %s".formatted(school.clockTime(at), from, text);
    }

    private ResponseEntity<byte[]> file(Snapshot at, List<String> lines) {
        String head = "%s, %s"
                .formatted(at.plan().title(), school.dayAndYear(at.plan().time().from()));
        String name =
                ContentDisposition.attachment().filename("words.txt").build().toString();
        return ResponseEntity.ok()
                .contentType(TEXT)
                .header(HttpHeaders.CONTENT_DISPOSITION, name)
                .body(lines.stream()
                        .collect(Collectors.joining("\n", head + "\n\n", "\n"))
                        .getBytes(StandardCharsets.UTF_8));
    }

    private static Problem closed() {
        return Problem.refused(
                "no-copy",
                "The rules let you keep no copy of the chat",
                "Nothing was saved. The school keeps its own record.",
                "Ask your teacher, or the safeguarding lead.");
    }
}
