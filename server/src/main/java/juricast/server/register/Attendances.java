package juricast.server.register;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.attendance.Attended;
import juricast.core.attendance.Year;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.register.Expectation;
import juricast.core.register.Register;
import juricast.core.register.RegisterLine;
import juricast.core.time.Span;
import juricast.server.Schedules;
import juricast.server.classes.Classes;
import juricast.server.data.Database;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.Records;
import juricast.server.record.FinishedLessons;
import juricast.server.watching.WatchedStore;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Attendance over many lessons. Registers are worked out from events; what they come to is kept beside them, so that a year is
 * read without folding its lessons again, and is worked out anew whenever a register changes.
 */
@Component
public class Attendances {
    private final Database database;
    private final Classes classes;
    private final Records records;
    private final LiveLessons lessons;
    private final Corrections corrections;
    private final OutsideLogs logs;
    private final FinishedLessons finished;
    private final LessonFacts facts;
    private final WatchedStore watched;

    Attendances(
            Database database,
            Classes classes,
            Records records,
            LiveLessons lessons,
            Corrections corrections,
            OutsideLogs logs,
            FinishedLessons finished,
            LessonFacts facts,
            WatchedStore watched) {
        this.database = database;
        this.classes = classes;
        this.records = records;
        this.lessons = lessons;
        this.corrections = corrections;
        this.logs = logs;
        this.finished = finished;
        this.facts = facts;
        this.watched = watched;
    }

    /** @return when a lesson ended: dismissed here, or by its plan where only another service has seen it; empty while it is on */
    Optional<Instant> endOf(LessonId id, Records.Record record) {
        return record.dismissedAt().or(() -> Optional.of(record.plan().time().until())
                .filter(until -> !until.isAfter(lessons.now()) && !logs.of(id).isEmpty()));
    }

    /** The register of a lesson as it stands. */
    public Register register(LessonId lesson) {
        return register(classes.lesson(lesson).orElseThrow(), records.of(lesson));
    }

    /** A lesson that was called off has nobody in it, unless it was held elsewhere and a log of it was taken. */
    Register register(Classes.Planned planned, Records.Record record) {
        return planned.cancelled() && endOf(planned.id(), record).isEmpty()
                ? Register.calledOff(record.plan()).watched(watched.percent(planned.id()), record.rules())
                : register(planned.id(), record);
    }

    private Register register(LessonId id, Records.Record record) {
        Span lesson = record.plan().time();
        Set<PersonId> notExpected = facts.membersAt(id).entrySet().stream()
                .filter(one -> Expectation.of(lesson, false, one.getValue()) != Expectation.EXPECTED)
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
        return registerOf(id, record).with(notExpected).watched(watched.percent(id), record.rules());
    }

    /** Somebody has watched more of a recording that belongs to a lesson. */
    @EventListener
    void watchedMore(WatchedStore.WatchedMore told) {
        keep(told.lesson());
    }

    private Register registerOf(LessonId id, Records.Record record) {
        return Register.of(
                record.plan(),
                record.events(),
                endOf(id, record).orElse(lessons.now()),
                record.rules(),
                corrections.latest(id),
                logs.stays(id));
    }

    /** Works out one lesson anew; one that is not over, or of which nothing is known any more, is not kept. */
    void keep(LessonId id) {
        Records.Record record = records.of(id);
        if (endOf(id, record).isEmpty()) {
            database.append(sql -> sql.sql(
                            """
                    DELETE FROM attendance WHERE lesson =
                        (SELECT number FROM attendance_number WHERE kind = 'LESSON' AND id = :id)""")
                    .param("id", id.value())
                    .update());
            return;
        }
        Register register = register(id, record);
        long length = register.window().length().toMinutes();
        database.append(sql -> {
            long lesson = number(sql, "LESSON", id.value());
            sql.sql("DELETE FROM attendance WHERE lesson = :lesson")
                    .param("lesson", lesson)
                    .update();
            for (RegisterLine line : register.lines()) {
                sql.sql("INSERT INTO attendance (person, lesson, packed) VALUES (:person, :lesson, :packed)")
                        .param(
                                "person",
                                number(sql, "PERSON", line.pupil().person().value()))
                        .param("lesson", lesson)
                        .param(
                                "packed",
                                Attended.packed(
                                        line.mark(),
                                        line.minutesLate(),
                                        line.minutes(),
                                        length,
                                        line.correction().isPresent()))
                        .update();
            }
            return null;
        });
    }

    private static long number(JdbcClient sql, String kind, String id) {
        sql.sql("INSERT INTO attendance_number (kind, id) VALUES (:kind, :id) ON CONFLICT DO NOTHING")
                .param("kind", kind)
                .param("id", id)
                .update();
        return sql.sql("SELECT number FROM attendance_number WHERE kind = :kind AND id = :id")
                .param("kind", kind)
                .param("id", id)
                .query(Long.class)
                .single();
    }

    /** Goes through lessons that are over and not kept yet; also after a crash between the end of a lesson and this. */
    @Scheduled(initialDelay = 3000, fixedDelay = 5000, scheduler = Schedules.WORKING_OUT)
    void goThrough() {
        finished.each(
                "SELECT 1 FROM attendance_number WHERE kind = 'LESSON' AND id = lesson_stage.lesson",
                "The attendance",
                this::keep);
    }

    /** A lesson that was held. */
    record Held(LessonId id, ClassId ofClass, Span time) {}

    /** What stands in the registers of a class in a stretch of time: each lesson with its pupils. */
    Map<Held, Map<PersonId, Attended>> ofClass(ClassId id, Span window) {
        record Row(Held held, PersonId person, long packed) {}
        var all = new LinkedHashMap<Held, Map<PersonId, Attended>>();
        database.read()
                .sql(
                        """
                    SELECT lesson.id, class, starts, ends, who.id AS person, packed FROM lesson
                    JOIN attendance_number AS which ON which.kind = 'LESSON' AND which.id = lesson.id
                    JOIN attendance ON attendance.lesson = which.number
                    JOIN attendance_number AS who ON who.number = attendance.person
                    WHERE class = :class AND starts >= :from AND starts < :until ORDER BY starts, lesson.id""")
                .param("class", id.value())
                .param("from", window.from().toEpochMilli())
                .param("until", window.until().toEpochMilli())
                .query((row, n) -> new Row(
                        new Held(
                                new LessonId(row.getString("id")),
                                new ClassId(row.getString("class")),
                                new Span(
                                        Instant.ofEpochMilli(row.getLong("starts")),
                                        Instant.ofEpochMilli(row.getLong("ends")))),
                        new PersonId(row.getString("person")),
                        row.getLong("packed")))
                .list()
                .forEach(row -> all.computeIfAbsent(row.held, held -> new HashMap<>())
                        .put(
                                row.person,
                                Attended.unpacked(row.packed, row.held.id, row.held.ofClass, row.held.time.from())));
        return all;
    }

    /** Codes that adults chose in the registers of a class, by lesson and pupil; the latest of each. */
    Map<String, String> writtenCodes(ClassId id, Span window) {
        return writtenCodes("lesson.class = :id", id.value(), window);
    }

    Map<String, String> writtenCodes(PersonId id, Span window) {
        return writtenCodes("correction.person = :id", id.value(), window);
    }

    private Map<String, String> writtenCodes(String which, String id, Span window) {
        var codes = new HashMap<String, String>();
        database.read()
                .sql(
                        """
                    SELECT lesson, person, code FROM correction JOIN lesson ON lesson.id = correction.lesson
                    WHERE %s AND starts >= :from AND starts < :until ORDER BY correction.id"""
                                .formatted(which))
                .param("id", id)
                .param("from", window.from().toEpochMilli())
                .param("until", window.until().toEpochMilli())
                .query(row -> {
                    codes.put(row.getString("lesson") + " " + row.getString("person"), row.getString("code"));
                });
        return codes;
    }

    /** What stands about one pupil in a stretch of time, in order. */
    List<Attended> ofPupil(PersonId person, Span window) {
        return database.read()
                .sql(
                        """
                    SELECT lesson.id, class, starts, packed FROM attendance_number AS who
                    JOIN attendance ON attendance.person = who.number
                    JOIN attendance_number AS which ON which.number = attendance.lesson
                    JOIN lesson ON lesson.id = which.id
                    WHERE who.kind = 'PERSON' AND who.id = :person AND starts >= :from AND starts < :until
                    ORDER BY starts""")
                .param("from", window.from().toEpochMilli())
                .param("until", window.until().toEpochMilli())
                .param("person", person.value())
                .query((row, n) -> Attended.unpacked(
                        row.getLong("packed"),
                        new LessonId(row.getString("id")),
                        new ClassId(row.getString("class")),
                        Instant.ofEpochMilli(row.getLong("starts"))))
                .list();
    }

    /** The same of everybody: numbers are read in one go and named afterwards, so that a year of a school takes about a second. */
    Map<PersonId, List<Attended>> ofAll(Span window) {
        Map<Integer, Held> lessons = new HashMap<>();
        database.read()
                .sql(
                        """
                    SELECT number, lesson.id, class, starts, ends FROM lesson
                    JOIN attendance_number ON kind = 'LESSON' AND attendance_number.id = lesson.id
                    WHERE starts >= :from AND starts < :until""")
                .param("from", window.from().toEpochMilli())
                .param("until", window.until().toEpochMilli())
                .query((row, n) -> lessons.put(
                        row.getInt("number"),
                        new Held(
                                new LessonId(row.getString("id")),
                                new ClassId(row.getString("class")),
                                new Span(
                                        Instant.ofEpochMilli(row.getLong("starts")),
                                        Instant.ofEpochMilli(row.getLong("ends"))))))
                .list();
        if (lessons.isEmpty()) {
            return Map.of();
        }
        var year = new Year();
        // Numbers are given as lessons end, so those of a stretch of time lie together.
        database.read()
                .sql("SELECT person, lesson, packed FROM attendance WHERE lesson BETWEEN :first AND :last")
                .param("first", Collections.min(lessons.keySet()))
                .param("last", Collections.max(lessons.keySet()))
                .query(row -> {
                    year.add(row.getInt(1), row.getInt(2), row.getLong(3));
                });
        Map<Integer, PersonId> people = new HashMap<>();
        database.read()
                .sql("SELECT number, id FROM attendance_number WHERE kind = 'PERSON'")
                .query((row, n) -> people.put(row.getInt(1), new PersonId(row.getString(2))))
                .list();
        var all = new HashMap<PersonId, List<Attended>>();
        year.forEach((person, lesson, packed) -> {
            Held held = lessons.get(lesson);
            if (held != null) {
                all.computeIfAbsent(people.get(person), id -> new ArrayList<>())
                        .add(Attended.unpacked(packed, held.id, held.ofClass, held.time.from()));
            }
        });
        return all;
    }
}
