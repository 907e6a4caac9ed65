package juricast.server.rights;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsOrder;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.Ordered;
import juricast.server.lesson.SeatOrders;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is switched on and off, ordered for all, lent to one and closed to one. */
@RestController
@RequestMapping("/api")
class RightsController {
    private static final Duration TURN = Duration.ofMinutes(2);

    private final DeskOrders desk;
    private final SeatOrders seats;

    RightsController(DeskOrders desk, SeatOrders seats) {
        this.desk = desk;
        this.seats = seats;
    }

    record MuteRequest(boolean keepMuted) {}

    /** @param minutes after which it is as before by itself; none for as long as the lesson lasts */
    record SettingRequest(String rule, String value, @Nullable Integer minutes) {}

    record LoanRequest(String person, String rule, int minutes) {}

    record LightRequest(boolean on) {}

    record PauseRequest(boolean paused) {}

    /** Turns all microphones of the class off. */
    @PostMapping("/lessons/{lesson}/mute-all")
    @For({TEACHER, LEAD})
    Ordered muteAll(
            @PathVariable String lesson, @RequestBody MuteRequest request, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new RightsOrder.MuteAll(request.keepMuted, caller.person()));
    }

    /** Gives passes to speak back that "mute all" has just ended. */
    @PostMapping("/lessons/{lesson}/mute-all/undo")
    @For({TEACHER, LEAD})
    Ordered undoMuteAll(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new RightsOrder.UndoMuteAll(caller.person()));
    }

    /** Switches something of a pupil off. There is no way to switch anything of somebody else's on. */
    @PostMapping("/lessons/{lesson}/people/{person}/off/{what}")
    @For({TEACHER, LEAD})
    Ordered turnOff(
            @PathVariable String lesson,
            @PathVariable String person,
            @PathVariable Appliance what,
            @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new RightsOrder.TurnOff(new PersonId(person), what, caller.person()));
    }

    /** The door, a right or what pupils see of each other, for all pupils, while this lesson lasts or for some minutes. */
    @PutMapping("/lessons/{lesson}/live-setting")
    @For({TEACHER, LEAD})
    Ordered setLive(
            @PathVariable String lesson,
            @RequestBody SettingRequest request,
            @AuthenticationPrincipal SignedIn caller) {
        RuleValue value = RuleValue.of(String.valueOf(request.rule), String.valueOf(request.value))
                .filter(one -> one.rule().equals(Catalogue.DOOR)
                        || Catalogue.RIGHTS.contains(one.rule())
                        || Catalogue.SEEN.contains(one.rule()))
                .orElseThrow(() -> Problem.notReadable(
                        "This cannot be set from the desk",
                        "“%s” cannot be “%s”. Nothing was changed.".formatted(request.rule, request.value),
                        "Choose one of the values shown.",
                        List.of()));
        Optional<Duration> length = Optional.ofNullable(request.minutes).map(Duration::ofMinutes);
        return desk.order(lesson, caller, new RightsOrder.SetLive(value, length, caller.person()));
    }

    /** Gives one person a right for some minutes. */
    @PostMapping("/lessons/{lesson}/passes")
    @For({TEACHER, LEAD})
    Ordered givePass(
            @PathVariable String lesson, @RequestBody LoanRequest request, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(
                lesson,
                caller,
                new RightsOrder.GivePass(
                        person(request.person), right(request.rule), minutes(request.minutes), caller.person()));
    }

    /** Closes a right of one person for some minutes. */
    @PostMapping("/lessons/{lesson}/curbs")
    @For({TEACHER, LEAD})
    Ordered giveCurb(
            @PathVariable String lesson, @RequestBody LoanRequest request, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(
                lesson,
                caller,
                new RightsOrder.GiveCurb(
                        person(request.person), right(request.rule), minutes(request.minutes), caller.person()));
    }

    /** Takes back a right that was lent. */
    @DeleteMapping("/lessons/{lesson}/people/{person}/loans/{rule}")
    @For({TEACHER, LEAD})
    Ordered endLoan(
            @PathVariable String lesson,
            @PathVariable String person,
            @PathVariable String rule,
            @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new RightsOrder.EndLoan(new PersonId(person), right(rule), caller.person()));
    }

    /** Makes the lesson lighter for weak lines, or not. */
    @PutMapping("/lessons/{lesson}/light")
    @For({TEACHER, LEAD})
    Ordered lighten(
            @PathVariable String lesson, @RequestBody LightRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new RightsOrder.Lighten(wanted.on, caller.person()));
    }

    /** Shows a window of the adult's own screen to everyone. */
    @PostMapping("/lessons/{lesson}/own/{what}")
    @For({TEACHER, LEAD})
    Ordered show(@PathVariable String lesson, @PathVariable Appliance what, @AuthenticationPrincipal SignedIn caller) {
        VisitId visit = desk.presence(desk.known(lesson, caller), caller);
        return desk.order(lesson, caller, new RightsOrder.TurnOn(visit, what));
    }

    /** The adult stops showing something. */
    @DeleteMapping("/lessons/{lesson}/own/{what}")
    @For({TEACHER, LEAD})
    Ordered stopShowing(
            @PathVariable String lesson, @PathVariable Appliance what, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new RightsOrder.TurnOff(caller.person(), what, caller.person()));
    }

    /** Turns one's own microphone, camera or shared picture on, where one may. */
    @PostMapping("/seats/{visit}/on/{what}")
    @For(anyone = true)
    Ordered turnOn(@PathVariable String visit, @PathVariable Appliance what, HttpServletRequest request) {
        return seats.order(seats.mine(visit, request), new RightsOrder.TurnOn(new VisitId(visit), what));
    }

    /** Turns one's own microphone, camera or shared picture off. */
    @PostMapping("/seats/{visit}/off/{what}")
    @For(anyone = true)
    Ordered turnOwnOff(@PathVariable String visit, @PathVariable Appliance what, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        PersonId me = mine.person();
        return seats.order(mine, new RightsOrder.TurnOff(me, what, me));
    }

    /** Lets somebody speak for two minutes whose hand is up. */
    @PostMapping("/seats/{visit}/help/hands/{person}")
    @For(anyone = true)
    Ordered callOn(@PathVariable String visit, @PathVariable String person, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        return seats.order(mine, new RightsOrder.GivePass(new PersonId(person), Catalogue.SPEAK, TURN, mine.person()));
    }

    /** Pauses the class chat, or ends one's own pause. */
    @PutMapping("/seats/{visit}/help/chat")
    @For(anyone = true)
    Ordered pause(@PathVariable String visit, @RequestBody PauseRequest wanted, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        var value = new RuleValue(Catalogue.CLASS_CHAT, wanted.paused ? Permission.CLOSED : Permission.OPEN);
        return seats.order(mine, new RightsOrder.SetLive(value, mine.person()));
    }

    private static PersonId person(String id) {
        if (id.isBlank()) {
            throw Problem.notReadable("Nobody is named", "Nothing was changed.", "Choose a person.", List.of());
        }
        return new PersonId(id);
    }

    private static Rule<Permission> right(String key) {
        return Catalogue.rightByKey(key).orElseThrow(() -> Problem.notThere("This right"));
    }

    private static Duration minutes(int count) {
        return Duration.ofMinutes(count);
    }
}
