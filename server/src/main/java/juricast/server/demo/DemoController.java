package juricast.server.demo;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Instant;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import juricast.core.audience.DoorDesk;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonState;
import juricast.core.recording.Failure;
import juricast.server.access.AccessLog;
import juricast.server.access.For;
import juricast.server.access.Position;
import juricast.server.access.Sessions;
import juricast.server.cast.Mischief;
import juricast.server.cast.Script;
import juricast.server.cast.StandIn;
import juricast.server.classes.Classes;
import juricast.server.lesson.LiveLessons;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import juricast.server.recording.RecorderStandIn;
import org.apache.commons.csv.CSVRecord;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.web.bind.annotation.*;

/** Lets one be anybody and direct the stand-in classroom, in the demo only. */
@RestController
@RequestMapping("/api/demo")
class DemoController {
    private final People people;
    private final Sessions sessions;
    private final LiveLessons lessons;
    private final Classes classes;
    private final ObjectProvider<StandIn> standIn;
    private final RecorderStandIn recorder;
    private final AccessLog log;
    private final boolean demo;

    DemoController(
            People people,
            Sessions sessions,
            LiveLessons lessons,
            Classes classes,
            ObjectProvider<StandIn> standIn,
            RecorderStandIn recorder,
            AccessLog log,
            @Value("${juricast.demo}") boolean demo) {
        this.people = people;
        this.sessions = sessions;
        this.lessons = lessons;
        this.classes = classes;
        this.standIn = standIn;
        this.recorder = recorder;
        this.log = log;
        this.demo = demo;
    }

    /** What the stand-in classroom plays. @param speed times real time; 0 is a pause */
    record Stage(int speed, Instant now, List<StageLesson> lessons, List<StageScript> scripts) {}

    /** A lesson on the stage. @param adults who runs it, to sign in as @param present how many of the class are in */
    record StageLesson(String lesson, String title, DoorDesk.Phase phase, int present, List<StageCue> next) {}

    record StageCue(Instant at, String text) {}

    record StageScript(Mischief script, String title, String about) {}

    record SpeedRequest(int speed) {}

    /** What the cast of the demo does, and how fast its time goes. */
    @GetMapping("/stage")
    @For({LEAD, TEACHER})
    Stage stage() {
        StandIn played = played();
        return new Stage(
                played.speed(),
                lessons.now(),
                played.onStage().stream()
                        .map(one -> lesson(one, lessons.state(one.lesson())))
                        .sorted(Comparator.comparing(StageLesson::title))
                        .toList(),
                Arrays.stream(Mischief.values())
                        .map(one -> new StageScript(one, one.title(), one.about()))
                        .toList());
    }

    private StageLesson lesson(StandIn.OnStage one, LessonState state) {
        return new StageLesson(
                one.lesson().value(),
                classes.lesson(one.lesson()).map(Classes.Planned::title).orElse(""),
                DoorDesk.phase(state),
                state.of(DOOR).occupants(),
                one.next().stream()
                        .map(cue -> new StageCue(cue.at(), cue.text()))
                        .toList());
    }

    /** Lets the cast play at another speed from now on. */
    @PutMapping("/stage/speed")
    @For({LEAD, TEACHER})
    Stage speed(@RequestBody SpeedRequest wanted) {
        if (wanted.speed < 0 || wanted.speed > 60) {
            throw Problem.notReadable(
                    "The cast plays at 0 to 60 times real time",
                    "Nothing was changed.",
                    "Choose one of the speeds shown.",
                    List.of());
        }
        played().speed(wanted.speed);
        return stage();
    }

    /** Plays the next cue of a lesson at once. */
    @PostMapping("/stage/{lesson}/next")
    @For({LEAD, TEACHER})
    Stage next(@PathVariable String lesson) {
        if (!played().next(new LessonId(lesson))) {
            throw Problem.refused(
                    "nothing-next",
                    "Nothing more is scripted for this lesson",
                    "Nothing was played.",
                    "Start some mischief instead.");
        }
        return stage();
    }

    /** Starts a script of mischief in an open lesson. */
    @PostMapping("/stage/{lesson}/mischief/{script}")
    @For({LEAD, TEACHER})
    Stage mischief(@PathVariable String lesson, @PathVariable Mischief script) {
        StandIn played = played();
        var id = new LessonId(lesson);
        if (classes.lesson(id).isEmpty() || !lessons.state(id).there().isOpen()) {
            throw Problem.refused(
                    "not-open", "This lesson is not open", "Nothing was played.", "Choose a lesson that is live.");
        }
        played.mischief(id, script);
        return stage();
    }

    /** Lets the stand-in recorder fail in an open lesson. */
    @PostMapping("/stage/{lesson}/recorder/{failure}")
    @For({LEAD, TEACHER})
    Stage failRecorder(@PathVariable String lesson, @PathVariable Failure failure) {
        played();
        recorder.fail(new LessonId(lesson), failure);
        return stage();
    }

    private StandIn played() {
        return Optional.ofNullable(standIn.getIfAvailable()).orElseThrow(() -> Problem.notThere("The stand-in"));
    }

    /** Somebody to sign in as, with a line on what there is to see. */
    record DemoPerson(String id, String name, Position position, String about) {}

    /** Everybody with an account, those with something to see first; outside the demo, nothing. */
    @GetMapping("/people")
    @For(anyone = true)
    List<DemoPerson> people() {
        if (!demo) {
            return List.of();
        }
        Map<String, String> about = new HashMap<>();
        for (CSVRecord row : Script.read("staff.csv")) {
            about.put(row.get("name"), row.get("about"));
        }
        return Stream.of(Position.values())
                .flatMap(position -> people.inPosition(position).stream())
                .filter(person -> !person.signIn().isEmpty())
                .map(person -> new DemoPerson(
                        person.id().value(),
                        person.name(),
                        person.position(),
                        person.year() == 0 ? about.getOrDefault(person.name(), "") : "year " + person.year()))
                .sorted(Comparator.comparing(DemoPerson::position)
                        .thenComparing(one -> one.about().isEmpty()))
                .toList();
    }

    /** Signs in as somebody without a password. 404 outside the demo. */
    @PostMapping("/session/{person}")
    @For(anyone = true)
    void signIn(@PathVariable String person, HttpServletRequest request, HttpServletResponse response) {
        if (!demo) {
            throw Problem.notThere("The demo");
        }
        People.Person found = people.find(new PersonId(person)).orElseThrow(() -> Problem.notThere("This person"));
        sessions.signIn(found.id(), request, response);
        log.note(AccessLog.Kind.SIGNED_IN, found.id(), request);
    }
}
