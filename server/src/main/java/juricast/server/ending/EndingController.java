package juricast.server.ending;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import juricast.core.ending.EndingOrder;
import juricast.core.identity.PersonId;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.Ordered;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Ending a lesson for everybody, or for all but one. */
@RestController
@RequestMapping("/api")
class EndingController {
    private final DeskOrders desk;

    EndingController(DeskOrders desk) {
        this.desk = desk;
    }

    /** Ends the lesson for everybody. */
    @PostMapping("/lessons/{lesson}/dismiss")
    @For({TEACHER, LEAD})
    Ordered dismiss(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new EndingOrder.Dismiss(caller.person()));
    }

    /** Ends the lesson for all but one pupil, for a last word. */
    @PostMapping("/lessons/{lesson}/people/{person}/last-word")
    @For({TEACHER, LEAD})
    Ordered lastWord(
            @PathVariable String lesson, @PathVariable String person, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new EndingOrder.KeepBack(new PersonId(person), caller.person()));
    }
}
