package juricast.server.chat;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import juricast.core.chat.ChatOrder;
import juricast.core.chat.Readers;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.PlaceId;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.Ordered;
import juricast.server.lesson.SeatOrders;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is written, and what adults decide about what waits for them. */
@RestController
@RequestMapping("/api")
class ChatController {
    private final DeskOrders desk;
    private final SeatOrders seats;

    ChatController(DeskOrders desk, SeatOrders seats) {
        this.desk = desk;
        this.seats = seats;
    }

    /** @param person to whom, for one; none otherwise @param place to which group, for those in one place; none otherwise */
    record SayRequest(Readers.Kind to, @Nullable String person, @Nullable String place, @Nullable String text) {}

    /** Writes to the class, or to one person. */
    @PostMapping("/lessons/{lesson}/words")
    @For({TEACHER, LEAD})
    Ordered say(
            @PathVariable String lesson, @RequestBody SayRequest request, @AuthenticationPrincipal SignedIn caller) {
        VisitId visit = desk.presence(desk.known(lesson, caller), caller);
        return desk.order(
                lesson,
                caller,
                new ChatOrder.Say(visit, readers(request.to, request.person, request.place), text(request.text)));
    }

    /** Lets a message through that waits. */
    @PostMapping("/lessons/{lesson}/held/{number}/let-through")
    @For({TEACHER, LEAD})
    Ordered letThrough(
            @PathVariable String lesson, @PathVariable int number, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new ChatOrder.Release(number, true, caller.person()));
    }

    /** Keeps back a message that waits. */
    @PostMapping("/lessons/{lesson}/held/{number}/keep-back")
    @For({TEACHER, LEAD})
    Ordered keepBack(@PathVariable String lesson, @PathVariable int number, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new ChatOrder.Release(number, false, caller.person()));
    }

    /** Writes to the class or to the adults, where one may. */
    @PostMapping("/seats/{visit}/words")
    @For(anyone = true)
    Ordered sayAtSeat(@PathVariable String visit, @RequestBody SayRequest said, HttpServletRequest request) {
        Readers to = readers(said.to, said.person, said.place);
        return seats.order(seats.mine(visit, request), new ChatOrder.Say(new VisitId(visit), to, text(said.text)));
    }

    /** @throws Problem if nobody is named where one is written to */
    static Readers readers(Readers.Kind kind, @Nullable String person, @Nullable String place) {
        return switch (kind) {
            case ONE -> Readers.only(named(person));
            case ADULTS -> Readers.ADULTS;
            case CLASS -> Readers.CLASS;
            case PLACE -> place == null || place.isBlank() ? Readers.CLASS : Readers.in(new PlaceId(place));
        };
    }

    private static PersonId named(@Nullable String id) {
        if (id == null || id.isBlank()) {
            throw Problem.notReadable("Nobody is named", "Nothing was changed.", "Choose a person.", List.of());
        }
        return new PersonId(id);
    }

    private static String text(@Nullable String given) {
        return given == null ? "" : given;
    }
}
