package juricast.server.cast;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.groups.GroupsPart.GROUPS;
import static juricast.core.rights.RightsPart.RIGHTS;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import juricast.core.chat.SentFile;
import juricast.core.door.DoorEvent;
import juricast.core.door.DoorOrder;
import juricast.core.groups.GroupsEvent;
import juricast.core.groups.GroupsOrder;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonOrder;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.Visit;
import juricast.core.recording.RecordingEvent;
import juricast.core.recording.RecordingOrder;
import juricast.core.rehearsal.Rehearsal;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsEvent;
import juricast.core.rights.RightsOrder;
import juricast.core.rules.Catalogue;
import juricast.core.signals.SignalsEvent;
import juricast.core.signals.SignalsOrder;
import juricast.server.chat.LessonFiles;
import juricast.server.classes.Classes;
import juricast.server.classes.Rehearsals;
import juricast.server.lesson.Classroom;
import juricast.server.lesson.LiveLessons;
import juricast.server.problems.Problem;
import juricast.server.record.Follower;
import juricast.server.rules.Stances;
import org.apache.commons.csv.CSVRecord;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * The stand-in classroom: plays a cast from readable scripts, in real time or faster, and behaves as people do to what was
 * decided. All it can do is give orders, as browsers do. The same scripts and the same orders give the same lesson.
 */
@Component
public class StandIn implements Classroom, Follower {
    private final LiveLessons lessons;
    private final Classes classes;
    private final Stances stances;
    private final LessonFiles files;
    private final Rehearsals rehearsals;
    private final Map<LessonId, Playing> stage = new ConcurrentHashMap<>();
    private volatile Pace pace;

    StandIn(LiveLessons lessons, Classes classes, Stances stances, LessonFiles files, Rehearsals rehearsals) {
        this.rehearsals = rehearsals;
        this.lessons = lessons;
        this.classes = classes;
        this.stances = stances;
        this.files = files;
        Instant now = lessons.now();
        pace = new Pace(1, now, now);
    }

    /** How script time runs: at {@code speed} times real time, from when it was last changed. 0 is a pause. */
    private record Pace(int speed, Instant realFrom, Instant scriptFrom) {
        Instant scriptTime(Instant now) {
            return scriptFrom.plus(Duration.between(realFrom, now).multipliedBy(speed));
        }
    }

    /** One lesson on the stage. Its own lock keeps its cues in order. */
    private static final class Playing {
        final Cast cast;
        final PriorityQueue<Cast.Cue> toCome = new PriorityQueue<>();
        final Set<PersonId> noisy = new HashSet<>();
        final Random random;

        Playing(Cast cast) {
            this.cast = cast;
            random = new Random(cast.lesson().value().hashCode());
        }
    }

    /** A lesson whose cast plays, with what comes next. */
    public record OnStage(LessonId lesson, List<Cast.Cue> next) {}

    /** Takes a lesson on the stage. */
    public void take(Cast cast, List<Cast.Cue> cues) {
        var playing = new Playing(cast);
        playing.toCome.addAll(cues);
        stage.put(cast.lesson(), playing);
    }

    public int speed() {
        return pace.speed;
    }

    /** Lets the cast play faster or slower from now on; what is past is not played again. @param speed 0 to 60 */
    public void speed(int speed) {
        Instant now = lessons.now();
        pace = new Pace(speed, now, pace.scriptTime(now));
    }

    /** What is on the stage, with the cues to come; lessons that are over are not. */
    public List<OnStage> onStage() {
        return stage.entrySet().stream()
                .filter(one -> !Rehearsal.isOne(one.getKey())
                        && !lessons.state(one.getKey()).there().isOver())
                .map(one -> {
                    synchronized (one.getValue()) {
                        return new OnStage(
                                one.getKey(),
                                one.getValue().toCome.stream().sorted().limit(5).toList());
                    }
                })
                .toList();
    }

    /** Plays the next cue of a lesson at once. @return whether there was one */
    public boolean next(LessonId lesson) {
        Playing playing = stage.get(lesson);
        if (playing == null) {
            return false;
        }
        Cast.Cue cue;
        synchronized (playing) {
            cue = playing.toCome.poll();
        }
        if (cue != null) {
            play(playing, cue);
        }
        return cue != null;
    }

    /** Starts a script of mischief. One of an intruder is played at several doors, one after the other. */
    public void mischief(LessonId at, Mischief script) {
        var doors = new ArrayList<>(List.of(at));
        if (script.isEverywhere() && !Rehearsal.isOne(at)) {
            stage.keySet().stream()
                    .filter(other -> !other.equals(at)
                            && !Rehearsal.isOne(other)
                            && lessons.state(other).there().isOpen())
                    .sorted((a, b) -> a.value().compareTo(b.value()))
                    .forEach(doors::add);
        }
        Instant from = pace.scriptTime(lessons.now());
        for (LessonId door : doors) {
            stage(door, Script.read("mischief/" + script.file()), from);
            from = from.plusSeconds(20);
        }
    }

    /** Lets the cast of a rehearsal come to it. */
    public void rehearse(LessonId rehearsal) {
        stage(rehearsal, Script.read("cast/rehearsal.csv"), pace.scriptTime(lessons.now()));
    }

    private void stage(LessonId lesson, List<CSVRecord> rows, Instant from) {
        LessonPlan plan = classes.plan(lesson, lessons.now()).orElseThrow();
        var cast = new Cast(
                plan, from, rows, List.of(), id -> stances.find(id, lessons.now()), name -> file(lesson, name));
        Playing playing = stage.computeIfAbsent(lesson, id -> new Playing(cast));
        synchronized (playing) {
            playing.toCome.addAll(cast.cues(() -> lessons.state(lesson)));
        }
    }

    /** A file that somebody of the cast sends. Of a rehearsal nothing is kept. */
    public SentFile file(LessonId lesson, String name) {
        byte[] bytes = Script.bytes("files/" + name);
        SentFile file = files.told(name, bytes);
        if (!Rehearsal.isOne(lesson)) {
            files.keep(lesson, file, bytes);
        }
        return file;
    }

    /** The cast goes on. Each lesson plays its cues in order, so a clock that jumps plays none twice and skips none. */
    @Scheduled(fixedDelay = 250)
    void goOn() {
        stage.keySet().removeIf(id -> Rehearsal.isOne(id) && rehearsals.find(id).isEmpty());
        Instant now = pace.scriptTime(lessons.now());
        for (Playing playing : stage.values()) {
            for (Cast.Cue cue = due(playing, now); cue != null; cue = due(playing, now)) {
                play(playing, cue);
            }
        }
    }

    private static Cast.@org.jspecify.annotations.Nullable Cue due(Playing playing, Instant now) {
        synchronized (playing) {
            Cast.Cue next = playing.toCome.peek();
            return next == null || next.at().isAfter(now) ? null : playing.toCome.poll();
        }
    }

    private static Optional<LessonOrder> order(Cast.Cue cue) {
        try {
            return cue.order().get();
        } catch (Problem refused) {
            // As a browser is told that its file is none to send; the cast shrugs.
            return Optional.empty();
        }
    }

    private void play(Playing playing, Cast.Cue cue) {
        LessonId lesson = playing.cast.lesson();
        order(cue).ifPresent(order -> {
            if (cue.text().contains("leaves the microphone open") && order instanceof RightsOrder.TurnOn on) {
                lessons.state(lesson)
                        .there()
                        .visit(on.visit())
                        .flatMap(Visit::person)
                        .ifPresent(playing.noisy::add);
            }
            lessons.carryOut(lesson, order);
            playing.cast.follows(order).ifPresent(next -> lessons.carryOut(lesson, next));
        });
    }

    @Override
    public boolean isFor(LessonId lesson) {
        return true;
    }

    @Override
    public boolean carries(VisitId visit) {
        return Cast.isCast(visit);
    }

    /** The cast does what people do: who is called on speaks, who is noisy forgets to stay muted, and all go home. */
    @Override
    public void after(LessonId lesson, List<LessonEvent> events) {
        Playing playing = stage.get(lesson);
        if (playing == null) {
            return;
        }
        for (LessonEvent event : events) {
            if (event instanceof DoorEvent.Dismissed || event instanceof DoorEvent.KeptBack) {
                goHome(playing);
            } else if (event instanceof RecordingEvent.Asked && Rehearsal.isOne(lesson)) {
                later(playing, 1, "the recorder answers", () -> Optional.of(RecordingOrder.Answer.BEGUN));
            } else if (event instanceof DoorEvent.Knocked knocked) {
                stepsAside(playing, knocked);
            } else if (event instanceof GroupsEvent.SentOut sent) {
                sent.invited().forEach(person -> walks(playing, person, GroupsOrder.Accept::new));
            } else if (event instanceof SignalsEvent.FocusAsked asked) {
                boolean dares = playing.random.nextInt(4) > 0;
                walks(playing, asked.person(), visit -> new SignalsOrder.AnswerFocus(visit, dares));
            } else if (event instanceof GroupsEvent.CalledBack) {
                lessons.state(lesson)
                        .of(GROUPS)
                        .whereabouts()
                        .in()
                        .keySet()
                        .forEach(person -> walks(playing, person, GroupsOrder.ComeBack::new));
            } else if (event instanceof RightsEvent.PassGiven pass
                    && pass.right().equals(Catalogue.SPEAK)) {
                speaks(playing, pass.person(), 3);
            } else if (event instanceof RightsEvent.TurnedOff off
                    && off.what() == Appliance.MICROPHONE
                    && playing.noisy.contains(off.person())) {
                speaks(playing, off.person(), 12);
            }
        }
    }

    /** Goes to a group, comes back from one, or makes up the mind, after some seconds. */
    private void walks(Playing playing, PersonId person, Function<VisitId, LessonOrder> how) {
        LessonId lesson = playing.cast.lesson();
        int seconds = 2 + playing.random.nextInt(25);
        later(playing, seconds, person + " goes", () -> Cast.visitOf(person, lessons.state(lesson))
                .filter(Cast::isCast)
                .map(how));
    }

    /** Whoever signs in as one of the cast takes that part; the cast's own is gone by the time they look. */
    private void stepsAside(Playing playing, DoorEvent.Knocked knocked) {
        if (Cast.isCast(knocked.arrival().visit()) || !knocked.arrival().hasAccount()) {
            return;
        }
        LessonId lesson = playing.cast.lesson();
        knocked.person().stream()
                .flatMap(person -> lessons.state(lesson).of(DOOR).visitsOf(person).stream())
                .filter(visit -> visit.goesOn() && Cast.isCast(visit.id()))
                // At once, and not when the cast's turn comes: somebody stands at the door meanwhile.
                .forEach(visit ->
                        CompletableFuture.runAsync(() -> lessons.carryOut(lesson, new DoorOrder.Leave(visit.id()))));
    }

    private void goHome(Playing playing) {
        for (Visit visit : lessons.state(playing.cast.lesson()).of(DOOR).leaving()) {
            if (Cast.isCast(visit.id())) {
                int seconds = 1 + playing.random.nextInt(8);
                later(
                        playing,
                        seconds,
                        visit.arrival().claimedName() + " goes home",
                        () -> Optional.of(new DoorOrder.Leave(visit.id())));
            }
        }
    }

    private void speaks(Playing playing, PersonId person, int seconds) {
        LessonId lesson = playing.cast.lesson();
        later(playing, seconds, person + " speaks", () -> {
            LessonState state = lessons.state(lesson);
            return state.of(RIGHTS).on(person).contains(Appliance.MICROPHONE)
                    ? Optional.empty()
                    : Cast.visitOf(person, state)
                            .filter(Cast::isCast)
                            .map(visit -> new RightsOrder.TurnOn(visit, Appliance.MICROPHONE));
        });
    }

    private void later(
            Playing playing, int seconds, String text, java.util.function.Supplier<Optional<LessonOrder>> order) {
        Instant at = pace.scriptTime(lessons.now()).plusSeconds(seconds);
        synchronized (playing) {
            playing.toCome.add(new Cast.Cue(at, text, order));
        }
    }
}
