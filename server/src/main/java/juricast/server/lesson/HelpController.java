package juricast.server.lesson;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.Optional;
import juricast.core.door.DoorOrder;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.rights.RightsOrder;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.RuleValue;
import juricast.core.signals.SignalsOrder;
import juricast.server.access.For;
import org.springframework.web.bind.annotation.*;

/** What a trusted pupil does to whom rights were lent: at the door, with raised hands, with the class chat (need F7). */
@RestController
@RequestMapping("/api/seats/{visit}/help")
class HelpController {
    private static final Duration TURN = Duration.ofMinutes(2);

    private final SeatOrders orders;

    HelpController(SeatOrders orders) {
        this.orders = orders;
    }

    record PauseRequest(boolean paused) {}

    /** Lets in who waits and is surely on the class list. */
    @PostMapping("/door/{arrival}")
    @For(anyone = true)
    SeatJson.Seat letIn(@PathVariable String visit, @PathVariable String arrival, HttpServletRequest request) {
        SeatOrders.Mine mine = orders.mine(visit, request);
        return orders.order(mine, new DoorOrder.Admit(new VisitId(arrival), Optional.empty(), mine.person()));
    }

    /** Lets somebody speak for two minutes whose hand is up. */
    @PostMapping("/hands/{person}")
    @For(anyone = true)
    SeatJson.Seat callOn(@PathVariable String visit, @PathVariable String person, HttpServletRequest request) {
        SeatOrders.Mine mine = orders.mine(visit, request);
        return orders.order(mine, new RightsOrder.GivePass(new PersonId(person), Catalogue.SPEAK, TURN, mine.person()));
    }

    @DeleteMapping("/hands/{person}")
    @For(anyone = true)
    SeatJson.Seat lower(@PathVariable String visit, @PathVariable String person, HttpServletRequest request) {
        SeatOrders.Mine mine = orders.mine(visit, request);
        return orders.order(mine, new SignalsOrder.LowerHand(new PersonId(person), mine.person()));
    }

    /** Pauses the class chat, or ends one's own pause. */
    @PutMapping("/chat")
    @For(anyone = true)
    SeatJson.Seat pause(@PathVariable String visit, @RequestBody PauseRequest wanted, HttpServletRequest request) {
        SeatOrders.Mine mine = orders.mine(visit, request);
        var value = new RuleValue(Catalogue.CLASS_CHAT, wanted.paused ? Permission.CLOSED : Permission.OPEN);
        return orders.order(mine, new RightsOrder.SetLive(value, mine.person()));
    }
}
