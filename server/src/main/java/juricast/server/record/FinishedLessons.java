package juricast.server.record;

import java.util.List;
import java.util.function.Consumer;
import juricast.core.identity.LessonId;
import juricast.server.data.Database;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;

/** Lessons that are over, for what is worked out once from them. */
@Component
public class FinishedLessons implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(FinishedLessons.class);
    private static final int AT_ONCE = 200;

    /** Lessons that are over, whose record still says something and for which something is not found. */
    private static final String LACKS =
            """
            SELECT lesson FROM lesson_stage WHERE over IS NOT NULL AND NOT EXISTS (%s)
              AND NOT EXISTS (SELECT 1 FROM lesson_forgot
                WHERE lesson_forgot.lesson = lesson_stage.lesson AND kind = 'REGISTERS')""";

    private final Database database;
    private final Object oneAtATime = new Object();
    private boolean stopped;

    FinishedLessons(Database database) {
        this.database = database;
    }

    /**
     * Works something out for some of those for which it is not found yet, and whose record still says something. A lesson of
     * which that fails stops no other, and is tried again the next time.
     *
     * @param found a query on one lesson, {@code lesson_stage.lesson}
     * @param what is worked out, as the log says it
     */
    public void each(String found, String what, Consumer<LessonId> work) {
        for (LessonId id : without(found)) {
            synchronized (oneAtATime) {
                if (stopped) {
                    return;
                }
                try {
                    if (isWithout(found, id)) {
                        work.accept(id);
                    }
                } catch (RuntimeException failed) {
                    LOG.error("{} of lesson {} could not be worked out; it is tried again", what, id, failed);
                }
            }
        }
    }

    /** Forgets something of a lesson while nothing is worked out from one: what is written down after it was forgotten would stay for ever. */
    public void meanwhileNothing(Runnable forgetting) {
        synchronized (oneAtATime) {
            forgetting.run();
        }
    }

    /** What is being worked out comes to its end; the rest waits for the next start. */
    @Override
    public void destroy() {
        synchronized (oneAtATime) {
            stopped = true;
        }
    }

    /** Asked again in one's turn: it may have been worked out, or forgotten, since the list was made. */
    private boolean isWithout(String found, LessonId id) {
        return database.read()
                .sql(LACKS.formatted(found) + " AND lesson = :lesson")
                .param("lesson", id.value())
                .query(String.class)
                .optional()
                .isPresent();
    }

    private List<LessonId> without(String found) {
        return database.read()
                .sql(LACKS.formatted(found) + " LIMIT :most")
                .param("most", AT_ONCE)
                .query((row, n) -> new LessonId(row.getString(1)))
                .list();
    }
}
