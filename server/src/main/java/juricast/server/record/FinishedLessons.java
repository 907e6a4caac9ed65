package juricast.server.record;

import java.util.List;
import juricast.core.identity.LessonId;
import juricast.server.data.Database;
import org.springframework.stereotype.Component;

/** Lessons that are over, for what is worked out once from them. */
@Component
public class FinishedLessons {
    private static final int AT_ONCE = 200;

    private final Database database;

    FinishedLessons(Database database) {
        this.database = database;
    }

    /** Some of those for which nothing is found yet. @param found a query on one lesson, {@code lesson_stage.lesson} */
    public List<LessonId> without(String found) {
        return database.read()
                .sql("SELECT lesson FROM lesson_stage WHERE over IS NOT NULL AND NOT EXISTS (%s) LIMIT :most"
                        .formatted(found))
                .param("most", AT_ONCE)
                .query((row, n) -> new LessonId(row.getString(1)))
                .list();
    }
}
