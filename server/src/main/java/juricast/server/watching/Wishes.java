package juricast.server.watching;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import juricast.core.identity.PersonId;
import juricast.server.data.Database;
import org.springframework.stereotype.Component;

/** Who asked to watch a recording, or for a copy of it, and what an adult answered. */
@Component
class Wishes {
    private final Database database;

    Wishes(Database database) {
        this.database = database;
    }

    /** @param answered when, if it was @param let until when they may; nothing where it was refused or not answered */
    record Wish(
            long id,
            String recording,
            PersonId person,
            boolean download,
            String why,
            Instant at,
            Optional<Instant> answered,
            String answeredBy,
            Optional<Instant> let) {}

    List<Wish> of(String recording) {
        return database.read()
                .sql("SELECT * FROM recording_wish WHERE recording = :recording ORDER BY id DESC")
                .param("recording", recording)
                .query((row, n) -> wish(row))
                .list();
    }

    List<Wish> by(PersonId person) {
        return database.read()
                .sql("SELECT * FROM recording_wish WHERE person = :person ORDER BY id DESC")
                .param("person", person.value())
                .query((row, n) -> wish(row))
                .list();
    }

    /** How many wait for an answer, by recording. */
    Map<String, Long> waiting() {
        return database
                .read()
                .sql("SELECT recording, count(*) FROM recording_wish WHERE answered_at IS NULL GROUP BY recording")
                .query((row, n) -> Map.entry(row.getString(1), row.getLong(2)))
                .list()
                .stream()
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    /** Asked once; who asks again is still waiting. */
    void ask(String recording, PersonId person, boolean download, String why, Instant at) {
        database.append(sql -> sql.sql(
                        """
                INSERT INTO recording_wish (recording, person, download, why, at)
                SELECT :recording, :person, :download, :why, :at WHERE NOT EXISTS (
                    SELECT 1 FROM recording_wish WHERE recording = :recording AND person = :person
                      AND download = :download AND answered_at IS NULL)""")
                .param("recording", recording)
                .param("person", person.value())
                .param("download", download ? 1 : 0)
                .param("why", why)
                .param("at", at.toEpochMilli())
                .update());
    }

    /** @return false if there is no such wish, or it was answered */
    boolean answer(String recording, long id, Optional<Instant> until, PersonId by, Instant at) {
        return database.append(sql -> sql.sql(
                                """
                        UPDATE recording_wish SET answered_by = :by, answered_at = :at, let_until = :until
                        WHERE id = :id AND recording = :recording AND answered_at IS NULL""")
                        .param("by", by.value())
                        .param("at", at.toEpochMilli())
                        .param("until", until.map(Instant::toEpochMilli).orElse(null))
                        .param("id", id)
                        .param("recording", recording)
                        .update())
                == 1;
    }

    private static Wish wish(ResultSet row) throws SQLException {
        return new Wish(
                row.getLong("id"),
                row.getString("recording"),
                new PersonId(row.getString("person")),
                row.getBoolean("download"),
                row.getString("why"),
                Instant.ofEpochMilli(row.getLong("at")),
                instant(row, "answered_at"),
                row.getString("answered_by"),
                instant(row, "let_until"));
    }

    private static Optional<Instant> instant(ResultSet row, String column) throws SQLException {
        long millis = row.getLong(column);
        return row.wasNull() ? Optional.empty() : Optional.of(Instant.ofEpochMilli(millis));
    }
}
