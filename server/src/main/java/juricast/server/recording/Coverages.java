package juricast.server.recording;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.keeping.Retention;
import juricast.core.recording.Coverage;
import juricast.core.time.Span;
import juricast.server.Schedules;
import juricast.server.data.Database;
import juricast.server.lesson.Records;
import juricast.server.record.FinishedLessons;
import juricast.server.rules.Settings;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** What had to be recorded of lessons that are over, and what was: worked out once from their events, and kept beside them (need I5). */
@Component
public class Coverages {
    private static final Map<Coverage.Cause, String> COLUMNS = new EnumMap<>(Map.of(
            Coverage.Cause.LATE, "late",
            Coverage.Cause.PAUSED, "paused",
            Coverage.Cause.FAILED, "failed",
            Coverage.Cause.NO_CONSENT, "no_consent",
            Coverage.Cause.GROUPS, "in_groups",
            Coverage.Cause.ENDED, "ended"));

    private final Database database;
    private final Records records;
    private final FinishedLessons finished;
    private final Settings settings;
    private final Recordings recordings;

    Coverages(Database database, Records records, FinishedLessons finished, Settings settings, Recordings recordings) {
        this.database = database;
        this.records = records;
        this.finished = finished;
        this.settings = settings;
        this.recordings = recordings;
    }

    /** What one lesson came to. @param missing by cause, without those that took nothing */
    public record Covered(
            LessonId lesson,
            ClassId ofClass,
            Instant at,
            Duration recorded,
            Duration required,
            Duration covered,
            Map<Coverage.Cause, Duration> missing) {}

    /** Goes through lessons that are over and not looked at yet. */
    @Scheduled(initialDelay = 4500, fixedDelay = 3000, scheduler = Schedules.WORKING_OUT)
    void goThrough() {
        finished.each(
                "SELECT 1 FROM lesson_coverage WHERE lesson_coverage.lesson = lesson_stage.lesson",
                "What was recorded",
                this::keep);
    }

    private void keep(LessonId id) {
        Records.Record record = records.of(id);
        Instant over = record.dismissedAt().orElseThrow();
        Coverage coverage = Coverage.of(record.events(), over);
        if (!coverage.recorded().isZero()) {
            recordings.settle(
                    id,
                    coverage.recorded().toMillis(),
                    Retention.RECORDINGS.until(over, settings.ofLesson(id).book()));
        }
        database.append(sql -> sql.sql(
                        """
                INSERT INTO lesson_coverage (lesson, class, at, recorded, required, covered,
                    late, paused, failed, no_consent, in_groups, ended)
                SELECT id, class, starts, :recorded, :required, :covered,
                    :late, :paused, :failed, :no_consent, :in_groups, :ended FROM lesson WHERE id = :lesson""")
                .param("lesson", id.value())
                .param("recorded", coverage.recorded().toMillis())
                .param("required", coverage.required().toMillis())
                .param("covered", coverage.covered().toMillis())
                .param("late", missing(coverage, Coverage.Cause.LATE))
                .param("paused", missing(coverage, Coverage.Cause.PAUSED))
                .param("failed", missing(coverage, Coverage.Cause.FAILED))
                .param("no_consent", missing(coverage, Coverage.Cause.NO_CONSENT))
                .param("in_groups", missing(coverage, Coverage.Cause.GROUPS))
                .param("ended", missing(coverage, Coverage.Cause.ENDED))
                .update());
    }

    private static long missing(Coverage coverage, Coverage.Cause cause) {
        return coverage.gaps().stream()
                .filter(gap -> gap.cause() == cause)
                .mapToLong(gap -> gap.time().length().toMillis())
                .sum();
    }

    /** Lessons that had to be recorded, or were, in a stretch of time, the latest first. */
    public List<Covered> of(Set<ClassId> classes, Span window) {
        if (classes.isEmpty()) {
            return List.of();
        }
        return database.read()
                .sql(
                        """
                    SELECT * FROM lesson_coverage WHERE (required > 0 OR recorded > 0) AND at >= :from AND at < :until
                      AND class IN (:classes) ORDER BY at DESC""")
                .param("from", window.from().toEpochMilli())
                .param("until", window.until().toEpochMilli())
                .param("classes", classes.stream().map(ClassId::value).toList())
                .query((row, n) -> covered(row))
                .list();
    }

    private static Covered covered(ResultSet row) throws SQLException {
        Map<Coverage.Cause, Duration> missing = new EnumMap<>(Coverage.Cause.class);
        for (Map.Entry<Coverage.Cause, String> column : COLUMNS.entrySet()) {
            long millis = row.getLong(column.getValue());
            if (millis > 0) {
                missing.put(column.getKey(), Duration.ofMillis(millis));
            }
        }
        return new Covered(
                new LessonId(row.getString("lesson")),
                new ClassId(row.getString("class")),
                Instant.ofEpochMilli(row.getLong("at")),
                Duration.ofMillis(row.getLong("recorded")),
                Duration.ofMillis(row.getLong("required")),
                Duration.ofMillis(row.getLong("covered")),
                missing);
    }
}
