package juricast.server.register;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.time.Span;
import juricast.server.data.Database;
import juricast.server.data.Ids;
import org.springframework.stereotype.Component;

/** Presence in lessons that another service wrote down. */
@Component
class OutsideLogs {
    private final Database database;

    OutsideLogs(Database database) {
        this.database = database;
    }

    /** A log that was taken. */
    record Taken(String id, String file, PersonId by, Instant at) {}

    /** The logs of a lesson that count. */
    List<Taken> of(LessonId lesson) {
        return database.read()
                .sql("SELECT * FROM outside_log WHERE lesson = :lesson AND removed_at = 0 ORDER BY taken_at")
                .param("lesson", lesson.value())
                .query((row, n) -> new Taken(
                        row.getString("id"),
                        row.getString("file"),
                        new PersonId(row.getString("taken_by")),
                        Instant.ofEpochMilli(row.getLong("taken_at"))))
                .list();
    }

    /** Everybody's time in these logs. */
    Map<PersonId, List<Span>> stays(LessonId lesson) {
        record Row(PersonId person, Span time) {}
        var stays = new HashMap<PersonId, List<Span>>();
        database.read()
                .sql(
                        """
                    SELECT person, starts, ends FROM outside_stay JOIN outside_log ON outside_log.id = log
                    WHERE lesson = :lesson AND removed_at = 0""")
                .param("lesson", lesson.value())
                .query((row, n) -> new Row(
                        new PersonId(row.getString("person")),
                        new Span(
                                Instant.ofEpochMilli(row.getLong("starts")),
                                Instant.ofEpochMilli(row.getLong("ends")))))
                .list()
                .forEach(row -> stays.computeIfAbsent(row.person, id -> new ArrayList<>())
                        .add(row.time));
        return stays;
    }

    /** Takes a log as a whole. */
    void take(LessonId lesson, String file, Map<PersonId, List<Span>> stays, PersonId by, Instant at) {
        database.append(sql -> {
            String id = Ids.next();
            sql.sql(
                            """
                    INSERT INTO outside_log (id, lesson, file, taken_by, taken_at)
                    VALUES (:id, :lesson, :file, :by, :at)""")
                    .param("id", id)
                    .param("lesson", lesson.value())
                    .param("file", file)
                    .param("by", by.value())
                    .param("at", at.toEpochMilli())
                    .update();
            stays.forEach((person, spans) -> spans.forEach(span -> sql.sql(
                            "INSERT INTO outside_stay (log, person, starts, ends) VALUES (:log, :person, :from, :until)")
                    .param("log", id)
                    .param("person", person.value())
                    .param("from", span.from().toEpochMilli())
                    .param("until", span.until().toEpochMilli())
                    .update()));
            return null;
        });
    }

    /** Takes a log back. @return the lesson it was of, if it counted until now */
    Optional<LessonId> remove(String id, PersonId by, Instant at) {
        return database.append(sql -> {
            Optional<LessonId> lesson = sql.sql("SELECT lesson FROM outside_log WHERE id = :id AND removed_at = 0")
                    .param("id", id)
                    .query((row, n) -> new LessonId(row.getString(1)))
                    .optional();
            sql.sql("UPDATE outside_log SET removed_by = :by, removed_at = :at WHERE id = :id AND removed_at = 0")
                    .param("id", id)
                    .param("by", by.value())
                    .param("at", at.toEpochMilli())
                    .update();
            return lesson;
        });
    }
}
