package juricast.server.recording;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.time.Span;
import juricast.server.data.Database;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Which recordings there are, and were: of lessons, and what adults have recorded ahead. */
@Component
public class Recordings {
    private final Database database;

    Recordings(Database database) {
        this.database = database;
    }

    /**
     * One recording. What it holds is worked out when it is watched.
     *
     * @param lesson nothing where an adult has recorded it ahead
     * @param ended nothing while it goes on
     * @param lengthMs 0 while it goes on
     * @param keptUntil by the rule; nothing while it goes on
     * @param extendedUntil until when the lead has it kept beyond that
     * @param by who recorded it ahead
     * @param shown from when until when one recorded ahead is shown to the class
     * @param forLesson the lesson in whose register watching one recorded ahead counts, if it does
     */
    public record Recording(
            String id,
            Optional<LessonId> lesson,
            ClassId ofClass,
            String title,
            Instant begun,
            Optional<Instant> ended,
            long lengthMs,
            Optional<Instant> keptUntil,
            Optional<Instant> extendedUntil,
            String extendedWhy,
            String extendedBy,
            Optional<Instant> erasedAt,
            String erasedWhy,
            String by,
            Optional<Span> shown,
            Optional<LessonId> forLesson) {
        /** Until when it is kept: by the rule, or longer by the lead's word. */
        public Optional<Instant> keptTo() {
            return extendedUntil
                    .filter(end -> keptUntil.filter(end::isAfter).isPresent())
                    .or(() -> keptUntil);
        }

        public boolean isAhead() {
            return lesson.isEmpty();
        }

        /** How much of it so many milliseconds are, rounded down, from 0 to 100; 0 of one of no length. */
        public int percent(long watchedMs) {
            return lengthMs == 0 ? 0 : (int) Math.min(100, 100 * watchedMs / lengthMs);
        }
    }

    /** In the transaction of the event. A lesson has one recording, however often the recorder began. */
    static void began(JdbcClient sql, LessonId lesson, Instant at) {
        sql.sql(
                        """
                INSERT INTO recording (id, lesson, class, title, begun, alive)
                SELECT lesson.id, lesson.id, class, class.title, :at, :at FROM lesson
                JOIN class ON class.id = class WHERE lesson.id = :lesson
                ON CONFLICT (id) DO UPDATE SET ended = NULL, alive = excluded.alive""")
                .param("lesson", lesson.value())
                .param("at", at.toEpochMilli())
                .update();
    }

    static void ended(JdbcClient sql, LessonId lesson, Instant at) {
        sql.sql("UPDATE recording SET ended = :at WHERE id = :lesson")
                .param("lesson", lesson.value())
                .param("at", at.toEpochMilli())
                .update();
    }

    void alive(Collection<LessonId> lessons, Instant now) {
        Set<String> ids = lessons.stream().map(LessonId::value).collect(Collectors.toSet());
        database.append(sql -> sql.sql("UPDATE recording SET alive = :now WHERE id IN (:ids)")
                .param("now", now.toEpochMilli())
                .param("ids", ids)
                .update());
    }

    /** When it was last known to be recorded. */
    Optional<Instant> aliveUntil(LessonId lesson) {
        return database.read()
                .sql("SELECT alive FROM recording WHERE id = :lesson")
                .param("lesson", lesson.value())
                .query(Long.class)
                .optional()
                .map(Instant::ofEpochMilli);
    }

    public Optional<Recording> find(String id) {
        return database.read()
                .sql("SELECT * FROM recording WHERE id = :id")
                .param("id", id)
                .query((row, n) -> recording(row))
                .optional();
    }

    /** Of classes, begun in a stretch of time. @param most at most so many, the latest first */
    public List<Recording> list(Set<ClassId> classes, Span window, int most) {
        if (classes.isEmpty()) {
            return List.of();
        }
        return database.read()
                .sql(
                        """
                    SELECT * FROM recording WHERE begun >= :from AND begun < :until AND class IN (:classes)
                    ORDER BY begun DESC LIMIT :most""")
                .param("from", window.from().toEpochMilli())
                .param("until", window.until().toEpochMilli())
                .param("classes", classes.stream().map(ClassId::value).toList())
                .param("most", most)
                .query((row, n) -> recording(row))
                .list();
    }

    /** Of classes, without those that were erased, the latest first. */
    public List<Recording> kept(Set<ClassId> classes) {
        return classes.isEmpty()
                ? List.of()
                : database.read()
                        .sql(
                                """
                            SELECT * FROM recording WHERE class IN (:classes) AND erased_at IS NULL AND ended IS NOT NULL
                            ORDER BY begun DESC""")
                        .param("classes", classes.stream().map(ClassId::value).toList())
                        .query((row, n) -> recording(row))
                        .list();
    }

    /** Those whose time is over at an instant, by the rule and by the lead's word; the oldest first. */
    public List<Recording> keptUntil(Instant until, int most) {
        return database.read()
                .sql(
                        """
                    SELECT * FROM recording WHERE erased_at IS NULL AND ended IS NOT NULL AND kept_until < :until
                      AND coalesce(extended_until, 0) < :until ORDER BY kept_until LIMIT :most""")
                .param("until", until.toEpochMilli())
                .param("most", most)
                .query((row, n) -> recording(row))
                .list();
    }

    public List<Recording> notErased() {
        return database.read()
                .sql("SELECT * FROM recording WHERE erased_at IS NULL AND ended IS NOT NULL")
                .query((row, n) -> recording(row))
                .list();
    }

    public void keepUntil(String id, Instant until) {
        database.append(sql -> sql.sql("UPDATE recording SET kept_until = :until WHERE id = :id")
                .param("until", until.toEpochMilli())
                .param("id", id)
                .update());
    }

    /** What is worked out once it is over. */
    void settle(LessonId lesson, long lengthMs, Instant keptUntil) {
        database.append(sql -> sql.sql("UPDATE recording SET length = :length, kept_until = :kept WHERE id = :lesson")
                .param("length", lengthMs)
                .param("kept", keptUntil.toEpochMilli())
                .param("lesson", lesson.value())
                .update());
    }

    /** The lead has it kept longer. */
    public void extend(String id, Instant until, String why, PersonId by) {
        database.append(sql -> sql.sql(
                        """
                UPDATE recording SET extended_until = :until, extended_why = :why, extended_by = :by
                WHERE id = :id AND erased_at IS NULL""")
                .param("until", until.toEpochMilli())
                .param("why", why)
                .param("by", by.value())
                .param("id", id)
                .update());
    }

    /** Recorded ahead by an adult, not shown to anybody yet. */
    public void addAhead(String id, ClassId ofClass, String title, Instant begun, PersonId by) {
        database.append(sql -> sql.sql(
                        """
                INSERT INTO recording (id, class, title, begun, alive, by) VALUES (:id, :class, :title, :at, :at, :by)""")
                .param("id", id)
                .param("class", ofClass.value())
                .param("title", title)
                .param("at", begun.toEpochMilli())
                .param("by", by.value())
                .update());
    }

    /** It has ended, and is shown to nobody yet. */
    public void endAhead(String id, Instant ended, long lengthMs, Instant keptUntil) {
        database.append(sql -> sql.sql(
                        """
                UPDATE recording SET ended = :at, length = :length, kept_until = :kept
                WHERE id = :id AND ended IS NULL""")
                .param("at", ended.toEpochMilli())
                .param("length", lengthMs)
                .param("kept", keptUntil.toEpochMilli())
                .param("id", id)
                .update());
    }

    /** Shows one recorded ahead to its class, or takes it back. @param forLesson in whose register watching counts; nothing where it does not */
    public void show(String id, Optional<Span> when, Optional<LessonId> forLesson) {
        database.append(sql -> sql.sql(
                        """
                UPDATE recording SET shown_from = :from, shown_until = :until, for_lesson = :lesson
                WHERE id = :id AND lesson IS NULL""")
                .param("from", when.map(one -> one.from().toEpochMilli()).orElse(null))
                .param("until", when.map(one -> one.until().toEpochMilli()).orElse(null))
                .param("lesson", forLesson.map(LessonId::value).orElse(null))
                .param("id", id)
                .update());
    }

    private static Recording recording(ResultSet row) throws SQLException {
        Optional<Instant> from = instant(row, "shown_from");
        return new Recording(
                row.getString("id"),
                Optional.ofNullable(row.getString("lesson")).map(LessonId::new),
                new ClassId(row.getString("class")),
                row.getString("title"),
                Instant.ofEpochMilli(row.getLong("begun")),
                instant(row, "ended"),
                row.getLong("length"),
                instant(row, "kept_until"),
                instant(row, "extended_until"),
                row.getString("extended_why"),
                row.getString("extended_by"),
                instant(row, "erased_at"),
                row.getString("erased_why"),
                row.getString("by"),
                from.isPresent()
                        ? Optional.of(
                                new Span(from.get(), instant(row, "shown_until").orElseThrow()))
                        : Optional.empty(),
                Optional.ofNullable(row.getString("for_lesson")).map(LessonId::new));
    }

    private static Optional<Instant> instant(ResultSet row, String column) throws SQLException {
        long millis = row.getLong(column);
        return row.wasNull() ? Optional.empty() : Optional.of(Instant.ofEpochMilli(millis));
    }
}
