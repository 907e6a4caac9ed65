package juricast.server.lines;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletRequest;
import juricast.core.identity.VisitId;
import juricast.core.lines.LinesOrder;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.Ordered;
import juricast.server.lesson.SeatOrders;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Weak lines, as browsers notice them. */
@RestController
@RequestMapping("/api")
class LinesController {
    private final DeskOrders desk;
    private final SeatOrders seats;

    LinesController(DeskOrders desk, SeatOrders seats) {
        this.desk = desk;
        this.seats = seats;
    }

    record LineState(boolean weak) {}

    /** Tells that one's own line became weak, or carries again. */
    @PutMapping("/seats/{visit}/line")
    @For(anyone = true)
    Ordered tell(@PathVariable String visit, @RequestBody LineState line, HttpServletRequest request) {
        return seats.order(seats.mine(visit, request), new LinesOrder.Tell(new VisitId(visit), line.weak));
    }

    /** Leaves the lesson as it is, though lines are weak: it is asked again only when more are. */
    @PostMapping("/lessons/{lesson}/lines/leave")
    @For({TEACHER, LEAD})
    Ordered leave(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new LinesOrder.Leave(caller.person()));
    }
}
