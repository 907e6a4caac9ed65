package juricast.server.record;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.door.DoorEvent;
import juricast.core.identity.LessonId;
import juricast.core.live.LessonEvent;
import juricast.server.data.Database;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** How far each lesson is, written with the events that make it so: whoever asks needs to read no events. */
@Component
public class Stages implements Follower {
    private final Database database;

    Stages(Database database) {
        this.database = database;
    }

    /** @param over nothing as long as it goes on */
    public record Stage(Instant opened, @Nullable Instant over) {
        public boolean isOver() {
            return over != null;
        }

        /** When it became what it is. */
        public Instant since() {
            return over == null ? opened : over;
        }
    }

    @Override
    public void within(JdbcClient sql, LessonId lesson, List<LessonEvent> events) {
        for (LessonEvent event : events) {
            if (event instanceof DoorEvent.Opened opened) {
                sql.sql("INSERT INTO lesson_stage (lesson, opened) VALUES (:lesson, :at) ON CONFLICT DO NOTHING")
                        .param("lesson", lesson.value())
                        .param("at", opened.at().toEpochMilli())
                        .update();
            } else if (event instanceof DoorEvent.Dismissed dismissed) {
                sql.sql("UPDATE lesson_stage SET over = :at WHERE lesson = :lesson AND over IS NULL")
                        .param("lesson", lesson.value())
                        .param("at", dismissed.at().toEpochMilli())
                        .update();
            }
        }
    }

    /** Nothing as long as nobody has opened it. */
    public Optional<Stage> of(LessonId lesson) {
        return database.read()
                .sql("SELECT opened, over FROM lesson_stage WHERE lesson = :lesson AND opened IS NOT NULL")
                .param("lesson", lesson.value())
                .query((row, n) -> {
                    Instant opened = Instant.ofEpochMilli(row.getLong("opened"));
                    long over = row.getLong("over");
                    return new Stage(opened, row.wasNull() ? null : Instant.ofEpochMilli(over));
                })
                .optional();
    }
}
