package juricast.server.keeping;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.keeping.Departure;
import juricast.core.keeping.Kept;
import juricast.core.presence.Supervision;
import juricast.core.rules.Catalogue;
import juricast.core.time.Span;
import juricast.server.Schedules;
import juricast.server.data.Database;
import juricast.server.lesson.Records;
import juricast.server.record.FinishedLessons;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * How lessons that are over kept to their plan. It is worked out once from a lesson's events, which never change after it, and
 * kept beside them, so that a term is looked at without folding its lessons again.
 */
@Component
class Keepings {
    private final Database database;
    private final Records records;
    private final FinishedLessons finished;

    Keepings(Database database, Records records, FinishedLessons finished) {
        this.database = database;
        this.records = records;
        this.finished = finished;
    }

    /** Goes through lessons that are over and not kept yet. */
    @Scheduled(initialDelay = 4000, fixedDelay = 5000, scheduler = Schedules.WORKING_OUT)
    void goThrough() {
        finished.each(
                "SELECT 1 FROM lesson_kept WHERE lesson_kept.lesson = lesson_stage.lesson",
                "How it kept to its plan",
                this::keep);
    }

    private void keep(LessonId id) {
        Records.Record record = records.of(id);
        Instant until = record.dismissedAt().orElseThrow();
        Instant from = record.openedAt().orElse(until);
        List<Departure> departures = Departure.of(record.events(), until);
        long alone = Supervision.of(record.events(), until).total().toSeconds();
        database.append(sql -> {
            sql.sql("INSERT INTO lesson_kept (lesson, seconds, alone) VALUES (:lesson, :seconds, :alone)")
                    .param("lesson", id.value())
                    .param("seconds", Duration.between(from, until).toSeconds())
                    .param("alone", alone)
                    .update();
            departures.forEach(one -> sql.sql(
                            """
                    INSERT INTO departure (lesson, kind, rule, value, person, by, starts, ends)
                    VALUES (:lesson, :kind, :rule, :value, :person, :by, :from, :until)""")
                    .param("lesson", id.value())
                    .param("kind", one.kind().name())
                    .param("rule", one.rule().key())
                    .param("value", one.value().orElse(""))
                    .param("person", one.of().map(PersonId::value).orElse(""))
                    .param("by", one.by().value())
                    .param("from", one.time().from().toEpochMilli())
                    .param("until", one.time().until().toEpochMilli())
                    .update());
            return null;
        });
    }

    /** All lessons that began in a stretch of time, in order. */
    List<Kept> of(Span window) {
        Map<LessonId, List<Departure>> departures = new HashMap<>();
        database.read()
                .sql(
                        """
                    SELECT departure.* FROM lesson JOIN departure ON departure.lesson = lesson.id
                    WHERE lesson.starts >= :from AND lesson.starts < :until ORDER BY departure.starts""")
                .param("from", window.from().toEpochMilli())
                .param("until", window.until().toEpochMilli())
                .query(row -> {
                    var lesson = new LessonId(row.getString("lesson"));
                    departure(row).ifPresent(one -> departures
                            .computeIfAbsent(lesson, id -> new ArrayList<>())
                            .add(one));
                });
        return database.read()
                .sql(
                        """
                    SELECT lesson.id, class, starts, seconds, alone FROM lesson
                    JOIN lesson_kept ON lesson_kept.lesson = lesson.id
                    WHERE starts >= :from AND starts < :until ORDER BY starts, lesson.id""")
                .param("from", window.from().toEpochMilli())
                .param("until", window.until().toEpochMilli())
                .query((row, n) -> new Kept(
                        new LessonId(row.getString("id")),
                        new ClassId(row.getString("class")),
                        Instant.ofEpochMilli(row.getLong("starts")),
                        Duration.ofSeconds(row.getLong("seconds")),
                        Duration.ofSeconds(row.getLong("alone")),
                        departures.getOrDefault(new LessonId(row.getString("id")), List.of())))
                .list();
    }

    /** Nothing for a rule that the catalogue does not have any more. */
    private static Optional<Departure> departure(ResultSet row) throws SQLException {
        String value = row.getString("value");
        String person = row.getString("person");
        var kind = Departure.Kind.valueOf(row.getString("kind"));
        var by = new PersonId(row.getString("by"));
        var time = new Span(Instant.ofEpochMilli(row.getLong("starts")), Instant.ofEpochMilli(row.getLong("ends")));
        return Catalogue.byKey(row.getString("rule"))
                .map(rule -> new Departure(
                        kind,
                        rule,
                        Optional.of(value).filter(text -> !text.isEmpty()),
                        Optional.of(person).filter(text -> !text.isEmpty()).map(PersonId::new),
                        by,
                        time));
    }
}
