package juricast.server.lesson;

import static juricast.core.door.DoorPart.DOOR;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.stream.Collectors;
import juricast.core.door.DoorEvent;
import juricast.core.door.DoorOrder;
import juricast.core.entry.Sweep;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.lesson.Parts;
import juricast.core.live.Decision;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonOrder;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.Visit;
import juricast.core.rules.Rulebook;
import juricast.core.telling.Due;
import juricast.server.access.SignedOut;
import juricast.server.classes.Classes;
import juricast.server.data.Causes;
import juricast.server.data.Database;
import juricast.server.problems.Problem;
import juricast.server.rules.Settings;
import juricast.server.rules.Stances;
import juricast.server.rules.Watched;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * All lessons that run. An order is decided under its lesson's lock, is on the disk before it is acknowledged, and is
 * then shown to every viewer. After a restart, lessons are what their events say.
 */
@Component
public class LiveLessons implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(LiveLessons.class);

    /** After a start, browsers have this long to come back before their silence is counted. */
    private static final int SILENCE_MS = 20_000;

    private static final int SILENT_ROUNDS = 4;
    private static final int SILENCE_TURNS = 4;

    private final Map<LessonId, LiveLesson> lessons = new ConcurrentHashMap<>();
    private final Map<VisitId, Integer> silent = new ConcurrentHashMap<>();
    private final Set<LessonId> reported = ConcurrentHashMap.newKeySet();
    private final Map<VisitId, LessonId> whereabouts = new ConcurrentHashMap<>();
    private final Tries sweeps = new Tries();
    private final Classes classes;
    private final Settings settings;
    private final Stances stances;
    private final Watched watched;
    private final LessonJournal journal;
    private final Database database;
    private final Causes causes;
    private final Clock clock;
    private final Tellers tellers = new Tellers();

    private int silenceTurns;

    private final List<Classroom> classrooms = new CopyOnWriteArrayList<>();

    LiveLessons(
            Classes classes,
            Settings settings,
            Stances stances,
            Watched watched,
            LessonJournal journal,
            Database database,
            Causes causes,
            Clock clock) {
        this.causes = causes;
        this.classes = classes;
        this.settings = settings;
        this.stances = stances;
        this.watched = watched;
        this.journal = journal;
        this.database = database;
        this.clock = clock;
    }

    /** Connects a service that carries sound and pictures. */
    public void connect(Classroom classroom) {
        classrooms.add(classroom);
    }

    /** The time, to the millisecond that is stored. */
    public Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }

    /** Carries an order out. When it returns, the order counts even if the process is killed, or it did nothing. */
    public Decision carryOut(LessonId id, LessonOrder order) {
        LiveLesson lesson = of(id);
        Decision decision;
        synchronized (lesson) {
            makeSure(id, lesson);
            refresh(id, lesson);
            decision = lesson.snapshot().at(now()).decide(order);
            decision.either(
                    events -> {
                        keep(id, lesson, events);
                        return null;
                    },
                    refusal -> null);
        }
        lesson.tell(tellers);
        decision.either(
                events -> {
                    noticeSweeps(id, events);
                    classrooms.forEach(one -> one.happened(id, events));
                    return null;
                },
                refusal -> null);
        return decision;
    }

    /** On a device that several use, whoever signs out is gone from it. */
    @EventListener
    void signedOut(SignedOut out) {
        lessons.forEach((id, lesson) -> lesson.snapshot()
                .state()
                .of(DOOR)
                .visitOf(out.device())
                .filter(visit -> visit.arrival().account().equals(Optional.of(out.person())))
                .ifPresent(visit -> carryOut(id, new DoorOrder.Leave(visit.id()))));
    }

    /** Who is on no list and tries door after door waits at every one of them from then on (need E7). */
    private void noticeSweeps(LessonId id, List<LessonEvent> events) {
        for (LessonEvent event : events) {
            if (event instanceof DoorEvent.Knocked knocked && knocked.person().isEmpty()) {
                sweeps.tried(new Sweep.Try(
                                id,
                                knocked.arrival().device(),
                                knocked.arrival().claimedName(),
                                knocked.at()))
                        .ifPresent(sweep -> lessons.keySet().forEach(lesson -> {
                            if (look(lesson).state().of(DOOR).isOpen()) {
                                carryOut(lesson, new DoorOrder.NoticeSweep(sweep));
                            }
                        }));
            }
        }
    }

    /** Lessons in memory: those that were looked at since the start, and all that go on. */
    List<LessonId> known() {
        return List.copyOf(lessons.keySet());
    }

    private void keep(LessonId id, LiveLesson lesson, List<LessonEvent> events) {
        if (events.isEmpty()) {
            return;
        }
        int after = lesson.snapshot().events().size();
        try {
            lesson.happened(events, journal.append(id, after, lesson.hash(), events));
        } catch (LessonJournal.NotKept notKept) {
            // It may be on the disk all the same: before the next order the record is read again.
            lesson.doubt();
            throw Problem.notKept(causes.of(notKept));
        }
    }

    /** Takes up what an append left on the disk of which nobody heard. */
    private void makeSure(LessonId id, LiveLesson lesson) {
        if (lesson.isInDoubt()) {
            LessonJournal.Record record = journal.read(id);
            int known = lesson.snapshot().events().size();
            List<LessonEvent> more =
                    record.events().subList(known, record.events().size());
            lesson.isSure();
            if (!more.isEmpty()) {
                lesson.happened(more, record.hash());
            }
        }
    }

    /**
     * A lesson as it is now, unless its record is damaged: pages about many lessons skip such a one and say so, so that it stops
     * no other.
     */
    public Optional<LiveLesson.Snapshot> lookIfReadable(LessonId id) {
        try {
            return Optional.of(look(id));
        } catch (LessonJournal.DamagedRecord damaged) {
            if (reported.add(id)) {
                LOG.error("{}. This lesson cannot go on; all others can.", damaged.getMessage());
            }
            return Optional.empty();
        }
    }

    /** A lesson as it is now. @throws LessonJournal.DamagedRecord if it cannot be read */
    public LiveLesson.Snapshot look(LessonId id) {
        LiveLesson lesson = of(id);
        // Without the lock where that is possible: it is held while an order goes to the disk.
        if (lesson.revision() != database.revision()) {
            synchronized (lesson) {
                refresh(id, lesson);
            }
        }
        return lesson.snapshot();
    }

    /** Whether a lesson was looked at since the start, or goes on. */
    public boolean isKnown(LessonId id) {
        return lessons.containsKey(id);
    }

    /** The messages that are due about a lesson now, whether or not they went out before; none if its record is damaged. */
    public List<Due> dueIfReadable(LessonId id) {
        return lookIfReadable(id)
                .map(seen -> Due.of(seen.plan(), seen.state(), seen.rules(), now()))
                .orElse(List.of());
    }

    /** Pupils who are missing from a lesson now. */
    public List<Member> missing(LessonId id) {
        LiveLesson.Snapshot seen = look(id);
        return Due.missing(seen.plan(), seen.state());
    }

    /** What has happened in a lesson. */
    public LessonState state(LessonId id) {
        return look(id).state();
    }

    /** The same, but nothing if its record is damaged. */
    public Optional<LessonState> stateIfReadable(LessonId id) {
        return lookIfReadable(id).map(LiveLesson.Snapshot::state);
    }

    /** The lesson itself; it is read from the disk when somebody first asks. */
    LiveLesson of(LessonId id) {
        return lessons.computeIfAbsent(id, this::load);
    }

    private LiveLesson load(LessonId id) {
        long revision = database.revision();
        LessonJournal.Record record = journal.read(id);
        return new LiveLesson(plan(id, Parts.NEW.after(record.events())), rules(id), record, revision);
    }

    /** Takes up what was changed in plan and rules, and tells it: whoever asks first must not keep it from those who look on. */
    private void refresh(LessonId id, LiveLesson lesson) {
        long revision = database.revision();
        if (lesson.revision() != revision) {
            lesson.planned(plan(id, lesson.snapshot().state()), rules(id), revision);
            lesson.tell(tellers);
        }
    }

    private LessonPlan plan(LessonId id, LessonState state) {
        LessonPlan plan = classes.plan(id, now()).orElseThrow(() -> Problem.notThere("This lesson"));
        Map<PersonId, Member> gone = state.of(DOOR).visits().stream()
                .filter(visit -> visit.person()
                        .filter(person -> plan.member(person).isEmpty())
                        .isPresent())
                .map(visit ->
                        new Member(visit.person().orElseThrow(), visit.arrival().claimedName(), visit.role()))
                .collect(Collectors.toMap(Member::person, one -> one, (first, again) -> first, LinkedHashMap::new));
        List<Member> left = List.copyOf(gone.values());
        return with(left.isEmpty() ? plan : classes.withFormer(plan, left), id);
    }

    private LessonPlan with(LessonPlan plan, LessonId id) {
        return plan.with(stances.of(id, now()), watched.now());
    }

    private Rulebook rules(LessonId id) {
        return settings.ofLesson(id);
    }

    /** After a start, everyone who was in has a moment to come back; who does not has lost the connection. */
    @EventListener(ApplicationReadyEvent.class)
    void goOn() {
        journal.begunAndNotOver().forEach(this::lookIfReadable);
        LOG.info("{} lessons go on where they were", lessons.size());
    }

    /** Ends what ends by itself, and shows changed rules; a quarter of a second is soon enough for a countdown. */
    @Scheduled(fixedDelay = 250)
    void tick() {
        lessons.forEach((id, lesson) -> {
            try {
                LiveLesson.Snapshot seen = lesson.snapshot();
                boolean isBehind = lesson.revision() != database.revision();
                if (!seen.state().of(DOOR).isOver() && (isBehind || seen.isDue(now()))) {
                    carryOut(id, new LessonOrder.Tick());
                }
            } catch (RuntimeException | Error failed) {
                LOG.error("The clock could not tick in lesson {}", id, failed);
            }
        });
    }

    /** Notices devices that have been without a line for a while; a quarter of all lessons at a time, each every two seconds. */
    @Scheduled(initialDelay = SILENCE_MS, fixedDelay = 500)
    void noticeSilence() {
        int turn = silenceTurns++ % SILENCE_TURNS;
        lessons.forEach((id, lesson) -> {
            if (Math.floorMod(id.hashCode(), SILENCE_TURNS) == turn) {
                try {
                    noticeSilence(id, lesson);
                } catch (RuntimeException | Error failed) {
                    LOG.error("It could not be found out who is silent in lesson {}", id, failed);
                }
            }
        });
    }

    private void noticeSilence(LessonId id, LiveLesson lesson) {
        LessonState state = lesson.snapshot().state();
        Set<VisitId> heard = lesson.viewers.stream()
                .flatMap(viewer -> viewer.mine(state).stream())
                .map(Visit::id)
                .collect(Collectors.toSet());
        for (Visit visit : state.of(DOOR).visits()) {
            if (!visit.isLookedFor() || heard.contains(visit.id()) || isCarried(visit)) {
                silent.remove(visit.id());
            } else if (silent.merge(visit.id(), 1, Integer::sum) >= SILENT_ROUNDS) {
                silent.remove(visit.id());
                carryOut(id, new DoorOrder.LoseConnection(visit.id()));
            }
        }
    }

    private boolean isCarried(Visit visit) {
        return classrooms.stream().anyMatch(one -> one.carries(visit.id()));
    }

    @Override
    public void destroy() {
        tellers.close();
    }

    /** Where a visit belongs, if it is of a lesson in memory; null otherwise. It never moves, so it is looked up once. */
    @org.jspecify.annotations.Nullable
    LessonId lessonOf(VisitId visit) {
        LessonId known = whereabouts.get(visit);
        if (known != null) {
            return known;
        }
        Optional<LessonId> found = lessons.entrySet().stream()
                .filter(one ->
                        one.getValue().snapshot().state().of(DOOR).visit(visit).isPresent())
                .map(Map.Entry::getKey)
                .findFirst();
        found.ifPresent(lesson -> whereabouts.put(visit, lesson));
        return found.orElse(null);
    }
}
