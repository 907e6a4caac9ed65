package juricast.server.lesson;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import juricast.core.identity.LessonId;
import juricast.core.lesson.LessonOrder;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.scheduling.concurrent.CustomizableThreadFactory;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Opens lines to browsers and closes them. */
@Component
class Viewers implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(Viewers.class);
    private static final int TURNS = 10;
    /** How often it is asked whether those who look on still may. */
    private static final int RIGHTS_MS = 300;

    private final LiveLessons lessons;
    private final JsonMapper json;
    private final Map<Viewer, LiveLesson> open = new ConcurrentHashMap<>();
    private final ScheduledExecutorService rights =
            Executors.newSingleThreadScheduledExecutor(new CustomizableThreadFactory("rights-of-lines-"));
    private List<Viewer> inTurn = List.of();
    private int turn;

    Viewers(LiveLessons lessons, JsonMapper json) {
        this.lessons = lessons;
        this.json = json;
        rights.scheduleWithFixedDelay(this::endWhatIsNotAllowed, RIGHTS_MS, RIGHTS_MS, TimeUnit.MILLISECONDS);
    }

    /**
     * Answers a request with a line that brings the view now and after every change.
     *
     * @param mine whose visit it keeps connected
     * @param last the number the browser saw last, or 0
     * @param mayLook whether they still may
     */
    void open(
            LessonId id,
            Viewer.Audience audience,
            Viewer.Mine mine,
            int last,
            Viewer.View view,
            BooleanSupplier mayLook,
            Viewer.Line line) {
        LiveLesson lesson = lessons.of(id);
        var viewer = new Viewer(audience, line, mine, last, view, mayLook, json);
        open.put(viewer, lesson);
        lesson.viewers.add(viewer);
        mine.in(lesson.snapshot().state()).stream()
                .filter(visit -> visit.goesOn() && !visit.connected())
                .forEach(visit -> lessons.carryOut(id, new LessonOrder.ComeBack(visit.id())));
        line.begin(viewer::tell, () -> close(viewer));
    }

    private void close(Viewer viewer) {
        LiveLesson lesson = open.remove(viewer);
        if (lesson != null) {
            lesson.viewers.remove(viewer);
        }
    }

    /** How many lines are open. */
    int open() {
        return open.size();
    }

    /** Also of who hears nothing just now, and however busy the clock's other work is: on a thread of its own. */
    private void endWhatIsNotAllowed() {
        try {
            open.keySet().forEach(Viewer::endIfNotAllowed);
        } catch (RuntimeException | Error failed) {
            LOG.error("Lines could not be looked through; it is done again in a moment", failed);
        }
    }

    /** A tenth of all lines at a time, so that thousands of them never hold up an order. */
    @Scheduled(fixedDelay = 500)
    void heartbeat() {
        if (turn % TURNS == 0) {
            inTurn = List.copyOf(open.keySet());
        }
        int share = inTurn.size() / TURNS + 1;
        int first = Math.min(inTurn.size(), turn++ % TURNS * share);
        inTurn.subList(first, Math.min(inTurn.size(), first + share)).stream()
                .filter(viewer -> viewer.isQuiet() && open.containsKey(viewer))
                .forEach(Viewer::heartbeat);
    }

    /** Lines are ended first, so that a stop does not wait for browsers. */
    @Override
    public void destroy() {
        rights.shutdownNow();
        open.keySet().forEach(Viewer::end);
    }
}
