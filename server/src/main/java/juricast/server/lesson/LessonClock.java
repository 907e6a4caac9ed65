package juricast.server.lesson;

import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import juricast.core.door.DoorOrder;
import juricast.core.identity.LessonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonState;
import juricast.core.live.Visit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.concurrent.CustomizableThreadFactory;
import org.springframework.stereotype.Component;

/** What time does in live lessons, on a thread of its own: no sum over a year and no message that goes out holds it up. */
@Component
class LessonClock implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(LessonClock.class);
    /** Soon enough for a countdown. */
    private static final int TICK_MS = 250;

    /** After a start, browsers have this long to come back before their silence is counted. */
    private static final int SILENCE_MS = 20_000;

    private static final int SILENCE_TURN_MS = 500;
    private static final int SILENT_ROUNDS = 4;
    /** A quarter of all lessons at a time, each every two seconds. */
    private static final int SILENCE_TURNS = 4;

    private static final int LEAVE_MS = 30_000;

    /** So long a stop waits for the lesson that is looked at. */
    private static final int STOP_MS = 2_000;

    private final LiveLessons lessons;
    private final ObjectProvider<Classroom> classrooms;
    private final Map<VisitId, Integer> silent = new ConcurrentHashMap<>();
    private final ScheduledExecutorService thread =
            Executors.newSingleThreadScheduledExecutor(new CustomizableThreadFactory("lesson-clock-"));
    private int turn;

    LessonClock(LiveLessons lessons, ObjectProvider<Classroom> classrooms) {
        this.lessons = lessons;
        this.classrooms = classrooms;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        every(TICK_MS, TICK_MS, this::tick);
        every(SILENCE_MS, SILENCE_TURN_MS, this::noticeSilence);
        every(LEAVE_MS, LEAVE_MS, lessons::leaveWhatIsOver);
    }

    /** A fault would end all further turns. */
    private void every(int first, int ms, Runnable work) {
        thread.scheduleWithFixedDelay(
                () -> {
                    try {
                        work.run();
                    } catch (RuntimeException | Error failed) {
                        LOG.error("The clock of the lessons failed; it goes on", failed);
                    }
                },
                first,
                ms,
                TimeUnit.MILLISECONDS);
    }

    /** Ends what ends by itself, and shows changed rules. */
    void tick() {
        each("The clock could not tick", lessons::tick);
    }

    private void each(String failing, Consumer<LessonId> work) {
        for (LessonId id : lessons.known()) {
            if (thread.isShutdown()) {
                return;
            }
            try {
                work.accept(id);
            } catch (RuntimeException | Error failed) {
                LOG.error("{} in lesson {}", failing, id, failed);
            }
        }
    }

    /** Notices devices that have been without a line for a while. */
    void noticeSilence() {
        int now = turn++ % SILENCE_TURNS;
        each("It could not be found out who is silent", id -> {
            if (Math.floorMod(id.hashCode(), SILENCE_TURNS) == now && lessons.isKnown(id)) {
                noticeSilence(id, lessons.of(id));
            }
        });
    }

    private void noticeSilence(LessonId id, LiveLesson lesson) {
        LessonState state = lesson.snapshot().state();
        Set<VisitId> heard = lesson.viewers.stream()
                .flatMap(viewer -> viewer.mine(state).stream())
                .map(Visit::id)
                .collect(Collectors.toSet());
        for (Visit visit : state.there().visits()) {
            if (!visit.isLookedFor() || heard.contains(visit.id()) || isCarried(visit)) {
                silent.remove(visit.id());
            } else if (silent.merge(visit.id(), 1, Integer::sum) >= SILENT_ROUNDS) {
                silent.remove(visit.id());
                lessons.carryOut(id, new DoorOrder.LoseConnection(visit.id()));
            }
        }
    }

    private boolean isCarried(Visit visit) {
        return classrooms.stream().anyMatch(one -> one.carries(visit.id()));
    }

    @Override
    public void destroy() throws InterruptedException {
        thread.shutdown();
        thread.awaitTermination(STOP_MS, TimeUnit.MILLISECONDS);
    }
}
