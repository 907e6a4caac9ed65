package juricast.server.groups;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.Optional;
import juricast.core.groups.GroupsOrder;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.PlaceId;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.grouping.PreparedGroups;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.Ordered;
import juricast.server.lesson.SeatOrders;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Groups of a lesson: drawn up, sent out, visited and called back by adults; and what pupils do in them. */
@RestController
@RequestMapping("/api")
class GroupsController {
    private final DeskOrders desk;
    private final SeatOrders seats;
    private final LiveLessons lessons;
    private final LiveGrouping grouping;
    private final PreparedGroups prepared;

    GroupsController(
            DeskOrders desk, SeatOrders seats, LiveLessons lessons, LiveGrouping grouping, PreparedGroups prepared) {
        this.desk = desk;
        this.seats = seats;
        this.lessons = lessons;
        this.grouping = grouping;
        this.prepared = prepared;
    }

    record NameRequest(@Nullable String name) {}

    record TaskRequest(@Nullable String text) {}

    record LockRequest(boolean on) {}

    /** @param to the group; nothing for none */
    record MoveRequest(@Nullable String to) {}

    /** @param minutes nothing: as long as the rule lets @param invite whether pupils go when they accept */
    record SendRequest(@Nullable Integer minutes, boolean invite) {}

    /** @param minutes 0 only keeps those out who were called back */
    record LongerRequest(int minutes) {}

    /** @param seconds how long everybody has to come by themselves; 0 is at once */
    record BackRequest(int seconds) {}

    /** Makes groups of those who are here and in no locked group. */
    @PostMapping("/lessons/{lesson}/groups/made")
    @For({TEACHER, LEAD})
    LiveGrouping.GroupsMade make(
            @PathVariable String lesson,
            @RequestBody PreparedController.RecipeRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        LessonId id = desk.known(lesson, caller);
        return grouping.make(id, wanted, caller.person(), order -> desk.order(id, order));
    }

    /** The groups of the last time the class was in some, of those who are here. */
    @PostMapping("/lessons/{lesson}/groups/as-last-time")
    @For({TEACHER, LEAD})
    Ordered asLast(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        LessonId id = desk.known(lesson, caller);
        return desk.order(id, grouping.asLast(id, caller.person()));
    }

    /** Groups that were prepared for the class, with their task. */
    @PostMapping("/lessons/{lesson}/groups/prepared/{set}")
    @For({TEACHER, LEAD})
    Ordered prepared(@PathVariable String lesson, @PathVariable String set, @AuthenticationPrincipal SignedIn caller) {
        LessonId id = desk.known(lesson, caller);
        var found = prepared.ofClass(set)
                .filter(grouping.classOf(id)::equals)
                .flatMap(known -> prepared.find(set))
                .orElseThrow(() -> Problem.notThere("These prepared groups"));
        Ordered drawn = desk.order(id, grouping.of(id, found, caller.person()));
        return found.task().isBlank()
                ? drawn
                : desk.order(id, new GroupsOrder.WriteTask(found.task(), caller.person()));
    }

    /** What rights hold in groups, and what cannot be recorded there; nothing is changed by asking. */
    @GetMapping("/lessons/{lesson}/groups/preview")
    @For({TEACHER, LEAD})
    LiveGrouping.GroupsPreview preview(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return grouping.preview(lessons.look(desk.known(lesson, caller)));
    }

    /** Writes the task of the groups. */
    @PutMapping("/lessons/{lesson}/groups/task")
    @For({TEACHER, LEAD})
    Ordered task(
            @PathVariable String lesson, @RequestBody TaskRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new GroupsOrder.WriteTask(text(wanted.text), caller.person()));
    }

    /** Adds a group. */
    @PostMapping("/lessons/{lesson}/groups")
    @For({TEACHER, LEAD})
    Ordered add(
            @PathVariable String lesson, @RequestBody NameRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new GroupsOrder.Add(text(wanted.name), caller.person()));
    }

    /** Renames a group. */
    @PutMapping("/lessons/{lesson}/groups/{group}/name")
    @For({TEACHER, LEAD})
    Ordered rename(
            @PathVariable String lesson,
            @PathVariable String group,
            @RequestBody NameRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        return desk.order(
                lesson, caller, new GroupsOrder.Rename(new PlaceId(group), text(wanted.name), caller.person()));
    }

    /** Locks a group, or opens it. */
    @PutMapping("/lessons/{lesson}/groups/{group}/lock")
    @For({TEACHER, LEAD})
    Ordered lock(
            @PathVariable String lesson,
            @PathVariable String group,
            @RequestBody LockRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new GroupsOrder.Lock(new PlaceId(group), wanted.on, caller.person()));
    }

    /** Nobody is meant to be in it any more. */
    @DeleteMapping("/lessons/{lesson}/groups/{group}/people")
    @For({TEACHER, LEAD})
    Ordered empty(@PathVariable String lesson, @PathVariable String group, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new GroupsOrder.Empty(new PlaceId(group), caller.person()));
    }

    /** Puts somebody into a group, or into none; while the class is apart they go at once. */
    @PutMapping("/lessons/{lesson}/people/{person}/group")
    @For({TEACHER, LEAD})
    Ordered move(
            @PathVariable String lesson,
            @PathVariable String person,
            @RequestBody MoveRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        Optional<PlaceId> to =
                Optional.ofNullable(wanted.to).filter(one -> !one.isBlank()).map(PlaceId::new);
        return desk.order(lesson, caller, new GroupsOrder.Move(new PersonId(person), to, caller.person()));
    }

    /** Sends the class out into groups. */
    @PostMapping("/lessons/{lesson}/groups/send-out")
    @For({TEACHER, LEAD})
    Ordered sendOut(
            @PathVariable String lesson, @RequestBody SendRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        Optional<Duration> length = Optional.ofNullable(wanted.minutes).map(Duration::ofMinutes);
        return desk.order(lesson, caller, new GroupsOrder.SendOut(length, wanted.invite, caller.person()));
    }

    /** The time in groups is longer, and nobody is called back any more. */
    @PostMapping("/lessons/{lesson}/groups/stay-longer")
    @For({TEACHER, LEAD})
    Ordered stayLonger(
            @PathVariable String lesson, @RequestBody LongerRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(
                lesson, caller, new GroupsOrder.StayLonger(Duration.ofMinutes(wanted.minutes), caller.person()));
    }

    /** Calls the class back from groups. */
    @PostMapping("/lessons/{lesson}/groups/call-back")
    @For({TEACHER, LEAD})
    Ordered callBack(
            @PathVariable String lesson, @RequestBody BackRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(
                lesson, caller, new GroupsOrder.CallBack(Duration.ofSeconds(wanted.seconds), caller.person()));
    }

    /** Visits a group. */
    @PostMapping("/lessons/{lesson}/groups/{group}/go-in")
    @For({TEACHER, LEAD})
    Ordered goIn(@PathVariable String lesson, @PathVariable String group, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new GroupsOrder.GoIn(new PlaceId(group), caller.person()));
    }

    /** Comes out of a group that one visited. */
    @PostMapping("/lessons/{lesson}/groups/come-out")
    @For({TEACHER, LEAD})
    Ordered comeOut(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new GroupsOrder.ComeOut(caller.person()));
    }

    /** Looks into a group without going in; its pupils see that. */
    @PostMapping("/lessons/{lesson}/groups/{group}/look-in")
    @For({TEACHER, LEAD})
    Ordered lookIn(@PathVariable String lesson, @PathVariable String group, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new GroupsOrder.LookIn(new PlaceId(group), caller.person()));
    }

    /** Stops looking into a group. */
    @PostMapping("/lessons/{lesson}/groups/look-away")
    @For({TEACHER, LEAD})
    Ordered lookAway(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new GroupsOrder.LookAway(caller.person()));
    }

    /** An adult has seen to a call without going in. */
    @PostMapping("/lessons/{lesson}/groups/{group}/seen-to")
    @For({TEACHER, LEAD})
    Ordered seenTo(@PathVariable String lesson, @PathVariable String group, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new GroupsOrder.SettleHelp(new PlaceId(group), caller.person()));
    }

    /** Goes to the group one was asked to go to, or that needs one. */
    @PostMapping("/seats/{visit}/group")
    @For(anyone = true)
    Ordered accept(@PathVariable String visit, HttpServletRequest request) {
        return seats.order(seats.mine(visit, request), new GroupsOrder.Accept(new VisitId(visit)));
    }

    /** Comes back from the group by oneself. */
    @DeleteMapping("/seats/{visit}/group")
    @For(anyone = true)
    Ordered comeBack(@PathVariable String visit, HttpServletRequest request) {
        return seats.order(seats.mine(visit, request), new GroupsOrder.ComeBack(new VisitId(visit)));
    }

    /** Calls for an adult in one's group. */
    @PostMapping("/seats/{visit}/group/help")
    @For(anyone = true)
    Ordered help(@PathVariable String visit, HttpServletRequest request) {
        return seats.order(seats.mine(visit, request), new GroupsOrder.CallForHelp(new VisitId(visit)));
    }

    private static String text(@Nullable String given) {
        return given == null ? "" : given;
    }
}
