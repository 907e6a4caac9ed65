package juricast.server.lesson;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import juricast.core.door.DoorOrder;
import juricast.core.identity.LessonId;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.scheduling.concurrent.CustomizableThreadFactory;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Opens lines to browsers and closes them. */
@Component
public class Viewers implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(Viewers.class);
    private static final int TURNS = 10;
    /** How often it is asked whether those who look on still may. */
    private static final int RIGHTS_MS = 300;
    /** Windows that one person has open on one lesson; the oldest ends when there are more, since each costs something at every change. */
    private static final int LINES_OF_ONE = 6;

    private final LiveLessons lessons;
    private final JsonMapper json;
    private final Map<Viewer, LiveLesson> open = new ConcurrentHashMap<>();
    private final Map<Whose, List<Viewer>> ofOne = new ConcurrentHashMap<>();
    private final ScheduledExecutorService rights =
            Executors.newSingleThreadScheduledExecutor(new CustomizableThreadFactory("rights-of-lines-"));
    private List<Viewer> inTurn = List.of();
    private int turn;

    /** @param who a sign-in or a visit */
    private record Whose(LessonId lesson, String who) {}

    Viewers(LiveLessons lessons, JsonMapper json) {
        this.lessons = lessons;
        this.json = json;
        rights.scheduleWithFixedDelay(this::endWhatIsNotAllowed, RIGHTS_MS, RIGHTS_MS, TimeUnit.MILLISECONDS);
    }

    /**
     * Answers a request with a line that brings the view now and after every change.
     *
     * @param who the sign-in or the visit by which it comes
     * @param mine whose visit it keeps connected
     * @param last the number the browser saw last, or 0
     * @param mayLook whether they still may
     */
    public void open(
            LessonId id,
            String who,
            Viewer.Audience audience,
            Viewer.Mine mine,
            int last,
            Viewer.View view,
            BooleanSupplier mayLook,
            Viewer.Line line) {
        var viewer = new Viewer(audience, line, mine, last, view, mayLook, json);
        LiveLesson lesson = lessons.watchedBy(id, viewer);
        open.put(viewer, lesson);
        mine.in(lesson.snapshot().state()).stream()
                .filter(visit -> visit.goesOn() && !visit.connected())
                .forEach(visit -> lessons.carryOut(id, new DoorOrder.ComeBack(visit.id())));
        var whose = new Whose(id, who);
        List<Viewer> all = ofOne.merge(whose, List.of(viewer), Viewers::together);
        line.begin(viewer::tell, () -> close(viewer, whose));
        all.stream().limit(Math.max(0, all.size() - LINES_OF_ONE)).forEach(Viewer::end);
    }

    private static List<Viewer> together(List<Viewer> before, List<Viewer> more) {
        return Stream.concat(before.stream(), more.stream()).toList();
    }

    private void close(Viewer viewer, Whose whose) {
        ofOne.computeIfPresent(whose, (same, before) -> {
            List<Viewer> left = before.stream().filter(one -> one != viewer).toList();
            return left.isEmpty() ? null : left;
        });
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
                .forEach(viewer -> viewer.heartbeat(lessons.now()));
    }

    /** Lines are ended first, so that a stop does not wait for browsers. */
    @Override
    public void destroy() {
        rights.shutdownNow();
        open.keySet().forEach(Viewer::end);
    }
}
