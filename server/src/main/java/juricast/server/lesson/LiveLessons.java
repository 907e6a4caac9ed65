package juricast.server.lesson;

import static juricast.core.door.DoorPart.DOOR;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import juricast.core.door.DoorOrder;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.VisitId;
import juricast.core.lesson.Parts;
import juricast.core.live.Decision;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonOrder;
import juricast.core.live.LessonState;
import juricast.core.rehearsal.Rehearsal;
import juricast.core.telling.Due;
import juricast.server.access.SignedOut;
import juricast.server.classes.Rehearsals;
import juricast.server.data.Causes;
import juricast.server.problems.Problem;
import juricast.server.record.Erasing;
import juricast.server.record.Follower;
import juricast.server.record.Journal;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * All lessons that run. An order is decided under its lesson's lock, is on the disk before it is acknowledged, and is
 * then shown to every viewer. After a restart, lessons are what their events say. What is over and looked at by nobody leaves the
 * memory, and is folded from the journal when somebody asks.
 */
@Component
public class LiveLessons implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(LiveLessons.class);

    /** How long a page that was left open finds its lesson again by its visit. */
    private static final Duration REMEMBERED = Duration.ofHours(12);

    private final Map<LessonId, LiveLesson> lessons = new ConcurrentHashMap<>();
    private final Set<LessonId> reported = ConcurrentHashMap.newKeySet();
    private final Cache<VisitId, LessonId> whereabouts = Caffeine.newBuilder()
            .expireAfterAccess(REMEMBERED)
            .maximumSize(100_000)
            .build();
    private final Planned planned;
    private final Rehearsals rehearsals;
    private final Journal journal;
    private final ObjectProvider<Follower> followers;
    private final Causes causes;
    private final Clock clock;
    private final Tellers tellers = new Tellers();

    LiveLessons(
            Planned planned,
            Rehearsals rehearsals,
            Journal journal,
            ObjectProvider<Follower> followers,
            Causes causes,
            Clock clock) {
        this.rehearsals = rehearsals;
        this.planned = planned;
        this.journal = journal;
        this.followers = followers;
        this.causes = causes;
        this.clock = clock;
    }

    /** The time, to the millisecond that is stored. */
    public Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }

    /** Carries an order out. When it returns, the order counts even if the process is killed, or it did nothing. */
    public Decision carryOut(LessonId id, LessonOrder order) {
        Decision decision = null;
        LiveLesson lesson = of(id);
        while (decision == null) {
            synchronized (lesson) {
                if (!lesson.hasLeft()) {
                    decision = decide(id, lesson, order);
                }
            }
            lesson = decision == null ? of(id) : lesson;
        }
        lesson.tell(tellers);
        decision.either(
                events -> {
                    follow(id, events);
                    return null;
                },
                refusal -> null);
        return decision;
    }

    private Decision decide(LessonId id, LiveLesson lesson, LessonOrder order) {
        makeSure(id, lesson);
        refresh(id, lesson);
        Decision decision = lesson.snapshot().at(now()).decide(order);
        decision.either(
                events -> {
                    keep(id, lesson, events);
                    return null;
                },
                refusal -> null);
        return decision;
    }

    /** What one follower fails at is no reason for another not to be told. */
    private void follow(LessonId id, List<LessonEvent> events) {
        if (events.isEmpty()) {
            return;
        }
        followers.stream().filter(one -> one.isFor(id)).forEach(one -> {
            try {
                one.after(id, events);
            } catch (RuntimeException failed) {
                LOG.error("What follows from events of lesson {} could not be done by {}", id, one, failed);
            }
        });
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

    /** What was erased is not remembered. */
    @EventListener
    void erased(Erasing.Told told) {
        leave(told.lesson());
    }

    /** Lessons in memory. */
    public List<LessonId> known() {
        return List.copyOf(lessons.keySet());
    }

    /** Those that are open, rehearsals left out: what is done for every lesson is not done for them. */
    public List<LessonId> open() {
        return lessons.entrySet().stream()
                .filter(one -> !Rehearsal.isOne(one.getKey()))
                .filter(one -> one.getValue().snapshot().state().there().isOpen())
                .map(Map.Entry::getKey)
                .toList();
    }

    private void keep(LessonId id, LiveLesson lesson, List<LessonEvent> events) {
        if (events.isEmpty()) {
            return;
        }
        if (Rehearsal.isOne(id)) {
            lesson.happened(events, lesson.hash());
            return;
        }
        int after = lesson.snapshot().events().size();
        try {
            lesson.happened(events, journal.append(id, after, lesson.hash(), events));
        } catch (Journal.NotKept notKept) {
            // It may be on the disk all the same: before the next order or look of the clock the record is read again.
            lesson.doubt();
            throw Problem.notKept(causes.of(notKept));
        }
    }

    /** Takes up what an append left on the disk of which nobody heard. */
    private void makeSure(LessonId id, LiveLesson lesson) {
        if (lesson.isInDoubt()) {
            Journal.Record record = journal.read(id);
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
    public Optional<Snapshot> lookIfReadable(LessonId id) {
        try {
            return Optional.of(look(id));
        } catch (Journal.DamagedRecord damaged) {
            if (reported.add(id)) {
                LOG.error("{}. This lesson cannot go on; all others can.", damaged.getMessage());
            }
            return Optional.empty();
        }
    }

    /** A lesson as it is now; one that is over is not kept for it. @throws Journal.DamagedRecord if it cannot be read */
    public Snapshot look(LessonId id) {
        LiveLesson lesson = lessons.get(id);
        if (lesson == null) {
            LiveLesson read = read(id);
            if (read.snapshot().state().there().isOver()) {
                return read.snapshot();
            }
            lesson = of(id);
        }
        // Without the lock where that is possible: it is held while an order goes to the disk.
        if (lesson.revision() != planned.revision()) {
            synchronized (lesson) {
                refresh(id, lesson);
            }
        }
        return lesson.snapshot();
    }

    /** Whether a lesson is in memory: it was looked at lately, or goes on. */
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
        Snapshot seen = look(id);
        return Due.missing(seen.plan(), seen.state());
    }

    /** What has happened in a lesson. */
    public LessonState state(LessonId id) {
        return look(id).state();
    }

    /** The same, but nothing if its record is damaged. */
    public Optional<LessonState> stateIfReadable(LessonId id) {
        return lookIfReadable(id).map(Snapshot::state);
    }

    /** The lesson itself; it is read from the disk when somebody first asks. */
    LiveLesson of(LessonId id) {
        return lessons.computeIfAbsent(id, this::read);
    }

    /** Lets somebody look on, in a lesson that stays in memory as long as they do. */
    LiveLesson watchedBy(LessonId id, Viewer viewer) {
        LiveLesson lesson = of(id);
        while (!lesson.isWatchedBy(viewer)) {
            lesson = of(id);
        }
        return lesson;
    }

    private LiveLesson read(LessonId id) {
        long revision = planned.revision();
        Journal.Record record = Rehearsal.isOne(id) ? new Journal.Record(List.of(), new byte[0]) : journal.read(id);
        LessonState state = Parts.NEW.after(record.events());
        return new LiveLesson(planned.plan(id, state, now()), planned.rules(id), record, revision);
    }

    /** Takes up what was changed in plan and rules, and tells it: whoever asks first must not keep it from those who look on. */
    private void refresh(LessonId id, LiveLesson lesson) {
        long revision = planned.revision();
        if (lesson.revision() != revision) {
            lesson.planned(planned.plan(id, lesson.snapshot().state(), now()), planned.rules(id), revision);
            lesson.tell(tellers);
        }
    }

    /** After a start, everyone who was in has a moment to come back; who does not has lost the connection. */
    void goOn() {
        for (LessonId id : journal.begunAndNotOver()) {
            try {
                lookIfReadable(id);
            } catch (RuntimeException failed) {
                // One that cannot go on is no reason for the school not to start.
                LOG.error("Lesson {} could not be taken up again; all others are", id, failed);
            }
        }
        LOG.info("{} lessons go on where they were", lessons.size());
    }

    /** Whether the clock, or a change of the plan, has something to do in a lesson; it is done. */
    void tick(LessonId id) {
        LiveLesson lesson = lessons.get(id);
        if (lesson != null && !lesson.snapshot().state().there().isOver()) {
            boolean isBehind = lesson.revision() != planned.revision();
            if (isBehind || lesson.snapshot().isDue(now())) {
                carryOut(id, new LessonOrder.Tick());
            }
        }
    }

    /** Lets go of what is over, or was never begun and whose time is past, as long as nobody looks on. */
    void leaveWhatIsOver() {
        Instant now = now();
        lessons.forEach((id, lesson) -> {
            Snapshot seen = lesson.snapshot();
            boolean isPast = (Rehearsal.isOne(id) || !seen.state().there().isOpen())
                    && seen.plan().time().until().plus(REMEMBERED).isBefore(now);
            if (seen.state().there().isOver() || isPast) {
                leave(id);
            }
        });
    }

    /** Lets go of a rehearsal, whether or not it has ended, as soon as nobody looks on: of it nothing is kept. */
    public void letGo(Rehearsal rehearsal) {
        leave(rehearsal.id());
    }

    private void leave(LessonId id) {
        LiveLesson lesson = lessons.get(id);
        if (lesson != null && lesson.leaves()) {
            lessons.remove(id, lesson);
            rehearsals.forget(id);
        }
    }

    @Override
    public void destroy() {
        tellers.close();
    }

    /** Where a visit belongs, if it is of a lesson in memory; null otherwise. It never moves, so it is looked up once. */
    @Nullable
    LessonId lessonOf(VisitId visit) {
        LessonId known = whereabouts.getIfPresent(visit);
        if (known != null) {
            return known;
        }
        Optional<LessonId> found = lessons.entrySet().stream()
                .filter(one ->
                        one.getValue().snapshot().state().there().visit(visit).isPresent())
                .map(Map.Entry::getKey)
                .findFirst();
        found.ifPresent(lesson -> whereabouts.put(visit, lesson));
        return found.orElse(null);
    }
}
