package juricast.server.rights;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.util.ArrayList;
import java.util.List;
import juricast.core.charter.Place;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.LessonState;
import juricast.core.live.Stance;
import juricast.core.rights.RightsEvent;
import juricast.core.rights.RightsOrder;
import juricast.core.rules.Catalogue;
import juricast.core.rules.LiveRules;
import juricast.core.rules.Rule;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.grouping.PreparedGroups;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.Ordered;
import juricast.server.lesson.Snapshot;
import juricast.server.problems.Problem;
import juricast.server.rules.Stances;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Stances: switched, planned, and what a switch would change. */
@RestController
@RequestMapping("/api")
class StanceOrders {
    private final LiveLessons lessons;
    private final DeskOrders desk;
    private final Stances stances;
    private final Classes classes;
    private final PreparedGroups prepared;

    StanceOrders(LiveLessons lessons, DeskOrders desk, Stances stances, Classes classes, PreparedGroups prepared) {
        this.lessons = lessons;
        this.desk = desk;
        this.stances = stances;
        this.classes = classes;
        this.prepared = prepared;
    }

    /** @param keepLive whether live orders about the stance's rules stay on top */
    record StanceRequest(String stance, boolean keepLive) {}

    /** What a switch would change. @param heldByLive whether a live order keeps the value from changing */
    record StanceChange(String rule, String title, String before, String after, boolean heldByLive) {}

    /** @param groups prepared groups of the class, in which it works meanwhile; nothing for none */
    record RunningStep(String stance, int minutes, @Nullable String groups) {}

    record RunningOrderRequest(@Nullable List<RunningStep> steps, boolean byTheClock) {}

    /** Switches to another stance of the lesson. */
    @PostMapping("/lessons/{lesson}/stance")
    @For({TEACHER, LEAD})
    Ordered switchStance(
            @PathVariable String lesson, @RequestBody StanceRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(
                lesson,
                caller,
                new RightsOrder.SwitchStance(
                        stance(desk.known(lesson, caller), wanted.stance), wanted.keepLive, caller.person()));
    }

    /** What switching would change, as things stand now; nothing is switched by asking. */
    @GetMapping("/lessons/{lesson}/stance/{stance}/changes")
    @For({TEACHER, LEAD})
    List<StanceChange> changes(
            @PathVariable String lesson, @PathVariable String stance, @AuthenticationPrincipal SignedIn caller) {
        Snapshot live = lessons.look(desk.known(lesson, caller));
        Stance to = stance(new LessonId(lesson), stance);
        LiveRules before = live.live();
        LiveRules kept = after(live, to, true);
        LiveRules dropped = after(live, to, false);
        var changes = new ArrayList<StanceChange>();
        for (Rule<?> rule : Catalogue.ALL) {
            if (rule.roles().contains(Role.PUPIL)) {
                String now = value(before, rule);
                String then = value(dropped, rule);
                if (!now.equals(then)) {
                    boolean held = !value(kept, rule).equals(then);
                    changes.add(new StanceChange(rule.key(), rule.title(), now, then, held));
                }
            }
        }
        return changes;
    }

    /** The running order of this lesson alone, from now on. */
    @PutMapping("/lessons/{lesson}/running-order")
    @For({TEACHER, LEAD})
    Ordered plan(
            @PathVariable String lesson,
            @RequestBody RunningOrderRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        LessonId id = desk.known(lesson, caller);
        List<RunningStep> steps = wanted.steps == null ? List.of() : wanted.steps;
        boolean good = steps.size() <= 20 && steps.stream().allMatch(one -> one.minutes >= 1 && one.minutes <= 240);
        if (!good) {
            throw Problem.notReadable(
                    "This running order cannot be played",
                    "Nothing was changed.",
                    "Up to 20 steps, each of 1 to 240 minutes.",
                    List.of());
        }
        steps.forEach(one -> stance(id, one.stance));
        ClassId ofClass = classes.lesson(id).orElseThrow().ofClass();
        steps.forEach(one -> prepared(ofClass, one.groups));
        stances.write(
                Place.of(id),
                steps.stream()
                        .map(one -> new Stances.Written(one.stance, one.minutes, one.groups == null ? "" : one.groups))
                        .toList(),
                wanted.byTheClock);
        return desk.nothing(id);
    }

    private void prepared(ClassId ofClass, @Nullable String groups) {
        if (groups != null
                && !groups.isEmpty()
                && prepared.ofClass(groups).filter(ofClass::equals).isEmpty()) {
            throw Problem.notThere("These prepared groups");
        }
    }

    private LiveRules after(Snapshot live, Stance to, boolean keepLive) {
        LessonState then =
                live.state().after(new RightsEvent.StanceSwitched(to, keepLive, PersonId.PROGRAM, lessons.now()));
        return then.rules(live.rules());
    }

    private String value(LiveRules book, Rule<?> rule) {
        return book.value(rule, Role.PUPIL, lessons.now()).text();
    }

    /** A stance that may be switched on in this lesson: of the school, or made by one of its adults. */
    private Stance stance(LessonId lesson, @Nullable String id) {
        return stances.of(lessons.look(lesson).plan(), lessons.now()).stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow(() -> Problem.notThere("This stance"));
    }
}
