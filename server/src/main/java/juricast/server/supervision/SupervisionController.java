package juricast.server.supervision;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import juricast.core.supervision.SupervisionOrder;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.Ordered;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Stopping everything, bringing it back, taking charge. */
@RestController
@RequestMapping("/api")
class SupervisionController {
    private final DeskOrders desk;

    SupervisionController(DeskOrders desk) {
        this.desk = desk;
    }

    record StopRequest(@Nullable String why) {}

    /** Stops everything in the lesson at once. */
    @PostMapping("/lessons/{lesson}/stop")
    @For({TEACHER, LEAD})
    Ordered stop(
            @PathVariable String lesson, @RequestBody StopRequest request, @AuthenticationPrincipal SignedIn caller) {
        String why = request.why == null ? "" : request.why;
        return desk.order(lesson, caller, new SupervisionOrder.StopEverything(why, caller.person()));
    }

    /** Everything that was stopped goes on. */
    @PostMapping("/lessons/{lesson}/resume")
    @For({TEACHER, LEAD})
    Ordered resume(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new SupervisionOrder.Resume(caller.person()));
    }

    /** A lead takes charge of a room without an adult. */
    @PostMapping("/lessons/{lesson}/take-charge")
    @For(LEAD)
    Ordered takeCharge(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new SupervisionOrder.TakeCharge(caller.person()));
    }
}
