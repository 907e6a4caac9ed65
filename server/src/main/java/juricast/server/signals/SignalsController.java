package juricast.server.signals;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.signals.Sign;
import juricast.core.signals.SignalsOrder;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.Ordered;
import juricast.server.lesson.SeatOrders;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Hands and signals, and who stands before everybody. */
@RestController
@RequestMapping("/api")
class SignalsController {
    private final DeskOrders desk;
    private final SeatOrders seats;

    SignalsController(DeskOrders desk, SeatOrders seats) {
        this.desk = desk;
        this.seats = seats;
    }

    record FocusRequest(@Nullable String person) {}

    record FocusAnswer(boolean yes) {}

    /** Lowers a hand. */
    @PostMapping("/lessons/{lesson}/people/{person}/lower-hand")
    @For({TEACHER, LEAD})
    Ordered lowerHand(
            @PathVariable String lesson, @PathVariable String person, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new SignalsOrder.LowerHand(new PersonId(person), caller.person()));
    }

    /** Every hand down at once. */
    @PostMapping("/lessons/{lesson}/hands/down")
    @For({TEACHER, LEAD})
    Ordered handsDown(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new SignalsOrder.HandsDown(caller.person()));
    }

    /** Clears all signs of the class. */
    @PostMapping("/lessons/{lesson}/signs/clear")
    @For({TEACHER, LEAD})
    Ordered clearSigns(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new SignalsOrder.ClearSigns(caller.person()));
    }

    /** Shows one person large to everybody, or ends it. Where the rules make it a choice, the person is asked first. */
    @PutMapping("/lessons/{lesson}/focus")
    @For({TEACHER, LEAD})
    Ordered focus(@PathVariable String lesson, @RequestBody FocusRequest on, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(
                lesson,
                caller,
                new SignalsOrder.Focus(Optional.ofNullable(on.person).map(PersonId::new), caller.person()));
    }

    /** Raises one's own hand. */
    @PutMapping("/seats/{visit}/hand")
    @For(anyone = true)
    Ordered raiseHand(@PathVariable String visit, HttpServletRequest request) {
        return seats.order(seats.mine(visit, request), new SignalsOrder.RaiseHand(new VisitId(visit)));
    }

    /** Lowers one's own hand. */
    @DeleteMapping("/seats/{visit}/hand")
    @For(anyone = true)
    Ordered lowerOwnHand(@PathVariable String visit, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        PersonId me = mine.person();
        return seats.order(mine, new SignalsOrder.LowerHand(me, me));
    }

    /** Shows a sign. */
    @PutMapping("/seats/{visit}/sign/{sign}")
    @For(anyone = true)
    Ordered showSign(@PathVariable String visit, @PathVariable Sign sign, HttpServletRequest request) {
        return seats.order(
                seats.mine(visit, request), new SignalsOrder.ShowSign(new VisitId(visit), Optional.of(sign)));
    }

    /** Takes one's own sign back. */
    @DeleteMapping("/seats/{visit}/sign")
    @For(anyone = true)
    Ordered takeSignBack(@PathVariable String visit, HttpServletRequest request) {
        return seats.order(seats.mine(visit, request), new SignalsOrder.ShowSign(new VisitId(visit), Optional.empty()));
    }

    /** Says yes or no to being shown large to everybody. */
    @PutMapping("/seats/{visit}/focus")
    @For(anyone = true)
    Ordered answerFocus(@PathVariable String visit, @RequestBody FocusAnswer answer, HttpServletRequest request) {
        return seats.order(seats.mine(visit, request), new SignalsOrder.AnswerFocus(new VisitId(visit), answer.yes));
    }

    /** A class monitor lowers somebody's hand. */
    @DeleteMapping("/seats/{visit}/help/hands/{person}")
    @For(anyone = true)
    Ordered lower(@PathVariable String visit, @PathVariable String person, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        return seats.order(mine, new SignalsOrder.LowerHand(new PersonId(person), mine.person()));
    }
}
