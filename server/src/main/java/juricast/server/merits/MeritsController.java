package juricast.server.merits;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.util.List;
import juricast.core.identity.PersonId;
import juricast.core.merits.MeritsOrder;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.Ordered;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Giving merits, and taking one back. */
@RestController
@RequestMapping("/api/lessons/{lesson}/merits")
class MeritsController {
    private final DeskOrders desk;

    MeritsController(DeskOrders desk) {
        this.desk = desk;
    }

    /** @param people who gets one each @param reason what it is for; the pupil reads it */
    record MeritRequest(List<String> people, String reason) {}

    /** Gives merits to one or many. */
    @PostMapping
    @For({TEACHER, LEAD})
    Ordered give(
            @PathVariable String lesson, @RequestBody MeritRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        List<PersonId> people = wanted.people.stream()
                .filter(one -> one != null && !one.isBlank())
                .map(PersonId::new)
                .toList();
        return desk.order(lesson, caller, new MeritsOrder.Give(people, wanted.reason, caller.person()));
    }

    /** Takes a merit back. */
    @DeleteMapping("/{number}")
    @For({TEACHER, LEAD})
    Ordered takeBack(@PathVariable String lesson, @PathVariable int number, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new MeritsOrder.TakeBack(number, caller.person()));
    }
}
