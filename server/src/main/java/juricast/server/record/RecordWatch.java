package juricast.server.record;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import juricast.core.identity.LessonId;
import juricast.server.data.Database;
import juricast.server.data.School;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.scheduling.concurrent.CustomizableThreadFactory;
import org.springframework.stereotype.Component;

/** Looks at every record each night, some at a time, so that damage is found when it is new and not when the record is needed. */
@Component
public class RecordWatch implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(RecordWatch.class);
    /** A few of them take less than a tenth of a second; between them lessons go on as if nobody looked. */
    private static final int AT_ONCE = 20;

    private static final LocalTime BEGINS = LocalTime.of(1, 0);
    private static final LocalTime ENDS = LocalTime.of(5, 0);

    private final Journal journal;
    private final Database database;
    private final School school;
    private final Clock clock;
    private final ScheduledExecutorService beside =
            Executors.newSingleThreadScheduledExecutor(new CustomizableThreadFactory("records-"));

    private volatile boolean complete = true;

    RecordWatch(Journal journal, Database database, School school, Clock clock) {
        this.journal = journal;
        this.database = database;
        this.school = school;
        this.clock = clock;
        beside.scheduleWithFixedDelay(this::step, 20, 1, TimeUnit.SECONDS);
    }

    /** A damaged record. @param number the first event that is not as it was written */
    public record Damaged(LessonId lesson, int number) {}

    /** A fault would end all further turns. */
    private void step() {
        try {
            ZonedDateTime now = clock.instant().atZone(school.zone());
            boolean isNight =
                    !now.toLocalTime().isBefore(BEGINS) && now.toLocalTime().isBefore(ENDS);
            if (isNight) {
                look(now.with(BEGINS).toInstant());
            }
        } catch (RuntimeException | Error failed) {
            LOG.error("Records could not be looked at; it is done again in a second", failed);
        }
    }

    /** Looks at some that were not looked at since. @return whether there may be more */
    public boolean look(Instant since) {
        List<LessonId> next = notSince(since);
        for (LessonId lesson : next) {
            Optional<Integer> damaged = journal.firstDamaged(lesson);
            damaged.ifPresent(number -> LOG.error("The record of lesson {} is damaged at event {}", lesson, number));
            note(lesson, damaged);
        }
        if (next.size() < AT_ONCE) {
            complete = journal.isComplete();
        }
        return next.size() == AT_ONCE;
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

    @Override
    public void destroy() {
        beside.shutdownNow();
    }
}
