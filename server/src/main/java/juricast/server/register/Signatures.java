package juricast.server.register;

import java.time.Instant;
import java.util.Optional;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.server.data.Database;
import org.springframework.stereotype.Component;

/** Who has signed a register, and who opened it again and why; nothing of it is ever forgotten. */
@Component
class Signatures {
    private final Database database;

    Signatures(Database database) {
        this.database = database;
    }

    record Signature(PersonId by, Instant at) {}

    /** The signature that counts. */
    Optional<Signature> of(LessonId lesson) {
        return database
                .read()
                .sql("SELECT by, at FROM register_signed WHERE lesson = :lesson AND reopened_at = 0")
                .param("lesson", lesson.value())
                .query((row, n) ->
                        new Signature(new PersonId(row.getString("by")), Instant.ofEpochMilli(row.getLong("at"))))
                .list()
                .stream()
                .findFirst();
    }

    /** Signs, unless it is signed. */
    void sign(LessonId lesson, PersonId by, Instant at) {
        database.append(sql -> sql.sql(
                        """
                INSERT INTO register_signed (lesson, by, at) SELECT :lesson, :by, :at
                WHERE NOT EXISTS (SELECT 1 FROM register_signed WHERE lesson = :lesson AND reopened_at = 0)""")
                .param("lesson", lesson.value())
                .param("by", by.value())
                .param("at", at.toEpochMilli())
                .update());
    }

    void reopen(LessonId lesson, PersonId by, Instant at, String reason) {
        database.append(sql -> sql.sql(
                        """
                UPDATE register_signed SET reopened_by = :by, reopened_at = :at, reason = :reason
                WHERE lesson = :lesson AND reopened_at = 0""")
                .param("lesson", lesson.value())
                .param("by", by.value())
                .param("at", at.toEpochMilli())
                .param("reason", reason)
                .update());
    }
}
