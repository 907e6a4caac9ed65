package juricast.server.material;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Duration;
import java.time.Instant;
import juricast.core.identity.LessonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonEvent;
import juricast.core.material.MaterialEvent;
import juricast.core.material.MaterialOrder;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.SignedIn;
import juricast.server.files.WebVtt;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.Ordered;
import juricast.server.lesson.Snapshot;
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

/** What adults hand out and take back, and captions. */
@RestController
@RequestMapping("/api")
class MaterialController {
    private final LiveLessons lessons;
    private final DeskOrders desk;
    private final Captioner captioner;

    MaterialController(LiveLessons lessons, DeskOrders desk, Captioner captioner) {
        this.captioner = captioner;
        this.lessons = lessons;
        this.desk = desk;
    }

    record MaterialRequest(@Nullable String title, @Nullable String body) {}

    record CaptionRequest(@Nullable String text) {}

    record ServiceRequest(boolean on) {}

    /** Hands something out. */
    @PostMapping("/lessons/{lesson}/materials")
    @For({TEACHER, LEAD})
    Ordered handOut(
            @PathVariable String lesson, @RequestBody MaterialRequest given, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(
                lesson, caller, new MaterialOrder.HandOut(caller.person(), text(given.title), text(given.body)));
    }

    /** Takes back what was handed out. */
    @DeleteMapping("/lessons/{lesson}/materials/{number}")
    @For({TEACHER, LEAD})
    Ordered takeBack(@PathVariable String lesson, @PathVariable int number, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new MaterialOrder.TakeBack(number, caller.person()));
    }

    /** Writes what is said as a caption. */
    @PostMapping("/lessons/{lesson}/captions")
    @For({TEACHER, LEAD})
    Ordered caption(
            @PathVariable String lesson, @RequestBody CaptionRequest said, @AuthenticationPrincipal SignedIn caller) {
        VisitId visit = desk.presence(desk.known(lesson, caller), caller);
        return desk.order(lesson, caller, new MaterialOrder.Caption(visit, text(said.text)));
    }

    /** Lets the caption service listen and write along, or not any more. 409 where there is none. */
    @PutMapping("/lessons/{lesson}/captions/service")
    @For({TEACHER, LEAD})
    Ordered service(
            @PathVariable String lesson, @RequestBody ServiceRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        LessonId id = desk.known(lesson, caller);
        if (wanted.on && !captioner.serves(id)) {
            throw Problem.refused(
                    "no-caption-service",
                    "No caption service is connected here",
                    "Nothing listens.",
                    "Write captions by hand, or let somebody of the class do it. A simulated service can be tried in a rehearsal.");
        }
        return desk.order(id, new MaterialOrder.LetServiceListen(wanted.on, caller.person()));
    }

    /** All captions of the lesson as WebVTT, timed from its opening. */
    @GetMapping(path = "/lessons/{lesson}/captions.vtt", produces = "text/vtt;charset=UTF-8")
    @Noted(value = "the captions, as a file", takenAway = true)
    @For({TEACHER, LEAD})
    String captions(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        Snapshot live = lessons.look(desk.known(lesson, caller));
        Instant begun = live.events().isEmpty()
                ? live.plan().time().from()
                : live.events().get(0).at();
        return WebVtt.of(
                live.plan().title(),
                LessonEvent.of(live.events(), MaterialEvent.Captioned.class)
                        .map(one -> new WebVtt.Line(Duration.between(begun, one.at()), "", one.text()))
                        .toList());
    }

    private static String text(@Nullable String given) {
        return given == null ? "" : given;
    }
}
