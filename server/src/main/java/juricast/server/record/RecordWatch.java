package juricast.server.record;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.LessonId;
import juricast.server.data.Database;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Looks at every record each night, some at a time, so that damage is found when it is new and not when the record is needed. */
@Component
public class RecordWatch implements AtNight {
    private static final Logger LOG = LoggerFactory.getLogger(RecordWatch.class);
    /** A few of them take less than a tenth of a second; between them lessons go on as if nobody looked. */
    private static final int AT_ONCE = 20;

    private final Journal journal;
    private final Database database;
    private final Clock clock;
    private volatile boolean complete = true;

    RecordWatch(Journal journal, Database database, Clock clock) {
        this.journal = journal;
        this.database = database;
        this.clock = clock;
    }

    /** A damaged record. @param number the first event that is not as it was written */
    public record Damaged(LessonId lesson, int number) {}

    /** Looks at some that were not looked at since; with the last of them, at whether any is missing. */
    @Override
    public boolean step(Instant since) {
        List<LessonId> next = notSince(since);
        for (LessonId lesson : next) {
            Optional<Integer> damaged = journal.firstDamaged(lesson);
            damaged.ifPresent(number -> LOG.error("The record of lesson {} is damaged at event {}", lesson, number));
            note(lesson, damaged);
        }
        if (next.isEmpty()) {
            return false;
        }
        complete = journal.isComplete();
        return true;
    }

    private List<LessonId> notSince(Instant since) {
        return database.read()
                .sql(
                        """
                    SELECT lesson FROM record_anchor WHERE NOT EXISTS
                    (SELECT 1 FROM record_look WHERE lesson = record_anchor.lesson AND at >= :since)
                    LIMIT :most""")
                .param("since", since.toEpochMilli())
                .param("most", AT_ONCE)
                .query((row, n) -> new LessonId(row.getString(1)))
                .list();
    }

    private void note(LessonId lesson, Optional<Integer> damaged) {
        database.append(sql -> sql.sql(
                        """
                INSERT INTO record_look (lesson, at, damaged) VALUES (:lesson, :at, :damaged)
                ON CONFLICT (lesson) DO UPDATE SET at = :at, damaged = :damaged""")
                .param("lesson", lesson.value())
                .param("at", clock.instant().toEpochMilli())
                .param("damaged", damaged.orElse(null))
                .update());
    }

    /** Records that were found damaged. */
    public List<Damaged> damaged() {
        return database.read()
                .sql("SELECT lesson, damaged FROM record_look WHERE damaged IS NOT NULL ORDER BY lesson")
                .query((row, n) -> new Damaged(new LessonId(row.getString(1)), row.getInt(2)))
                .list();
    }

    /** Whether no record was taken out whole, as of the last look. */
    public boolean isComplete() {
        return complete;
    }

    /** When the oldest look was; nothing as long as not all were looked at. */
    public Optional<Instant> allLookedAtSince() {
        record Looks(int records, int looks, long oldest) {}
        Looks looks = database.read()
                .sql(
                        """
                    SELECT (SELECT count(*) FROM record_anchor), count(*), coalesce(min(at), 0) FROM record_look""")
                .query((row, n) -> new Looks(row.getInt(1), row.getInt(2), row.getLong(3)))
                .single();
        return looks.records == looks.looks && looks.records > 0
                ? Optional.of(Instant.ofEpochMilli(looks.oldest))
                : Optional.empty();
    }
}
