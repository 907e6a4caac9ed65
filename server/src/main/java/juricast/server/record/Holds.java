package juricast.server.record;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.server.data.Database;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What somebody may need again: as long as a hold lasts, the bodies of its events are not erased. */
@Component
public class Holds {
    private final Database database;

    Holds(Database database) {
        this.database = database;
    }

    /** Events {@code first} to {@code last} of a lesson, both inclusive. @param why for whoever finds it later */
    public record Hold(long id, LessonId lesson, int first, int last, String why, PersonId by, Instant at) {
        public boolean covers(int number) {
            return first <= number && number <= last;
        }
    }

    /** @return its number @throws IllegalArgumentException if {@code last} is before {@code first}, or first is below 1 */
    public long hold(LessonId lesson, int first, int last, String why, PersonId by, Instant at) {
        if (first < 1 || last < first) {
            throw new IllegalArgumentException("No events stand from %d to %d".formatted(first, last));
        }
        return database.append(sql -> hold(sql, lesson, first, last, why, by, at));
    }

    /** The same as part of a larger write. */
    public static long hold(JdbcClient sql, LessonId lesson, int first, int last, String why, PersonId by, Instant at) {
        return sql.sql(
                        """
                INSERT INTO record_hold (lesson, first, last, why, by, at)
                VALUES (:lesson, :first, :last, :why, :by, :at) RETURNING id""")
                .param("lesson", lesson.value())
                .param("first", first)
                .param("last", last)
                .param("why", why)
                .param("by", by.value())
                .param("at", at.toEpochMilli())
                .query(Long.class)
                .single();
    }

    /** Lets go of all that are held for one reason, as part of a larger write. @return how many */
    public static int release(JdbcClient sql, String why, PersonId by, Instant at) {
        return sql.sql("UPDATE record_hold SET released = :at, released_by = :by WHERE why = :why AND released IS NULL")
                .param("why", why)
                .param("by", by.value())
                .param("at", at.toEpochMilli())
                .update();
    }

    /** @return whether it lasted until now */
    public boolean release(long id, PersonId by, Instant at) {
        return database.append(sql ->
                sql.sql("UPDATE record_hold SET released = :at, released_by = :by WHERE id = :id AND released IS NULL")
                                .param("id", id)
                                .param("by", by.value())
                                .param("at", at.toEpochMilli())
                                .update()
                        == 1);
    }

    /** Those that last. */
    public List<Hold> of(LessonId lesson) {
        return of(database.read(), lesson);
    }

    /** All that last, of all lessons. */
    public List<Hold> all() {
        return database.read()
                .sql("SELECT * FROM record_hold WHERE released IS NULL ORDER BY id")
                .query((row, n) -> hold(row))
                .list();
    }

    static List<Hold> of(JdbcClient sql, LessonId lesson) {
        return sql.sql("SELECT * FROM record_hold WHERE lesson = :lesson AND released IS NULL ORDER BY id")
                .param("lesson", lesson.value())
                .query((row, n) -> hold(row))
                .list();
    }

    private static Hold hold(ResultSet row) throws SQLException {
        return new Hold(
                row.getLong("id"),
                new LessonId(row.getString("lesson")),
                row.getInt("first"),
                row.getInt("last"),
                row.getString("why"),
                new PersonId(row.getString("by")),
                Instant.ofEpochMilli(row.getLong("at")));
    }
}
