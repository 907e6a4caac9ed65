package juricast.server.register;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.register.Correction;
import juricast.core.register.Mark;
import juricast.server.data.Database;
import org.springframework.stereotype.Component;

/** What adults wrote beside computed marks. Nothing is overwritten; the latest counts. */
@Component
class Corrections {
    private final Database database;

    Corrections(Database database) {
        this.database = database;
    }

    /** All of a lesson, oldest first. */
    List<Correction> of(LessonId lesson) {
        return database.read()
                .sql("SELECT * FROM correction WHERE lesson = :lesson ORDER BY id")
                .param("lesson", lesson.value())
                .query((row, n) -> new Correction(
                        new PersonId(row.getString("person")),
                        Mark.valueOf(row.getString("mark")),
                        row.getString("code"),
                        row.getInt("late"),
                        row.getString("reason"),
                        new PersonId(row.getString("set_by")),
                        Instant.ofEpochMilli(row.getLong("at"))))
                .list();
    }

    /** The latest of each pupil. */
    Map<PersonId, Correction> latest(LessonId lesson) {
        var latest = new HashMap<PersonId, Correction>();
        of(lesson).forEach(one -> latest.put(one.person(), one));
        return latest;
    }

    void add(LessonId lesson, Correction correction) {
        database.append(sql -> sql.sql(
                        """
                INSERT INTO correction (lesson, person, mark, code, late, reason, set_by, at)
                VALUES (:lesson, :person, :mark, :code, :late, :reason, :by, :at)""")
                .param("lesson", lesson.value())
                .param("person", correction.person().value())
                .param("mark", correction.mark().name())
                .param("code", correction.code())
                .param("late", correction.lateMinutes())
                .param("reason", correction.reason())
                .param("by", correction.by().value())
                .param("at", correction.at().toEpochMilli())
                .update());
    }
}
