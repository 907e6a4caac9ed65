package juricast.server.timetable;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.charter.Place;
import juricast.core.charter.PlannedLesson;
import juricast.core.consent.Consents;
import juricast.core.consent.Standing;
import juricast.core.exchange.TimetableChange;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.inspection.InspectedClass;
import juricast.core.inspection.InspectedLesson;
import juricast.core.inspection.PlannedSchool;
import juricast.core.joining.JoinWord;
import juricast.core.rules.Fact;
import juricast.core.rules.Setting;
import juricast.core.time.Span;
import juricast.core.timetable.Recurrence;
import juricast.core.timetable.Series;
import juricast.server.classes.Calendar;
import juricast.server.classes.Classes;
import juricast.server.classes.Planning;
import juricast.server.consent.KeptConsents;
import juricast.server.data.Database;
import juricast.server.data.Ids;
import juricast.server.data.School;
import juricast.server.data.Topic;
import juricast.server.grouping.KeptApart;
import juricast.server.record.Stages;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What is planned, read as a whole, and changed one deliberate change at a time, each with who and why. */
@Component
public class Plan {
    private final Database database;
    private final School school;
    private final Calendar calendar;
    private final Stages stages;
    private final KeptApart keptApart;
    private final KeptConsents consents;

    Plan(
            Database database,
            School school,
            Calendar calendar,
            Stages stages,
            KeptApart keptApart,
            KeptConsents consents) {
        this.keptApart = keptApart;
        this.consents = consents;
        this.stages = stages;
        this.database = database;
        this.school = school;
        this.calendar = calendar;
    }

    /** A lesson as the plan has it. @param slot when its series has it, in local time; empty if it is of none */
    record Planned(
            LessonId id, ClassId ofClass, Span time, boolean cancelled, String series, String slot, boolean helpHour) {}

    /** What a lesson is to become. */
    record Wanted(Planned lesson, Span time, boolean cancelled) {}

    /** A change that was made. @param lessons how many it was about @param undone whether it was taken back */
    record Made(String id, String what, String why, String by, Instant at, int lessons, boolean undone) {}

    /** The plan from a moment on, without what is cancelled. */
    PlannedSchool from(Instant moment) {
        Map<LessonId, List<InspectedLesson.Cover>> covers = covers(moment);
        Set<String> inGroups = plannedInGroups();
        List<InspectedLesson> lessons = database
                .read()
                .sql(Planning.LESSONS + "WHERE ends > :now AND cancelled = 0 ORDER BY starts")
                .param("now", moment.toEpochMilli())
                .query((row, n) -> Planning.lesson(row))
                .list()
                .stream()
                .map(one -> new InspectedLesson(
                        one.id(),
                        one.ofClass(),
                        one.time(),
                        covers.getOrDefault(one.id(), List.of()),
                        expected(one, inGroups)))
                .toList();
        return PlannedSchool.of(school.zone(), calendar.now(), classes(moment), staff(), lessons);
    }

    /** Lessons, and classes, whose running order has prepared groups. */
    private Set<String> plannedInGroups() {
        return Set.copyOf(database.read()
                .sql("SELECT DISTINCT place FROM running_step WHERE prepared <> ''")
                .query(String.class)
                .list());
    }

    /** What is said to be expected in a lesson, and groups where its running order, or that of its class, has some. */
    private static Set<Fact> expected(PlannedLesson lesson, Set<String> inGroups) {
        if (!inGroups.contains(Place.of(lesson.id()).text())
                && !inGroups.contains(Place.of(lesson.ofClass()).text())) {
            return lesson.expected();
        }
        Set<Fact> all = EnumSet.of(Fact.IN_GROUPS);
        all.addAll(lesson.expected());
        return all;
    }

    /** Who covers in the lessons that are not over at a moment. */
    Map<LessonId, List<InspectedLesson.Cover>> covers(Instant moment) {
        var covers = new HashMap<LessonId, List<InspectedLesson.Cover>>();
        database.read()
                .sql(
                        """
                    SELECT lesson_cover.* FROM lesson_cover JOIN lesson ON lesson.id = lesson_cover.lesson
                    WHERE ended_at = 0 AND ends > :now ORDER BY lesson_cover.id""")
                .param("now", moment.toEpochMilli())
                .query((row, n) -> covers.computeIfAbsent(
                                new LessonId(row.getString("lesson")), id -> new ArrayList<>())
                        .add(cover(row)))
                .list();
        return covers;
    }

    private static InspectedLesson.Cover cover(ResultSet row) throws SQLException {
        return new InspectedLesson.Cover(
                new PersonId(row.getString("adult")),
                Optional.of(row.getString("instead_of"))
                        .filter(one -> !one.isEmpty())
                        .map(PersonId::new),
                Instant.ofEpochMilli(row.getLong("until")));
    }

    private List<InspectedClass> classes(Instant moment) {
        record Belongs(String ofClass, PersonId person, String role) {}
        Consents said = consents.all();
        Map<String, List<Belongs>> members = database
                .read()
                .sql("SELECT class, person, role FROM class_member WHERE until = :ever ORDER BY class, role, person")
                .param("ever", Setting.FOR_EVER.toEpochMilli())
                .query((row, n) -> new Belongs(row.getString(1), new PersonId(row.getString(2)), row.getString(3)))
                .list()
                .stream()
                .collect(Collectors.groupingBy(Belongs::ofClass));
        return database
                .read()
                .sql("SELECT id, title, coalesce(year, 0) AS year, join_word, link_number FROM class ORDER BY title")
                .query((row, n) -> {
                    List<Belongs> all = members.getOrDefault(row.getString("id"), List.of());
                    return new InspectedClass(
                            new ClassId(row.getString("id")),
                            row.getString("title"),
                            row.getInt("year"),
                            // LEAD_ADULT comes before SECOND_ADULT also in the alphabet
                            all.stream()
                                    .filter(one -> one.role.endsWith("_ADULT"))
                                    .map(Belongs::person)
                                    .toList(),
                            all.stream()
                                    .filter(one ->
                                            Set.of("PUPIL", "CLASS_MONITOR").contains(one.role))
                                    .map(Belongs::person)
                                    .collect(Collectors.toSet()),
                            new JoinWord(row.getString("join_word")),
                            row.getInt("link_number"));
                })
                .list()
                .stream()
                .map(one -> one.notApart(keptApart.in(one.id(), moment))
                        .unrecorded(one.pupils().stream()
                                .filter(pupil -> said.of(pupil, moment) != Standing.GIVEN)
                                .sorted(Comparator.comparing(PersonId::value))
                                .toList()))
                .toList();
    }

    private List<PersonId> staff() {
        return database.read()
                .sql("SELECT id FROM person WHERE position = 'TEACHER' ORDER BY id")
                .query((row, n) -> new PersonId(row.getString(1)))
                .list();
    }

    /** Lessons that touch a stretch of time, cancelled ones too, in order. */
    List<Planned> within(Span window) {
        return database.read()
                .sql("SELECT * FROM lesson WHERE ends > :from AND starts < :until ORDER BY starts, id")
                .param("from", window.from().toEpochMilli())
                .param("until", window.until().toEpochMilli())
                .query((row, n) -> planned(row))
                .list();
    }

    Optional<Planned> lesson(LessonId id) {
        return lesson(database.read(), id);
    }

    /** The same on another connection. */
    static Optional<Planned> lesson(JdbcClient sql, LessonId id) {
        return sql.sql("SELECT * FROM lesson WHERE id = :id")
                .param("id", id.value())
                .query((row, n) -> planned(row))
                .optional();
    }

    /**
     * A lesson and all that follow it at the same hour: those of its series, or, for lessons that were planned before series
     * were kept, those of its class on the same day of the week at the same time.
     */
    List<Planned> andFollowing(Planned lesson) {
        return database
                .read()
                .sql("SELECT * FROM lesson WHERE class = :class AND starts >= :from AND cancelled = 0 ORDER BY starts")
                .param("class", lesson.ofClass.value())
                .param("from", lesson.time.from().toEpochMilli())
                .query((row, n) -> planned(row))
                .list()
                .stream()
                .filter(one -> weekly(one.time.from()).equals(weekly(lesson.time.from())))
                .filter(one -> one.series.equals(lesson.series))
                .toList();
    }

    private String weekly(Instant at) {
        var local = at.atZone(school.zone());
        return local.getDayOfWeek() + " " + local.toLocalTime();
    }

    private static Planned planned(ResultSet row) throws SQLException {
        return new Planned(
                new LessonId(row.getString("id")),
                new ClassId(row.getString("class")),
                new Span(Instant.ofEpochMilli(row.getLong("starts")), Instant.ofEpochMilli(row.getLong("ends"))),
                row.getInt("cancelled") != 0,
                row.getString("series"),
                row.getString("slot"),
                Classes.isHelpHour(row));
    }

    /** Begins a change; everything it is about is written in the same transaction. @return its name */
    public static String begin(JdbcClient sql, String what, String why, PersonId by, Instant now) {
        String id = Ids.next();
        sql.sql("INSERT INTO plan_change (id, what, why, made_by, made_at) VALUES (:id, :what, :why, :by, :at)")
                .param("id", id)
                .param("what", what)
                .param("why", why)
                .param("by", by.value())
                .param("at", now.toEpochMilli())
                .update();
        return id;
    }

    /**
     * Changes one lesson as part of a change.
     *
     * @return false if it is not as it was looked at any more, or another lesson of the class begins then
     */
    static boolean change(JdbcClient sql, String change, Wanted wanted) {
        Planned before = wanted.lesson;
        int changed = sql.sql(
                        """
                UPDATE lesson SET starts = :starts, ends = :ends, cancelled = :cancelled
                WHERE id = :id AND starts = :startsBefore AND ends = :endsBefore AND cancelled = :cancelledBefore
                AND NOT EXISTS (SELECT 1 FROM lesson AS other
                    WHERE other.class = :class AND other.starts = :starts AND other.id <> :id)""")
                .param("id", before.id.value())
                .param("class", before.ofClass.value())
                .param("starts", wanted.time.from().toEpochMilli())
                .param("ends", wanted.time.until().toEpochMilli())
                .param("cancelled", wanted.cancelled ? 1 : 0)
                .param("startsBefore", before.time.from().toEpochMilli())
                .param("endsBefore", before.time.until().toEpochMilli())
                .param("cancelledBefore", before.cancelled ? 1 : 0)
                .update();
        if (changed == 0) {
            return false;
        }
        sql.sql(
                        """
                INSERT INTO lesson_change (change, lesson, starts_before, ends_before, cancelled_before,
                    starts_after, ends_after, cancelled_after)
                VALUES (:change, :lesson, :startsBefore, :endsBefore, :cancelledBefore, :starts, :ends, :cancelled)
                ON CONFLICT (change, lesson) DO UPDATE SET starts_after = excluded.starts_after,
                    ends_after = excluded.ends_after, cancelled_after = excluded.cancelled_after""")
                .param("change", change)
                .param("lesson", before.id.value())
                .param("startsBefore", before.time.from().toEpochMilli())
                .param("endsBefore", before.time.until().toEpochMilli())
                .param("cancelledBefore", before.cancelled ? 1 : 0)
                .param("starts", wanted.time.from().toEpochMilli())
                .param("ends", wanted.time.until().toEpochMilli())
                .param("cancelled", wanted.cancelled ? 1 : 0)
                .update();
        return true;
    }

    /** What scheduling did. @param change its name @param lessons how many were added */
    record Scheduled(String change, int lessons) {}

    /** Adds a series with its lessons as one change; one that begins when another of the class does is left out. */
    /** @param expected what is planned to be so in each of its lessons */
    Scheduled schedule(
            ClassId id,
            Series series,
            List<Series.Slot> slots,
            Set<Fact> expected,
            String what,
            PersonId by,
            Instant now) {
        return database.write(
                sql -> {
                    String name = Ids.next();
                    sql.sql(
                                    """
                    INSERT INTO series (id, class, first, minutes, zone, rule, made_by, made_at)
                    VALUES (:id, :class, :first, :minutes, :zone, :rule, :by, :at)""")
                            .param("id", name)
                            .param("class", id.value())
                            .param("first", series.first().toString())
                            .param("minutes", series.minutes())
                            .param("zone", series.zone().getId())
                            .param("rule", series.rule().map(Recurrence::text).orElse(""))
                            .param("by", by.value())
                            .param("at", now.toEpochMilli())
                            .update();
                    String change = begin(sql, what, "Scheduled on the page of the class.", by, now);
                    int added = 0;
                    for (Series.Slot one : slots) {
                        var lesson = new LessonId(Ids.next());
                        if (Classes.insertLesson(
                                        sql,
                                        id,
                                        lesson,
                                        one.time(),
                                        name,
                                        one.slot().toString())
                                == 1) {
                            added++;
                            noteAdded(sql, change, lesson, one.time());
                        }
                    }
                    sql.sql("UPDATE lesson SET expected = :expected WHERE series = :series")
                            .param(
                                    "expected",
                                    expected.stream().map(Fact::text).sorted().collect(Collectors.joining(" ")))
                            .param("series", name)
                            .update();
                    return new Scheduled(change, added);
                },
                Topic.PLAN);
    }

    /** When the change is undone, the lesson is cancelled and not forgotten. */
    private static void noteAdded(JdbcClient sql, String change, LessonId id, Span time) {
        sql.sql(
                        """
                INSERT INTO lesson_change (change, lesson, starts_before, ends_before, cancelled_before,
                    starts_after, ends_after, cancelled_after)
                VALUES (:change, :id, :starts, :ends, 1, :starts, :ends, 0)""")
                .param("change", change)
                .param("id", id.value())
                .param("starts", time.from().toEpochMilli())
                .param("ends", time.until().toEpochMilli())
                .update();
    }

    /** The series of a class that came from an entry of another program; made if it is not there. @return its name */
    static String series(
            JdbcClient sql,
            ClassId ofClass,
            String uid,
            TimetableChange.Added first,
            ZoneId zone,
            PersonId by,
            Instant now) {
        return sql
                .sql("SELECT id FROM series WHERE class = :class AND uid = :uid")
                .param("class", ofClass.value())
                .param("uid", uid)
                .query((row, n) -> row.getString(1))
                .list()
                .stream()
                .findFirst()
                .orElseGet(() -> {
                    String id = Ids.next();
                    sql.sql(
                                    """
                            INSERT INTO series (id, class, first, minutes, zone, rule, made_by, made_at, uid)
                            VALUES (:id, :class, :first, :minutes, :zone, '', :by, :at, :uid)""")
                            .param("id", id)
                            .param("class", ofClass.value())
                            .param("first", first.slot().toString())
                            .param("minutes", first.time().length().toMinutes())
                            .param("zone", zone.getId())
                            .param("by", by.value())
                            .param("at", now.toEpochMilli())
                            .param("uid", uid)
                            .update();
                    return id;
                });
    }

    /** Adds a lesson as part of a change; when that is undone, it is cancelled and not forgotten. */
    static void add(JdbcClient sql, String change, LessonId id, TimetableChange.Added added, String series) {
        sql.sql(
                        """
                INSERT INTO lesson (id, class, starts, ends, series, slot)
                VALUES (:id, :class, :starts, :ends, :series, :slot)""")
                .param("id", id.value())
                .param("class", added.ofClass().value())
                .param("starts", added.time().from().toEpochMilli())
                .param("ends", added.time().until().toEpochMilli())
                .param("series", series)
                .param("slot", added.slot().toString())
                .update();
        noteAdded(sql, change, id, added.time());
    }

    /**
     * Puts an adult in charge of one lesson, in place of another one or besides. Who covered for the same one goes; whoever
     * takes over from somebody who covers, covers for the same adult of the class.
     */
    public static void cover(JdbcClient sql, String change, LessonId lesson, InspectedLesson.Cover cover, Instant now) {
        String insteadOf = cover.insteadOf().map(PersonId::value).orElse("");
        String forWhom = insteadOf.isEmpty()
                ? ""
                : sql
                        .sql(
                                "SELECT instead_of FROM lesson_cover WHERE lesson = :lesson AND adult = :adult AND ended_at = 0")
                        .param("lesson", lesson.value())
                        .param("adult", insteadOf)
                        .query((row, n) -> row.getString(1))
                        .list()
                        .stream()
                        .findFirst()
                        .orElse(insteadOf);
        sql.sql(
                        """
                UPDATE lesson_cover SET ended_at = :now, ended_by = :change
                WHERE lesson = :lesson AND ended_at = 0 AND :insteadOf <> ''
                AND (instead_of = :forWhom OR adult = :insteadOf)""")
                .param("now", now.toEpochMilli())
                .param("change", change)
                .param("lesson", lesson.value())
                .param("insteadOf", insteadOf)
                .param("forWhom", forWhom)
                .update();
        sql.sql(
                        """
                INSERT INTO lesson_cover (change, lesson, adult, instead_of, until)
                VALUES (:change, :lesson, :adult, :insteadOf, :until)""")
                .param("change", change)
                .param("lesson", lesson.value())
                .param("adult", cover.adult().value())
                .param("insteadOf", forWhom)
                .param("until", cover.until().toEpochMilli())
                .update();
    }

    /** Whether an adult has opened it, also before its time. */
    boolean isOpened(LessonId lesson) {
        return stages.of(lesson).isPresent();
    }

    /** The lessons of a class that begin in a stretch of time and are not cancelled. */
    List<Planned> ofClass(ClassId id, Instant from, Instant until) {
        return database.read()
                .sql(
                        """
                    SELECT * FROM lesson WHERE class = :class AND starts >= :from AND starts < :until AND cancelled = 0
                    ORDER BY starts""")
                .param("class", id.value())
                .param("from", from.toEpochMilli())
                .param("until", until.toEpochMilli())
                .query((row, n) -> planned(row))
                .list();
    }

    /** Covers of one lesson that count now, the first agreed first. */
    List<InspectedLesson.Cover> covers(LessonId lesson) {
        return database.read()
                .sql("SELECT * FROM lesson_cover WHERE lesson = :lesson AND ended_at = 0 ORDER BY id")
                .param("lesson", lesson.value())
                .query((row, n) -> cover(row))
                .list();
    }

    /** The last changes, the latest first. @param by whose; everybody's if it is nobody @param most how many */
    List<Made> changes(Optional<PersonId> by, int most) {
        return database.read()
                .sql(
                        """
                    SELECT plan_change.*, person.name AS by_name,
                        (SELECT count(DISTINCT lesson) FROM (SELECT lesson FROM lesson_change WHERE change = plan_change.id
                            UNION ALL SELECT lesson FROM lesson_cover WHERE change = plan_change.id)) AS lessons
                    FROM plan_change LEFT JOIN person ON person.id = made_by
                    WHERE :by IN ('', made_by) ORDER BY made_at DESC, plan_change.rowid DESC
                    LIMIT :most""")
                .param("by", by.map(PersonId::value).orElse(""))
                .param("most", most)
                .query((row, n) -> new Made(
                        row.getString("id"),
                        row.getString("what"),
                        row.getString("why"),
                        row.getString("by_name"),
                        Instant.ofEpochMilli(row.getLong("made_at")),
                        row.getInt("lessons"),
                        row.getLong("undone_at") > 0))
                .list();
    }

    /** Which change made a lesson what it is now: the latest that counts, the one that scheduled it included. */
    Map<LessonId, Made> reasons(Span window) {
        var reasons = new HashMap<LessonId, Made>();
        database.read()
                .sql(
                        """
                    SELECT lesson.id AS lesson, plan_change.*, person.name AS by_name FROM lesson
                    JOIN (SELECT lesson, change FROM lesson_change UNION SELECT lesson, change FROM lesson_cover WHERE ended_at = 0)
                        AS touched ON touched.lesson = lesson.id
                    JOIN plan_change ON plan_change.id = touched.change LEFT JOIN person ON person.id = made_by
                    WHERE ends > :from AND starts < :until AND undone_at = 0 ORDER BY made_at, plan_change.rowid""")
                .param("from", window.from().toEpochMilli())
                .param("until", window.until().toEpochMilli())
                .query((row, n) -> reasons.put(
                        new LessonId(row.getString("lesson")),
                        new Made(
                                row.getString("id"),
                                row.getString("what"),
                                row.getString("why"),
                                String.valueOf(row.getString("by_name")),
                                Instant.ofEpochMilli(row.getLong("made_at")),
                                1,
                                false)))
                .list();
        return reasons;
    }

    /** Who made a change that has not been undone. */
    Optional<PersonId> madeBy(String change) {
        return database.read()
                .sql("SELECT made_by FROM plan_change WHERE id = :id AND undone_at = 0")
                .param("id", change)
                .query((row, n) -> new PersonId(row.getString(1)))
                .optional();
    }

    /** What became of an undo. */
    enum Undone {
        DONE,
        /** Nothing was done: one of its lessons was changed again since. */
        CHANGED_SINCE,
        /** Nothing was done: one of its lessons has begun, and a register is judged by what was planned for it. */
        HAS_BEGUN
    }

    /** Takes a change back as a whole, or does nothing. */
    Undone undo(String change, PersonId by, Instant now) {
        return database.write(
                sql -> {
                    int begun = sql.sql(
                                    """
                    SELECT count(*) FROM lesson WHERE starts <= :now AND id IN (
                        SELECT lesson FROM lesson_change WHERE change = :change UNION
                        SELECT lesson FROM lesson_cover WHERE change = :change OR ended_by = :change)""")
                            .param("change", change)
                            .param("now", now.toEpochMilli())
                            .query(Integer.class)
                            .single();
                    int past = sql.sql(
                                    "SELECT count(*) FROM lesson_change WHERE change = :change AND starts_before <= :now")
                            .param("change", change)
                            .param("now", now.toEpochMilli())
                            .query(Integer.class)
                            .single();
                    if (begun + past > 0) {
                        return Undone.HAS_BEGUN;
                    }
                    int wanted = sql.sql("SELECT count(*) FROM lesson_change WHERE change = :change")
                            .param("change", change)
                            .query(Integer.class)
                            .single();
                    int fitting = sql.sql(
                                    """
                    SELECT count(*) FROM lesson_change JOIN lesson ON lesson.id = lesson_change.lesson
                    WHERE change = :change AND starts = starts_after AND ends = ends_after AND cancelled = cancelled_after""")
                            .param("change", change)
                            .query(Integer.class)
                            .single();
                    if (fitting != wanted) {
                        return Undone.CHANGED_SINCE;
                    }
                    sql.sql(
                                    """
                    UPDATE lesson SET (starts, ends, cancelled) =
                        (SELECT starts_before, ends_before, cancelled_before FROM lesson_change
                         WHERE change = :change AND lesson = lesson.id)
                    WHERE id IN (SELECT lesson FROM lesson_change WHERE change = :change)""")
                            .param("change", change)
                            .update();
                    sql.sql("UPDATE lesson_cover SET ended_at = :now WHERE change = :change AND ended_at = 0")
                            .param("change", change)
                            .param("now", now.toEpochMilli())
                            .update();
                    sql.sql("UPDATE lesson_cover SET ended_at = 0, ended_by = '' WHERE ended_by = :change")
                            .param("change", change)
                            .update();
                    sql.sql("UPDATE plan_change SET undone_by = :by, undone_at = :now WHERE id = :change")
                            .param("change", change)
                            .param("by", by.value())
                            .param("now", now.toEpochMilli())
                            .update();
                    return Undone.DONE;
                },
                Topic.PLAN);
    }
}
