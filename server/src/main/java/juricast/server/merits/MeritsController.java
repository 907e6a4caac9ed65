package juricast.server.merits;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import juricast.core.identity.PersonId;
import juricast.core.merits.MeritsOrder;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.Ordered;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Giving merits. */
@RestController
@RequestMapping("/api/lessons/{lesson}/people/{person}/merits")
class MeritsController {
    private final DeskOrders desk;

    MeritsController(DeskOrders desk) {
        this.desk = desk;
    }

    /** @param reason what it is for; the pupil reads it */
    record MeritRequest(String reason) {}

    @PostMapping
    @For({TEACHER, LEAD})
    Ordered give(
            @PathVariable String lesson,
            @PathVariable String person,
            @RequestBody MeritRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new MeritsOrder.Give(new PersonId(person), wanted.reason, caller.person()));
    }
}
