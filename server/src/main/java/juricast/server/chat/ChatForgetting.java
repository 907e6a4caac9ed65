package juricast.server.chat;

import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import juricast.core.chat.ChatEvent;
import juricast.core.chat.SentFile;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.keeping.Retention;
import juricast.core.live.LessonEvent;
import juricast.server.data.Database;
import juricast.server.record.AtNight;
import juricast.server.record.Erasing;
import juricast.server.record.Journal;
import juricast.server.rules.Settings;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Erases what was written in lessons when the time has come for which the rules keep it (rule chat.kept-days). */
@Component
class ChatForgetting implements AtNight {
    private static final Logger LOG = LoggerFactory.getLogger(ChatForgetting.class);
    private static final int AT_ONCE = 200;

    private final Database database;
    private final Settings settings;
    private final Journal journal;
    private final Erasing erasing;
    private final LessonFiles files;
    private final Clock clock;
    /** Where this night's round has come to. */
    private Round round = new Round(Instant.EPOCH, "");

    private record Round(Instant since, String after) {}

    private record Over(LessonId lesson, Instant at) {}

    ChatForgetting(
            Database database, Settings settings, Journal journal, Erasing erasing, LessonFiles files, Clock clock) {
        this.database = database;
        this.settings = settings;
        this.journal = journal;
        this.erasing = erasing;
        this.files = files;
        this.clock = clock;
    }

    /** Goes once through all lessons that still have words. Those that a hold keeps are asked again each night. */
    @Override
    public synchronized boolean step(Instant since) {
        round = round.since.equals(since) ? round : new Round(since, "");
        List<Over> next = overAfter(round.after);
        for (Over one : next) {
            forgetIfDue(one);
            round = new Round(since, one.lesson.value());
        }
        return next.size() == AT_ONCE;
    }

    private List<Over> overAfter(String lesson) {
        return database.read()
                .sql(
                        """
                    SELECT lesson, over FROM lesson_stage
                    WHERE over IS NOT NULL AND forgot = 0 AND lesson > :after ORDER BY lesson LIMIT :most""")
                .param("after", lesson)
                .param("most", AT_ONCE)
                .query((row, n) -> new Over(new LessonId(row.getString(1)), Instant.ofEpochMilli(row.getLong(2))))
                .list();
    }

    private void forgetIfDue(Over one) {
        try {
            Instant now = clock.instant();
            if (!now.isBefore(Retention.chatKeptUntil(one.at, settings.ofLesson(one.lesson)))) {
                forget(one.lesson, now);
            }
        } catch (Journal.DamagedRecord damaged) {
            LOG.error("What was written in lesson {} cannot be erased: its record is damaged", one.lesson);
        }
    }

    private void forget(LessonId lesson, Instant now) {
        List<LessonEvent> record = journal.read(lesson).events();
        Map<Integer, SentFile> sent = new HashMap<>();
        List<Integer> written = Retention.written(record);
        written.forEach(number -> file(record.get(number - 1)).ifPresent(file -> sent.put(number, file)));
        Erasing.Done done = erasing.erase(lesson, written, "kept as long as the rules say", PersonId.CLOCK, now);
        done.erased().stream()
                .flatMap(number -> Optional.ofNullable(sent.get(number)).stream())
                .forEach(files::drop);
        if (done.held().isEmpty()) {
            database.append(sql -> sql.sql("UPDATE lesson_stage SET forgot = 1 WHERE lesson = :lesson")
                    .param("lesson", lesson.value())
                    .update());
        }
    }

    private static Optional<SentFile> file(LessonEvent event) {
        return event instanceof ChatEvent.Written written ? written.file() : Optional.empty();
    }
}
