package juricast.server.room;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import juricast.core.identity.DeviceId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.server.access.Cookies;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.Sessions;
import juricast.server.access.SignedIn;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.EventLine;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.Snapshot;
import juricast.server.lesson.Viewer;
import juricast.server.lesson.Viewers;
import juricast.server.problems.Problem;
import juricast.server.words.RuleWords;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** A live lesson for its adults, now and as it changes. */
@RestController
@RequestMapping("/api/lessons/{lesson}")
class DeskController {
    private final LiveLessons lessons;
    private final Viewers viewers;
    private final DeskOrders desk;
    private final DeskJson desks;
    private final RuleWords words;
    private final Sessions sessions;

    DeskController(
            LiveLessons lessons, Viewers viewers, DeskOrders desk, DeskJson desks, RuleWords words, Sessions sessions) {
        this.lessons = lessons;
        this.viewers = viewers;
        this.desk = desk;
        this.desks = desks;
        this.words = words;
        this.sessions = sessions;
    }

    /** A live lesson as its adults see it, whole. The lesson as this adult sees it; looking never opens it (need D1). */
    @GetMapping("/desk")
    @Noted("the desk")
    @For({TEACHER, LEAD})
    DeskJson.Desk desk(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desks.of(lessons.look(desk.known(lesson, caller)), caller.person(), 0, lessons.now());
    }

    /** The same as it changes: a stream of events, the first of them the whole. */
    @GetMapping(path = "/desk/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    @For({TEACHER, LEAD})
    void stream(
            @PathVariable String lesson,
            @RequestHeader(name = "Last-Event-ID", defaultValue = "0") int last,
            @AuthenticationPrincipal SignedIn caller,
            HttpServletRequest request,
            HttpServletResponse response)
            throws IOException {
        LessonId id = desk.known(lesson, caller);
        DeviceId device = Cookies.deviceOrNew(request, response);
        Viewer.Mine mine = state -> state.of(DOOR).visitsOf(caller.person()).stream()
                .filter(visit -> visit.arrival().device().equals(device)
                        && visit.person().equals(Optional.of(caller.person())))
                .toList();
        viewers.open(
                id,
                caller.session(),
                Viewer.Audience.DESK,
                mine,
                last,
                after -> desks.shown(lessons.look(id), caller.person(), after, lessons.now()),
                () -> sessions.named(caller.session()).isPresent() && desk.mayLook(id, caller.person()),
                new EventLine(request, response));
    }

    /** Why a right, or the door, is as it is. @param person one pupil; none for the whole class */
    @GetMapping("/why/{rule}")
    @For({TEACHER, LEAD})
    RuleWords.Why why(
            @PathVariable String lesson,
            @PathVariable String rule,
            @RequestParam(required = false) @Nullable String person,
            @AuthenticationPrincipal SignedIn caller) {
        Snapshot live = lessons.look(desk.known(lesson, caller));
        Rule<?> asked = Catalogue.byKey(rule).orElseThrow(() -> Problem.notThere("This rule"));
        if (person == null) {
            Role role = asked.roles().contains(Role.PUPIL)
                    ? Role.PUPIL
                    : asked.roles().iterator().next();
            return words.forAdults(live.live().all(), asked, role, lessons.now());
        }
        var pupil = live.plan().member(new PersonId(person)).orElseThrow(() -> Problem.notThere("This pupil"));
        return words.forAdults(live.live().of(pupil.person()), asked, pupil.role(), lessons.now());
    }
}
