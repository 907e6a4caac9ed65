package juricast.server.retention;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.chat.ChatEvent;
import juricast.core.chat.SentFile;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.keeping.Retention;
import juricast.core.live.LessonEvent;
import juricast.server.chat.LessonFiles;
import juricast.server.data.Database;
import juricast.server.record.AtNight;
import juricast.server.record.Erasing;
import juricast.server.record.FinishedLessons;
import juricast.server.record.Forgotten;
import juricast.server.record.Holds;
import juricast.server.record.Journal;
import juricast.server.rules.Settings;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Erases what lessons said when the time has come for which their rules keep it: words and files, the board, captions, and in the
 * end the register with all the rest. A lesson at a time, each in a transaction of its own, so that no order waits for more than
 * one.
 */
@Component
public class LessonForgetting implements AtNight {
    private static final Logger LOG = LoggerFactory.getLogger(LessonForgetting.class);
    private static final int AT_ONCE = 20;
    /** So many are looked through at most for what goes next week; the oldest go first. */
    private static final int LOOKED_THROUGH = 5000;

    /** What only lessons say; the register goes last, and takes the rest with it. */
    static final List<Retention> KINDS =
            List.of(Retention.WORDS, Retention.BOARD, Retention.ANSWERS, Retention.CAPTIONS, Retention.REGISTERS);

    private final Database database;
    private final Settings settings;
    private final Journal journal;
    private final Erasing erasing;
    private final Holds holds;
    private final LessonFiles files;
    private final FinishedLessons finished;
    private final Clock clock;
    /** Where this night's round of each kind has come to. */
    private final Map<Retention, Round> rounds = new EnumMap<>(Retention.class);

    private record Round(Instant since, String after, boolean isDone) {}

    private record Over(LessonId lesson, Instant at) {}

    LessonForgetting(
            Database database,
            Settings settings,
            Journal journal,
            Erasing erasing,
            Holds holds,
            LessonFiles files,
            FinishedLessons finished,
            Clock clock) {
        this.database = database;
        this.settings = settings;
        this.journal = journal;
        this.erasing = erasing;
        this.holds = holds;
        this.files = files;
        this.finished = finished;
        this.clock = clock;
    }

    /** Goes once a night through all lessons that still say something of a kind. Those that a hold keeps are asked again each night. */
    @Override
    public synchronized boolean step(Instant since) {
        for (Retention kind : KINDS) {
            Round known = rounds.get(kind);
            Round round = known == null || !known.since.equals(since) ? new Round(since, "", false) : known;
            if (!round.isDone) {
                List<Over> next = overAfter(kind, round.after);
                next.forEach(one -> forgetIfDue(kind, one));
                String last =
                        next.isEmpty() ? "" : next.get(next.size() - 1).lesson.value();
                rounds.put(kind, new Round(since, last, next.size() < AT_ONCE));
                return true;
            }
        }
        return false;
    }

    private List<Over> overAfter(Retention kind, String lesson) {
        return database.read()
                .sql(
                        """
                    SELECT lesson, over FROM lesson_stage WHERE over IS NOT NULL AND lesson > :after
                      AND NOT EXISTS (SELECT 1 FROM lesson_forgot
                        WHERE lesson_forgot.lesson = lesson_stage.lesson AND kind = :kind)
                    ORDER BY lesson LIMIT :most""")
                .param("after", lesson)
                .param("kind", kind.name())
                .param("most", AT_ONCE)
                .query((row, n) -> new Over(new LessonId(row.getString(1)), Instant.ofEpochMilli(row.getLong(2))))
                .list();
    }

    private void forgetIfDue(Retention kind, Over one) {
        try {
            Instant now = clock.instant();
            if (!now.isBefore(until(kind, one))) {
                finished.meanwhileNothing(() -> forget(kind, one.lesson, now));
            }
        } catch (Journal.DamagedRecord damaged) {
            LOG.error("{} of lesson {} cannot be erased: its record is damaged", kind, one.lesson);
        }
    }

    private Instant until(Retention kind, Over one) {
        return kind.until(one.at, settings.ofLesson(one.lesson).book());
    }

    private void forget(Retention kind, LessonId lesson, Instant now) {
        // With its register goes that it began and ended: as long as something of it is held, it stays whole.
        if (kind == Retention.REGISTERS && !holds.of(lesson).isEmpty()) {
            return;
        }
        List<LessonEvent> record = journal.read(lesson).events();
        List<Integer> numbers = kind.goes(record);
        List<SentFile> sent = numbers.stream()
                .flatMap(number -> file(record.get(number - 1)).stream())
                .toList();
        Erasing.Done done = erasing.erase(lesson, numbers, "kept as long as the rules say", PersonId.CLOCK, now);
        if (!done.held().isEmpty()) {
            // Files of what was erased go; those of what is held stay with it.
            sent.stream()
                    .filter(one -> done.erased().stream()
                            .anyMatch(number -> file(record.get(number - 1)).equals(Optional.of(one))))
                    .forEach(files::drop);
            return;
        }
        sent.forEach(files::drop);
        database.append(sql -> {
            if (kind == Retention.BOARD) {
                Erasing.overwriting(sql);
                sql.sql("DELETE FROM board_picture WHERE lesson = :lesson")
                        .param("lesson", lesson.value())
                        .update();
            }
            if (kind == Retention.REGISTERS) {
                Erasing.overwriting(sql);
                withTheRegister(sql, lesson);
            }
            sql.sql("INSERT INTO lesson_forgot (lesson, kind, at) VALUES (:lesson, :kind, :at)"
                            + " ON CONFLICT DO NOTHING")
                    .param("lesson", lesson.value())
                    .param("kind", kind.name())
                    .param("at", now.toEpochMilli())
                    .update();
            if (!done.erased().isEmpty()) {
                Forgotten.note(
                        sql,
                        kind.name(),
                        lesson.value(),
                        kind.rule().key(),
                        done.erased().size(),
                        now);
            }
            return null;
        });
    }

    /** What was worked out from the record and says something of somebody. That it was worked out stays, so that it is not again. */
    private static void withTheRegister(JdbcClient sql, LessonId lesson) {
        for (String table : List.of(
                "correction", "register_signed", "departure", "lesson_place", "merit", "board_picture", "step_taken")) {
            sql.sql("DELETE FROM %s WHERE lesson = :lesson".formatted(table))
                    .param("lesson", lesson.value())
                    .update();
        }
        sql.sql("DELETE FROM outside_stay WHERE log IN (SELECT id FROM outside_log WHERE lesson = :lesson)")
                .param("lesson", lesson.value())
                .update();
        sql.sql("DELETE FROM outside_log WHERE lesson = :lesson")
                .param("lesson", lesson.value())
                .update();
        sql.sql(
                        """
                DELETE FROM attendance WHERE lesson IN (
                    SELECT number FROM attendance_number WHERE kind = 'LESSON' AND id = :lesson)""")
                .param("lesson", lesson.value())
                .update();
    }

    private static Optional<SentFile> file(LessonEvent event) {
        return event instanceof ChatEvent.Written written ? written.file() : Optional.empty();
    }

    /** When each kind of what a lesson left was forgotten, where it was. */
    public Map<Retention, Instant> forgotten(LessonId lesson) {
        return database
                .read()
                .sql("SELECT kind, at FROM lesson_forgot WHERE lesson = :lesson")
                .param("lesson", lesson.value())
                .query((row, n) ->
                        Map.entry(Retention.valueOf(row.getString("kind")), Instant.ofEpochMilli(row.getLong("at"))))
                .list()
                .stream()
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    /** What of a kind goes until an instant, the oldest of the lessons looked through first. */
    KeptKind.Coming coming(Retention kind, Instant until) {
        Set<LessonId> held = Set.copyOf(
                holds.all().stream().map(Holds.Hold::lesson).distinct().toList());
        var due = new ArrayList<LessonId>();
        oldest(kind).filter(one -> until(kind, one).isBefore(until)).forEach(one -> due.add(one.lesson));
        int kept = (int) due.stream().filter(held::contains).count();
        return new KeptKind.Coming(due.size() - kept, kept);
    }

    private Stream<Over> oldest(Retention kind) {
        return database
                .read()
                .sql(
                        """
                    SELECT lesson, over FROM lesson_stage WHERE over IS NOT NULL
                      AND NOT EXISTS (SELECT 1 FROM lesson_forgot
                        WHERE lesson_forgot.lesson = lesson_stage.lesson AND kind = :kind)
                    ORDER BY over LIMIT :most""")
                .param("kind", kind.name())
                .param("most", LOOKED_THROUGH)
                .query((row, n) -> new Over(new LessonId(row.getString(1)), Instant.ofEpochMilli(row.getLong(2))))
                .list()
                .stream();
    }
}
