package juricast.server.demo;

import static juricast.core.recording.RecordingPart.RECORDING;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.Collectors;
import juricast.core.charter.Place;
import juricast.core.identity.ClassId;
import juricast.core.lesson.Parts;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonOrder;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonRules;
import juricast.core.live.LessonState;
import juricast.core.rules.PlannedRules;
import juricast.core.time.Span;
import juricast.server.cast.Cast;
import juricast.server.cast.Script;
import juricast.server.cast.StandIn;
import juricast.server.classes.Classes;
import juricast.server.consent.KeptConsents;
import juricast.server.data.Database;
import juricast.server.data.School;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.Records;
import juricast.server.recording.RecorderStandIn;
import juricast.server.rules.Settings;
import juricast.server.rules.Stances;
import juricast.server.rules.Watched;
import org.apache.commons.csv.CSVRecord;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.core.env.Environment;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/**
 * Sets the demo up, where it is one: the school, what has happened until now, and a cast that goes on from there in real time.
 * Which beans there are is settled when the program is built, so this one is there in a real school too, and does nothing.
 */
@Component
class Demo implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(Demo.class);
    private static final Duration HISTORY = Duration.ofDays(22);
    private static final Duration AHEAD = Duration.ofMinutes(30);

    private final Database database;
    private final School school;
    private final PasswordEncoder passwords;
    private final Classes classes;
    private final Settings settings;
    private final Stances stances;
    private final Watched watched;
    /** Registers of this last while are not signed yet. */
    private static final Duration UNSIGNED = Duration.ofDays(2);

    private final Records records;
    private final LiveLessons lessons;
    private final StandIn standIn;
    private final DemoGroups groups;
    private final DemoIncidents incidents;
    private final DemoConsents consents;
    private final DemoQuestions questions;
    private final KeptConsents said;
    private final RecorderStandIn recorderStandIn;
    private final Clock clock;
    private final Environment environment;
    private final boolean isWanted;
    private volatile boolean isLaidOut;

    Demo(
            Database database,
            School school,
            PasswordEncoder passwords,
            Classes classes,
            Settings settings,
            Stances stances,
            Watched watched,
            Records records,
            LiveLessons lessons,
            StandIn standIn,
            DemoGroups groups,
            DemoIncidents incidents,
            DemoConsents consents,
            DemoQuestions questions,
            KeptConsents said,
            RecorderStandIn recorderStandIn,
            Clock clock,
            Environment environment,
            @Value("${juricast.demo}") boolean isWanted) {
        this.database = database;
        this.school = school;
        this.passwords = passwords;
        this.classes = classes;
        this.settings = settings;
        this.stances = stances;
        this.watched = watched;
        this.records = records;
        this.lessons = lessons;
        this.standIn = standIn;
        this.groups = groups;
        this.incidents = incidents;
        this.consents = consents;
        this.questions = questions;
        this.said = said;
        this.recorderStandIn = recorderStandIn;
        this.clock = clock;
        this.environment = environment;
        this.isWanted = isWanted;
    }

    @Override
    public boolean isAutoStartup() {
        return isWanted;
    }

    /** Before the doors of the server open, so that nobody looks at a lesson whose past is not written yet. */
    @Override
    public void start() {
        isLaidOut = true;
        boolean fresh = school.identity().isEmpty();
        if (fresh) {
            new DemoSchool(database, school, passwords, clock).fill();
            watched.become(
                    List.of("loser", "losers", "idiot", "stupid", "shut up"), List.of(), Cast.idOf("Maren Oddlund"));
            groups.keep();
            consents.keep();
            questions.keep();
            Script.read("running-orders.csv").stream()
                    .collect(Collectors.groupingBy(row -> row.get("class"), LinkedHashMap::new, Collectors.toList()))
                    .forEach((id, rows) -> stances.write(
                            Place.of(new ClassId(id)),
                            rows.stream()
                                    .map(row -> new Stances.Written(
                                            row.get("stance"), Integer.parseInt(row.get("minutes")), row.get("groups")))
                                    .toList(),
                            false));
        }
        Instant now = lessons.now();
        if (fresh) {
            incidents.plan(HISTORY);
        }
        for (Classes.Planned planned : classes.lessons(new Span(now.minus(HISTORY), now.plus(AHEAD)))) {
            play(planned, now, fresh);
        }
        if (fresh) {
            incidents.write();
            sign(now.minus(UNSIGNED));
        }
    }

    /** Registers of some days ago were signed by whom the lesson belonged to, in the evening. */
    private void sign(Instant before) {
        database.append(sql -> sql.sql(
                        """
                INSERT INTO register_signed (lesson, by, at)
                SELECT lesson.id, min(class_member.person), lesson_stage.over + 14400000 FROM lesson_stage
                JOIN lesson ON lesson.id = lesson_stage.lesson
                JOIN class_member ON class_member.class = lesson.class AND role = 'LEAD_ADULT'
                WHERE lesson_stage.over < :before GROUP BY lesson.id""")
                .param("before", before.toEpochMilli())
                .update());
    }

    @Override
    public void stop() {
        isLaidOut = false;
    }

    @Override
    public boolean isRunning() {
        return isLaidOut;
    }

    /** Lower than that of the web server, which starts among the last. */
    @Override
    public int getPhase() {
        return 0;
    }

    @EventListener(ApplicationReadyEvent.class)
    void tell() {
        if (!isWanted) {
            return;
        }
        LOG.info(
                """


                Halvorn Reach School is open: http://localhost:{}
                It is {} there ({}). The password of everybody is {}
                  maren.oddlund   safeguarding lead: the charter, all classes and registers
                  orla.venn       teacher: runs Tidal Navigation 8, live now
                  ilse.brandt     teacher: opens Knotwork & Rigging 7 in some minutes
                  ines.carrow     pupil: waits at the door of Tidal Navigation 8
                The sign-in page lists more people to sign in as.
                """,
                environment.getProperty("local.server.port"),
                school.clockTime(lessons.now()),
                school.zone(),
                DemoSchool.PASSWORD);
    }

    /** Plays what is past at once, and keeps what is to come. */
    private void play(Classes.Planned planned, Instant now, boolean fresh) {
        LessonPlan plan = incidents.meeting(
                planned,
                classes.plan(planned.id(), now)
                        .orElseThrow()
                        .with(stances.of(planned.id(), now), watched.now())
                        .wishing(groups.wishes(planned.ofClass()))
                        .consenting(said.all()));
        var cast = new Cast(
                plan,
                planned.time().from(),
                script(planned, now),
                incidents.of(planned.id()),
                id -> stances.find(id, now),
                name -> standIn.file(planned.id(), name));
        var stage = new AtomicReference<>(Parts.NEW);
        PlannedRules rules = settings.ofLesson(planned.id());
        var events = new ArrayList<LessonEvent>();
        var recorder =
                new DemoRecorder(plan, rules, stage::get, (at, order) -> decide(plan, stage, rules, at, order, events));
        for (Cast.Cue cue : cast.cues(stage::get)) {
            if (fresh && !cue.at().isAfter(now)) {
                recorder.until(cue.at());
                cue.order().get().ifPresent(order -> {
                    decide(plan, stage, rules, cue.at(), order, events);
                    cast.follows(order).ifPresent(next -> decide(plan, stage, rules, cue.at(), next, events));
                });
            }
        }
        recorder.until(now);
        if (!events.isEmpty()) {
            records.write(planned.id(), events);
            if (stage.get().of(RECORDING).isGoing()) {
                recorderStandIn.hasRecorded(planned.id());
            }
        }
        var toPlay = cast.cues(() -> records.state(planned.id())).stream()
                .filter(cue -> cue.at().isAfter(now))
                .toList();
        standIn.take(cast, toPlay);
    }

    private static void decide(
            LessonPlan plan,
            AtomicReference<LessonState> stage,
            PlannedRules rules,
            Instant at,
            LessonOrder order,
            List<LessonEvent> events) {
        new LessonRules(plan, stage.get(), rules, at)
                .decide(order)
                .either(
                        done -> {
                            stage.set(stage.get().after(done));
                            events.addAll(done);
                            return null;
                        },
                        refusal -> null);
    }

    /** How lessons of the past went: most of them well. */
    private static final List<String> FINISHED = List.of(
            "finished-lesson-in-groups.csv",
            "any-finished-lesson.csv",
            "any-finished-lesson.csv",
            "any-finished-lesson.csv",
            "finished-lesson-with-departures.csv",
            "any-finished-lesson.csv",
            "any-finished-lesson.csv",
            "finished-lesson-with-departures.csv",
            "any-finished-lesson.csv",
            "any-finished-lesson.csv",
            "any-finished-lesson.csv",
            "any-finished-lesson.csv",
            "finished-lesson-left-alone.csv");

    private static List<CSVRecord> script(Classes.Planned planned, Instant now) {
        if (!planned.time().until().isAfter(now)) {
            // Of a class whose lessons are recorded, two of three went by a script of their own.
            Optional<List<CSVRecord>> own = Script.find("cast/finished-" + planned.ofClass() + ".csv")
                    .filter(found -> Math.floorMod(planned.id().hashCode(), 3) != 0);
            if (own.isPresent()) {
                return own.get();
            }
            return Script.read("cast/" + FINISHED.get(Math.floorMod(planned.id().hashCode(), FINISHED.size())));
        }
        return Script.find("cast/" + planned.ofClass() + ".csv")
                .orElseGet(() -> Script.read("cast/any-live-lesson.csv"));
    }
}
