package juricast.server.door;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import juricast.core.door.DoorOrder;
import juricast.core.entry.Arrival;
import juricast.core.entry.Doorstep;
import juricast.core.identity.VisitId;
import juricast.server.access.For;
import juricast.server.classes.Classes;
import juricast.server.data.Ids;
import juricast.server.lesson.SeatOrders;
import juricast.server.problems.Problem;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;

/** The way back for who has left a lesson, or stays for a question after it. */
@RestController
class KnockAgainController {
    private final SeatOrders seats;
    private final Classes classes;
    private final KnockLimits limits;
    private final DoorstepWords words;

    KnockAgainController(SeatOrders seats, Classes classes, KnockLimits limits, DoorstepWords words) {
        this.words = words;
        this.seats = seats;
        this.classes = classes;
        this.limits = limits;
    }

    record KnockedAgain(String visit) {}

    /**
     * Knocks again at the lesson of a seat that was left, by the account of the school that it was taken with. Whoever came by a
     * link comes by it again: it may have been renewed since.
     */
    @PostMapping("/api/seats/{visit}/knock-again")
    @For(anyone = true)
    KnockedAgain again(@PathVariable String visit, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        Arrival before = mine.now().arrival();
        if (!before.hasAccount() || mine.now().goesOn()) {
            throw Problem.refused(
                    "no-knock-from-here",
                    "You cannot knock from here",
                    "Nothing has changed.",
                    "Open the link in your joining note, and knock there.");
        }
        Classes.SchoolClass ofClass = classes.lesson(mine.lesson())
                .flatMap(lesson -> classes.find(lesson.ofClass()))
                .orElseThrow(() -> Problem.notThere("This lesson"));
        var counted = limits.comer(ofClass, before.device(), request.getRemoteAddr(), before.account());
        if (!limits.takeKnock(counted)) {
            throw words.problem(Doorstep.Refusal.TOO_MANY_KNOCKS);
        }
        var arrival = new Arrival(
                new VisitId(Ids.next()),
                before.device(),
                before.claimedName(),
                before.account(),
                before.link(),
                before.agreed(),
                Optional.empty());
        seats.order(mine, new DoorOrder.Knock(arrival));
        return new KnockedAgain(arrival.visit().value());
    }
}
