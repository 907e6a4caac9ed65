package juricast.server.help;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import juricast.core.help.HelpOrder;
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

/** Staying for questions when a lesson is over. */
@RestController
@RequestMapping("/api/lessons/{lesson}")
class HelpController {
    private final DeskOrders desk;

    HelpController(DeskOrders desk) {
        this.desk = desk;
    }

    /** @param minutes how long it is meant to go on */
    record StayRequest(int minutes) {}

    /** The lesson is over for the class, and goes over into a help hour. 409 before its last ten minutes. */
    @PostMapping("/help-hour")
    @For({TEACHER, LEAD})
    Ordered stay(
            @PathVariable String lesson, @RequestBody StayRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new HelpOrder.Stay(wanted.minutes, caller.person()));
    }
}
