package juricast.server.classes;

import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.live.Welcome;
import juricast.server.data.Database;
import juricast.server.data.Topic;
import org.springframework.stereotype.Component;

/** How who arrives is welcomed, as prepared for a class or for one of its lessons (need J7). */
@Component
public class Welcomes {
    private final Database database;
    private final Clock clock;

    Welcomes(Database database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    /** What counts for a lesson: its own, else that of its class. */
    public Optional<Welcome> of(LessonId lesson, ClassId ofClass) {
        return ofLesson(lesson).or(() -> ofClass(ofClass)).filter(one -> !one.text()
                .isBlank());
    }

    public Optional<Welcome> ofLesson(LessonId lesson) {
        return find("lesson:" + lesson.value());
    }

    public Optional<Welcome> ofClass(ClassId id) {
        return find("class:" + id.value());
    }

    private Optional<Welcome> find(String owner) {
        return database.read()
                .sql("SELECT text, by, at FROM welcome WHERE owner = :owner")
                .param("owner", owner)
                .query((row, n) -> new Welcome(
                        row.getString(1), new PersonId(row.getString(2)), Instant.ofEpochMilli(row.getLong(3))))
                .optional();
    }

    /** @param text an empty one: no welcome for this lesson, whatever its class has */
    void writeOfLesson(LessonId lesson, String text, PersonId by) {
        write("lesson:" + lesson.value(), text, by);
    }

    public void writeOfClass(ClassId id, String text, PersonId by) {
        write("class:" + id.value(), text, by);
    }

    private void write(String owner, String text, PersonId by) {
        database.write(
                sql -> sql.sql("INSERT INTO welcome (owner, text, by, at) VALUES (:owner, :text, :by, :at)"
                                + " ON CONFLICT (owner) DO UPDATE SET text = :text, by = :by, at = :at")
                        .param("owner", owner)
                        .param("text", text)
                        .param("by", by.value())
                        .param("at", clock.millis())
                        .update(),
                Topic.PLAN);
    }
}
