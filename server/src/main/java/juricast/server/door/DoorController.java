package juricast.server.door;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import juricast.core.door.DoorOrder;
import juricast.core.identity.DeviceId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.identity.PlainName;
import juricast.core.identity.VisitId;
import juricast.core.limits.Limits;
import juricast.core.live.Visit;
import juricast.server.access.Cookies;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.classes.Planning;
import juricast.server.data.Ids;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.Ordered;
import juricast.server.lesson.SeatOrders;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What adults do at the door and about those who are in, and what a pupil does to be shown by another name, or to go. */
@RestController
@RequestMapping("/api")
class DoorController {
    private final LiveLessons lessons;
    private final DeskOrders desk;
    private final SeatOrders seats;
    private final Classes classes;
    private final Planning planning;

    DoorController(LiveLessons lessons, DeskOrders desk, SeatOrders seats, Classes classes, Planning planning) {
        this.lessons = lessons;
        this.desk = desk;
        this.seats = seats;
        this.classes = classes;
        this.planning = planning;
    }

    /** Under whose name to let somebody in; none where the door knows who it is. */
    record AdmitRequest(@Nullable String as) {}

    /** @param note for the safeguarding lead: who it is, and why they are let in */
    record GuestRequest(String name, String note) {}

    record RemoveRequest(@Nullable String why) {}

    record NameRequest(@Nullable String name) {}

    /** Opens the lesson and comes in. */
    @PostMapping("/lessons/{lesson}/open")
    @For({TEACHER, LEAD})
    Ordered open(
            @PathVariable String lesson,
            @AuthenticationPrincipal SignedIn caller,
            HttpServletRequest request,
            HttpServletResponse response) {
        refuseCancelled(desk.known(lesson, caller));
        desk.order(lesson, caller, new DoorOrder.Open(caller.person()));
        return join(lesson, caller, request, response);
    }

    /** Comes in as an adult, to help or again. */
    @PostMapping("/lessons/{lesson}/join")
    @For({TEACHER, LEAD})
    Ordered join(
            @PathVariable String lesson,
            @AuthenticationPrincipal SignedIn caller,
            HttpServletRequest request,
            HttpServletResponse response) {
        LessonId id = desk.known(lesson, caller);
        DeviceId device = Cookies.deviceOrNew(request, response);
        Optional<Visit> before = lessons.look(id)
                .state()
                .of(DOOR)
                .visitOf(device)
                .filter(one -> one.person().equals(Optional.of(caller.person())));
        return before.isPresent()
                ? desk.order(lesson, caller, new DoorOrder.ComeBack(before.get().id()))
                : desk.order(lesson, caller, new DoorOrder.Join(new VisitId(Ids.next()), device, caller.person()));
    }

    /** The adult leaves the lesson. */
    @PostMapping("/lessons/{lesson}/leave")
    @For({TEACHER, LEAD})
    Ordered leave(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller, HttpServletRequest request) {
        LessonId id = desk.known(lesson, caller);
        return Cookies.device(request)
                .flatMap(device -> lessons.look(id).state().of(DOOR).visitOf(device))
                .filter(one -> one.person().equals(Optional.of(caller.person())))
                .map(visit -> desk.order(lesson, caller, new DoorOrder.Leave(visit.id())))
                .orElseGet(() -> desk.nothing(id));
    }

    /** Lets one person in. */
    @PostMapping("/lessons/{lesson}/visits/{visit}/admit")
    @For({TEACHER, LEAD})
    Ordered admit(
            @PathVariable String lesson,
            @PathVariable String visit,
            @RequestBody AdmitRequest request,
            @AuthenticationPrincipal SignedIn caller) {
        Optional<PersonId> as = Optional.ofNullable(request.as).map(PersonId::new);
        return desk.order(lesson, caller, new DoorOrder.Admit(new VisitId(visit), as, caller.person()));
    }

    /** Lets in all who wait and are on the class list, if the rule allows it. */
    @PostMapping("/lessons/{lesson}/admit-all-listed")
    @For({TEACHER, LEAD})
    Ordered admitAllListed(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new DoorOrder.AdmitAllListed(caller.person()));
    }

    /** Lets in somebody on no list, as a guest of this lesson and of no other; the safeguarding lead is told the note. */
    @PostMapping("/lessons/{lesson}/visits/{visit}/admit-guest")
    @For({TEACHER, LEAD})
    Ordered admitGuest(
            @PathVariable String lesson,
            @PathVariable String visit,
            @RequestBody GuestRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        LessonId id = desk.known(lesson, caller);
        String name = wanted.name.length() > Limits.MESSAGE ? "" : PlainName.of(wanted.name);
        if (name.isEmpty() || name.length() > Limits.NAME) {
            throw Problem.notReadable(
                    "Give the guest's name",
                    "Nobody was let in.",
                    "1 to %d characters.".formatted(Limits.NAME),
                    List.of(new Problem.Wrong("name", "1 to %d characters".formatted(Limits.NAME))));
        }
        PersonId guest = planning.inviteGuest(id, name);
        try {
            return desk.order(
                    lesson, caller, new DoorOrder.AdmitGuest(new VisitId(visit), guest, wanted.note, caller.person()));
        } catch (Problem refused) {
            planning.disinvite(id, guest);
            throw refused;
        }
    }

    /** Turns one person away. */
    @PostMapping("/lessons/{lesson}/visits/{visit}/turn-away")
    @For({TEACHER, LEAD})
    Ordered turnAway(
            @PathVariable String lesson, @PathVariable String visit, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new DoorOrder.TurnAway(new VisitId(visit), caller.person()));
    }

    /** Removes somebody from the lesson. */
    @PostMapping("/lessons/{lesson}/people/{person}/remove")
    @For({TEACHER, LEAD})
    Ordered remove(
            @PathVariable String lesson,
            @PathVariable String person,
            @RequestBody RemoveRequest request,
            @AuthenticationPrincipal SignedIn caller) {
        String why = request.why == null ? "" : request.why;
        return desk.order(lesson, caller, new DoorOrder.Remove(new PersonId(person), why, caller.person()));
    }

    /** Lets somebody who was removed come back to the door. */
    @PostMapping("/lessons/{lesson}/people/{person}/allow-back")
    @For({TEACHER, LEAD})
    Ordered allowBack(
            @PathVariable String lesson, @PathVariable String person, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new DoorOrder.AllowBack(new PersonId(person), caller.person()));
    }

    /** Changes how one is called, where the rule allows it. */
    @PutMapping("/seats/{visit}/name")
    @For(anyone = true)
    Ordered rename(@PathVariable String visit, @RequestBody NameRequest wanted, HttpServletRequest request) {
        return seats.order(
                seats.mine(visit, request),
                new DoorOrder.Rename(new VisitId(visit), wanted.name == null ? "" : wanted.name));
    }

    /** Leaves the lesson, or the door. */
    @PostMapping("/seats/{visit}/leave")
    @For(anyone = true)
    Ordered leaveSeat(@PathVariable String visit, HttpServletRequest request) {
        return seats.order(seats.mine(visit, request), new DoorOrder.Leave(new VisitId(visit)));
    }

    /** Lets in who waits and is surely on the class list. */
    @PostMapping("/seats/{visit}/help/door/{arrival}")
    @For(anyone = true)
    Ordered letIn(@PathVariable String visit, @PathVariable String arrival, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        return seats.order(mine, new DoorOrder.Admit(new VisitId(arrival), Optional.empty(), mine.person()));
    }

    /** @throws Problem if the plan says that the lesson is not held */
    private void refuseCancelled(LessonId id) {
        classes.lesson(id).filter(Classes.Planned::cancelled).ifPresent(one -> {
            throw Problem.refused(
                    "cancelled",
                    "This lesson was cancelled",
                    "Its pupils were not told to come. Nobody was let in.",
                    "Bring it back in the timetable first, then open it.");
        });
    }
}
