package juricast.server.lesson;

import static juricast.core.board.BoardPart.BOARD;
import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import juricast.core.board.BoardOrder;
import juricast.core.charter.Place;
import juricast.core.chat.ChatOrder;
import juricast.core.ending.EndingOrder;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonState;
import juricast.core.live.Stance;
import juricast.core.material.MaterialOrder;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsEvent;
import juricast.core.rights.RightsOrder;
import juricast.core.rules.Catalogue;
import juricast.core.rules.LiveRules;
import juricast.core.rules.Rule;
import juricast.core.signals.SignalsOrder;
import juricast.core.supervision.SupervisionOrder;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.SignedIn;
import juricast.server.problems.Problem;
import juricast.server.rules.Stances;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** What adults do with the lesson as a whole while it runs: its stance, a stop, material, focus, the board, captions. */
@RestController
@RequestMapping("/api/lessons/{lesson}")
class TeachingController {
    private final LiveLessons lessons;
    private final DeskOrders desk;
    private final Stances stances;

    TeachingController(LiveLessons lessons, DeskOrders desk, Stances stances) {
        this.lessons = lessons;
        this.desk = desk;
        this.stances = stances;
    }

    /** @param keepLive whether live orders about the stance's rules stay on top */
    record StanceRequest(String stance, boolean keepLive) {}

    /** What a switch would change. @param heldByLive whether a live order keeps the value from changing */
    record StanceChange(String rule, String title, String before, String after, boolean heldByLive) {}

    record RunningStep(String stance, int minutes) {}

    record RunningOrderRequest(@Nullable List<RunningStep> steps, boolean byTheClock) {}

    record StopRequest(@Nullable String why) {}

    record MaterialRequest(@Nullable String title, @Nullable String body) {}

    record FocusRequest(@Nullable String person) {}

    record LightRequest(boolean on) {}

    record CaptionRequest(@Nullable String text) {}

    record LineRequest(@Nullable List<Integer> line) {}

    /** The board. @param number changes whenever the board does */
    record Board(int number, List<Mark> lines) {}

    /** A line. @param mine whether the asking person drew it */
    record Mark(int number, String author, String authorName, boolean mine, List<Integer> line) {}

    @PostMapping("/stance")
    @For({TEACHER, LEAD})
    DeskJson.Desk switchStance(
            @PathVariable String lesson, @RequestBody StanceRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(
                lesson,
                caller,
                new RightsOrder.SwitchStance(
                        stance(desk.known(lesson, caller), wanted.stance), wanted.keepLive, caller.person()));
    }

    /** What switching would change, as things stand now; nothing is switched by asking. */
    @GetMapping("/stance/{stance}/changes")
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

    private LiveRules after(Snapshot live, Stance to, boolean keepLive) {
        LessonState then =
                live.state().after(new RightsEvent.StanceSwitched(to, keepLive, PersonId.PROGRAM, lessons.now()));
        return then.rules(live.rules());
    }

    private String value(LiveRules book, Rule<?> rule) {
        return book.value(rule, Role.PUPIL, lessons.now()).text();
    }

    /** The running order of this lesson alone, from now on. */
    @PutMapping("/running-order")
    @For(TEACHER)
    DeskJson.Desk plan(
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
        stances.write(
                Place.of(id),
                steps.stream()
                        .map(one -> new Stances.Written(one.stance, one.minutes))
                        .toList(),
                wanted.byTheClock);
        return desk.seen(id, caller, 0);
    }

    @PostMapping("/stop")
    @For({TEACHER, LEAD})
    DeskJson.Desk stop(
            @PathVariable String lesson, @RequestBody StopRequest request, @AuthenticationPrincipal SignedIn caller) {
        String why = request.why == null ? "" : request.why;
        return desk.order(lesson, caller, new SupervisionOrder.StopEverything(why, caller.person()));
    }

    @PostMapping("/resume")
    @For({TEACHER, LEAD})
    DeskJson.Desk resume(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new SupervisionOrder.Resume(caller.person()));
    }

    /** A lead takes charge of a room without an adult. */
    @PostMapping("/take-charge")
    @For(LEAD)
    DeskJson.Desk takeCharge(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new SupervisionOrder.TakeCharge(caller.person()));
    }

    @PostMapping("/signs/clear")
    @For({TEACHER, LEAD})
    DeskJson.Desk clearSigns(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new SignalsOrder.ClearSigns(caller.person()));
    }

    @PostMapping("/materials")
    @For({TEACHER, LEAD})
    DeskJson.Desk handOut(
            @PathVariable String lesson, @RequestBody MaterialRequest given, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(
                lesson, caller, new MaterialOrder.HandOut(caller.person(), text(given.title), text(given.body)));
    }

    @DeleteMapping("/materials/{number}")
    @For({TEACHER, LEAD})
    DeskJson.Desk takeBack(
            @PathVariable String lesson, @PathVariable int number, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new MaterialOrder.TakeBack(number, caller.person()));
    }

    @PutMapping("/focus")
    @For({TEACHER, LEAD})
    DeskJson.Desk focus(
            @PathVariable String lesson, @RequestBody FocusRequest on, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(
                lesson,
                caller,
                new SignalsOrder.Focus(Optional.ofNullable(on.person).map(PersonId::new), caller.person()));
    }

    @PutMapping("/light")
    @For({TEACHER, LEAD})
    DeskJson.Desk lighten(
            @PathVariable String lesson, @RequestBody LightRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new RightsOrder.Lighten(wanted.on, caller.person()));
    }

    @PostMapping("/captions")
    @For({TEACHER, LEAD})
    DeskJson.Desk caption(
            @PathVariable String lesson, @RequestBody CaptionRequest said, @AuthenticationPrincipal SignedIn caller) {
        VisitId visit = desk.presence(desk.known(lesson, caller), caller);
        return desk.order(lesson, caller, new MaterialOrder.Caption(visit, text(said.text)));
    }

    /** All captions of the lesson as WebVTT, timed from its opening. */
    @GetMapping(path = "/captions.vtt", produces = "text/vtt;charset=UTF-8")
    @Noted(value = "the captions, as a file", takenAway = true)
    @For({TEACHER, LEAD})
    String captions(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        Snapshot live = lessons.look(desk.known(lesson, caller));
        return CaptionFile.of(live.events(), live.plan());
    }

    /** Shows a window of the adult's own screen to everyone. */
    @PostMapping("/own/{what}")
    @For({TEACHER, LEAD})
    DeskJson.Desk show(
            @PathVariable String lesson, @PathVariable Appliance what, @AuthenticationPrincipal SignedIn caller) {
        VisitId visit = desk.presence(desk.known(lesson, caller), caller);
        return desk.order(lesson, caller, new RightsOrder.TurnOn(visit, what));
    }

    @DeleteMapping("/own/{what}")
    @For({TEACHER, LEAD})
    DeskJson.Desk stopShowing(
            @PathVariable String lesson, @PathVariable Appliance what, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new RightsOrder.TurnOff(caller.person(), what, caller.person()));
    }

    @PostMapping("/held/{number}/let-through")
    @For({TEACHER, LEAD})
    DeskJson.Desk letThrough(
            @PathVariable String lesson, @PathVariable int number, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new ChatOrder.Release(number, true, caller.person()));
    }

    @PostMapping("/held/{number}/keep-back")
    @For({TEACHER, LEAD})
    DeskJson.Desk keepBack(
            @PathVariable String lesson, @PathVariable int number, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new ChatOrder.Release(number, false, caller.person()));
    }

    /** Ends the lesson for all but one pupil, for a last word. */
    @PostMapping("/people/{person}/last-word")
    @For({TEACHER, LEAD})
    DeskJson.Desk lastWord(
            @PathVariable String lesson, @PathVariable String person, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new EndingOrder.KeepBack(new PersonId(person), caller.person()));
    }

    @GetMapping("/board")
    @For({TEACHER, LEAD})
    Board board(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return board(lessons.look(desk.known(lesson, caller)), caller.person());
    }

    @PostMapping("/board/lines")
    @For({TEACHER, LEAD})
    Board draw(@PathVariable String lesson, @RequestBody LineRequest drawn, @AuthenticationPrincipal SignedIn caller) {
        LessonId id = desk.known(lesson, caller);
        desk.carryOut(id, new BoardOrder.Draw(desk.presence(id, caller), line(drawn)));
        return board(lessons.look(id), caller.person());
    }

    /** Wipes the board. @param of whose marks; all where nobody is named */
    @DeleteMapping("/board")
    @For({TEACHER, LEAD})
    DeskJson.Desk wipe(
            @PathVariable String lesson,
            @RequestParam(required = false) @Nullable String of,
            @AuthenticationPrincipal SignedIn caller) {
        return desk.order(
                lesson, caller, new BoardOrder.Wipe(Optional.ofNullable(of).map(PersonId::new), caller.person()));
    }

    static Board board(Snapshot live, PersonId me) {
        return new Board(
                live.state().of(BOARD).changed(),
                live.state().of(BOARD).lines().stream()
                        .map(line -> new Mark(
                                line.number(),
                                line.author().value(),
                                live.plan().nameOf(line.author()),
                                line.author().equals(me),
                                line.line()))
                        .toList());
    }

    static List<Integer> line(LineRequest drawn) {
        return drawn.line == null || drawn.line.contains(null) ? List.of() : drawn.line;
    }

    static String text(@Nullable String given) {
        return given == null ? "" : given;
    }

    /** A stance that may be switched on in this lesson: of the school, or made by one of its adults. */
    private Stance stance(LessonId lesson, @Nullable String id) {
        return stances.of(lessons.look(lesson).plan(), lessons.now()).stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow(() -> Problem.notThere("This stance"));
    }
}
