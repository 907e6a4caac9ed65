package juricast.server.slates;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonOrder;
import juricast.core.live.Visit;
import juricast.core.slates.Ground;
import juricast.core.slates.SlatesOrder;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.drawing.DrawingJson;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.Ordered;
import juricast.server.lesson.SeatOrders;
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
import org.springframework.web.bind.annotation.RestController;

/** Slates: given out, drawn on, collected, shown. */
@RestController
@RequestMapping("/api")
class SlatesController {
    private final LiveLessons lessons;
    private final DeskOrders desk;
    private final SeatOrders seats;

    SlatesController(LiveLessons lessons, DeskOrders desk, SeatOrders seats) {
        this.lessons = lessons;
        this.desk = desk;
        this.seats = seats;
    }

    record SlatesRequest(@Nullable String task, Ground ground) {}

    /** @param person to whom; nothing: to all */
    record GiveBackRequest(@Nullable String person) {}

    /** @param people whose slates @param named whether the class is told whose they are */
    record ShowSlatesRequest(List<String> people, boolean named) {}

    /** @param marks which; none: all */
    record WipeSlateRequest(@Nullable List<Integer> marks) {}

    /** Everybody's slate. */
    @GetMapping("/lessons/{lesson}/slates")
    @For({TEACHER, LEAD})
    SlatesJson.AllSlates slates(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return SlatesJson.all(lessons.look(desk.known(lesson, caller)));
    }

    /** Gives out slates. */
    @PostMapping("/lessons/{lesson}/slates")
    @For({TEACHER, LEAD})
    Ordered giveOut(
            @PathVariable String lesson, @RequestBody SlatesRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        String task = wanted.task == null ? "" : wanted.task;
        return order(lesson, caller, new SlatesOrder.GiveOut(task, wanted.ground, caller.person()));
    }

    /** Takes the slates away. */
    @DeleteMapping("/lessons/{lesson}/slates")
    @For({TEACHER, LEAD})
    Ordered takeAway(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return order(lesson, caller, new SlatesOrder.TakeAway(caller.person()));
    }

    /** Collects the slates. */
    @PostMapping("/lessons/{lesson}/slates/collect")
    @For({TEACHER, LEAD})
    Ordered collect(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return order(lesson, caller, new SlatesOrder.Collect(caller.person()));
    }

    /** Gives the slates back. */
    @PostMapping("/lessons/{lesson}/slates/give-back")
    @For({TEACHER, LEAD})
    Ordered giveBack(
            @PathVariable String lesson,
            @RequestBody GiveBackRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        Optional<PersonId> to =
                Optional.ofNullable(wanted.person).filter(one -> !one.isBlank()).map(PersonId::new);
        return order(lesson, caller, new SlatesOrder.GiveBack(to, caller.person()));
    }

    /** Shows the class some slates. */
    @PutMapping("/lessons/{lesson}/slates/shown")
    @For({TEACHER, LEAD})
    Ordered show(
            @PathVariable String lesson,
            @RequestBody ShowSlatesRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        List<PersonId> people = wanted.people.stream()
                .filter(one -> one != null && !one.isBlank())
                .map(PersonId::new)
                .toList();
        return order(lesson, caller, new SlatesOrder.Show(people, wanted.named, caller.person()));
    }

    /** Shows the class no slate any more. */
    @DeleteMapping("/lessons/{lesson}/slates/shown")
    @For({TEACHER, LEAD})
    Ordered hide(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return order(lesson, caller, new SlatesOrder.Hide(caller.person()));
    }

    private Ordered order(String lesson, SignedIn caller, LessonOrder order) {
        return desk.order(lesson, caller, order);
    }

    /** One's own slate, and nobody else's. */
    @GetMapping("/seats/{visit}/slate")
    @For(anyone = true)
    SlatesJson.AllSlates own(@PathVariable String visit, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        if (mine.now().status() != Visit.Status.IN) {
            throw Problem.notThere("Your seat");
        }
        return SlatesJson.own(lessons.look(mine.lesson()), mine.person());
    }

    /** Draws on the own slate. */
    @PostMapping("/seats/{visit}/slate/marks")
    @For(anyone = true)
    Ordered draw(@PathVariable String visit, @RequestBody DrawingJson.DrawingBody drawn, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        return seats.order(mine, new SlatesOrder.Draw(mine.visit(), drawn.drawing()));
    }

    /** Takes back the last mark on the own slate. */
    @PostMapping("/seats/{visit}/slate/undo")
    @For(anyone = true)
    Ordered undo(@PathVariable String visit, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        return seats.order(mine, new SlatesOrder.Undo(mine.visit()));
    }

    /** Wipes the own slate. */
    @PostMapping("/seats/{visit}/slate/wipe")
    @For(anyone = true)
    Ordered wipe(@PathVariable String visit, @RequestBody WipeSlateRequest which, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        return seats.order(mine, new SlatesOrder.Wipe(mine.visit(), DrawingJson.points(which.marks)));
    }

    /** Hands the own slate in. */
    @PostMapping("/seats/{visit}/slate/hand-in")
    @For(anyone = true)
    Ordered handIn(@PathVariable String visit, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        return seats.order(mine, new SlatesOrder.HandIn(mine.visit()));
    }
}
