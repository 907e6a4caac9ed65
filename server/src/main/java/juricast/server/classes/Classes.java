package juricast.server.classes;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.joining.JoinWord;
import juricast.core.joining.LinkKey;
import juricast.core.lesson.LessonPlan;
import juricast.core.lesson.Sequel;
import juricast.core.rules.Setting;
import juricast.core.time.Span;
import juricast.core.timetable.Recurrence;
import juricast.core.timetable.Series;
import juricast.server.data.Database;
import juricast.server.data.Ids;
import juricast.server.data.School;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The classes of the school, who belongs to them, and when they meet. */
@Component
public class Classes {
    private final Database database;
    private final School school;
    private final Planning planning;
    private final Calendar calendar;

    Classes(Database database, School school, Planning planning, Calendar calendar) {
        this.database = database;
        this.school = school;
        this.planning = planning;
        this.calendar = calendar;
    }

    /** A class. @param year 0 where it is for several year groups @param subject empty where nobody has said it */
    public record SchoolClass(ClassId id, String title, int year, String subject, LinkKey.Link link, JoinWord word) {}

    /** A planned lesson of a class. */
    public record Planned(LessonId id, ClassId ofClass, String title, Span time, boolean cancelled) {}

    public Optional<SchoolClass> find(ClassId id) {
        return database.read()
                .sql("SELECT * FROM class WHERE id = :id")
                .param("id", id.value())
                .query((row, n) -> schoolClass(row))
                .optional();
    }

    public Optional<SchoolClass> byLink(int linkNumber) {
        return database.read()
                .sql("SELECT * FROM class WHERE link_number = :number")
                .param("number", linkNumber)
                .query((row, n) -> schoolClass(row))
                .optional();
    }

    public List<SchoolClass> all() {
        return database.read()
                .sql("SELECT * FROM class ORDER BY title")
                .query((row, n) -> schoolClass(row))
                .list();
    }

    /** The classes somebody belongs to at that moment. */
    public List<SchoolClass> of(PersonId person, Instant now) {
        return database.read()
                .sql(
                        """
                    SELECT class.* FROM class JOIN class_member ON class_member.class = class.id
                    WHERE person = :person AND since <= :now AND until > :now ORDER BY title""")
                .param("person", person.value())
                .param("now", now.toEpochMilli())
                .query((row, n) -> schoolClass(row))
                .list();
    }

    /** Who belongs to a class at that moment: adults first, then pupils by name. */
    public List<Member> members(ClassId id, Instant now) {
        return database.read()
                .sql(
                        """
                    SELECT person.id, person.name, class_member.role FROM class_member
                    JOIN person ON person.id = class_member.person
                    WHERE class = :class AND since <= :now AND until > :now ORDER BY person.name, person.id""")
                .param("class", id.value())
                .param("now", now.toEpochMilli())
                .query((row, n) -> new Member(
                        new PersonId(row.getString("id")), row.getString("name"), Role.valueOf(row.getString("role"))))
                .list();
    }

    public Optional<Planned> lesson(LessonId id) {
        return database.read()
                .sql(
                        "SELECT lesson.*, class.title FROM lesson JOIN class ON class.id = lesson.class WHERE lesson.id = :id")
                .param("id", id.value())
                .query((row, n) -> planned(row))
                .optional();
    }

    /** The lessons that touch a stretch of time, in order. */
    public List<Planned> lessons(Span window) {
        return database.read()
                .sql(
                        """
                    SELECT lesson.*, class.title FROM lesson JOIN class ON class.id = lesson.class
                    WHERE ends > :from AND starts < :until AND cancelled = 0 ORDER BY starts, title""")
                .param("from", window.from().toEpochMilli())
                .param("until", window.until().toEpochMilli())
                .query((row, n) -> planned(row))
                .list();
    }

    /** The lessons of one class that touch a stretch of time: asked at every knock, so it reads no other class's. */
    public List<Planned> lessonsOf(ClassId id, Span window) {
        return database.read()
                .sql(
                        """
                    SELECT lesson.*, class.title FROM lesson JOIN class ON class.id = lesson.class
                    WHERE class = :class AND ends > :from AND starts < :until AND cancelled = 0 ORDER BY starts""")
                .param("class", id.value())
                .param("from", window.from().toEpochMilli())
                .param("until", window.until().toEpochMilli())
                .query((row, n) -> planned(row))
                .list();
    }

    public List<Planned> lessonsOf(ClassId id) {
        return database.read()
                .sql(
                        """
                    SELECT lesson.*, class.title FROM lesson JOIN class ON class.id = lesson.class
                    WHERE class = :class AND cancelled = 0 ORDER BY starts""")
                .param("class", id.value())
                .query((row, n) -> planned(row))
                .list();
    }

    /**
     * The plan of a lesson with the roster of its time: who belongs to the class now, or belonged to it when the lesson
     * ended, and who is invited to this one lesson.
     */
    public Optional<LessonPlan> plan(LessonId id, Instant now) {
        return lesson(id).map(planned -> {
            Instant moment = now.isBefore(planned.time.until()) ? now : planned.time.until();
            var members = new ArrayList<>(membersOf(planned, moment));
            members.addAll(planning.visitors(id));
            planning.observers().stream()
                    .filter(one ->
                            members.stream().noneMatch(member -> member.person().equals(one.person())))
                    .forEach(members::add);
            return new LessonPlan(id, planned.title, planned.time, members).before(sequel(planned));
        });
    }

    /** Whether somebody is in charge of one lesson, by the class or because they cover in it. */
    public boolean isInCharge(PersonId person, Planned lesson, Instant moment) {
        return membersOf(lesson, moment).stream()
                .anyMatch(one -> one.person().equals(person) && one.role().isAdultInCharge());
    }

    /** Who belongs to one lesson: the class of that moment, and who covers in place of those who do. */
    public List<Member> membersOf(Planned lesson, Instant moment) {
        var members = new ArrayList<>(members(lesson.ofClass, moment));
        for (Planning.Cover cover : planning.covers(lesson.id)) {
            members.removeIf(one -> cover.insteadOf().equals(Optional.of(one.person()))
                    || one.person().equals(cover.adult().person()));
            members.add(cover.adult());
        }
        return members;
    }

    /**
     * The same plan with people who belonged to the class once and were in the lesson: who is dropped from the roster while they
     * sit in a lesson stays in it to its end, and stands in its register.
     */
    public LessonPlan withFormer(LessonPlan plan, Set<PersonId> wereIn) {
        List<Member> former = database.read()
                .sql(
                        """
                    SELECT person.id, person.name, class_member.role, max(since) FROM class_member
                    JOIN person ON person.id = class_member.person
                    JOIN lesson ON lesson.class = class_member.class
                    WHERE lesson.id = :lesson AND person.id IN (:people) GROUP BY person.id ORDER BY person.name""")
                .param("lesson", plan.lesson().value())
                .param("people", wereIn.stream().map(PersonId::value).toList())
                .query((row, n) -> new Member(
                        new PersonId(row.getString("id")), row.getString("name"), Role.valueOf(row.getString("role"))))
                .list();
        var members = new ArrayList<>(plan.members());
        members.addAll(former);
        return new LessonPlan(plan.lesson(), plan.title(), plan.time(), members).before(plan.sequel());
    }

    private Sequel sequel(Planned lesson) {
        Optional<Instant> next = database.read()
                .sql("SELECT min(starts) FROM lesson WHERE class = :class AND starts > :after AND cancelled = 0")
                .param("class", lesson.ofClass.value())
                .param("after", lesson.time.from().toEpochMilli())
                .query((row, n) ->
                        Optional.of(row.getLong(1)).filter(at -> at > 0).map(Instant::ofEpochMilli))
                .single();
        return new Sequel(next, school.zone(), calendar.now());
    }

    /** Adds a class with its adults. @return false if there is one of that title */
    boolean add(SchoolClass added, Map<PersonId, Role> adults, Instant now) {
        return database.write(sql -> {
            boolean fits = insert(sql, added);
            if (fits) {
                adults.forEach((person, role) -> join(sql, added.id, person, role, now));
            }
            return fits;
        });
    }

    public static boolean insert(JdbcClient sql, SchoolClass added) {
        return sql.sql(
                                """
                INSERT INTO class (id, title, year, subject, link_number, renewal, join_word)
                VALUES (:id, :title, nullif(:year, 0), :subject, :link, :renewal, :word) ON CONFLICT (title) DO NOTHING""")
                        .param("id", added.id.value())
                        .param("title", added.title)
                        .param("year", added.year)
                        .param("subject", added.subject)
                        .param("link", added.link.number())
                        .param("renewal", added.link.renewal())
                        .param("word", added.word.text())
                        .update()
                == 1;
    }

    public static void join(JdbcClient sql, ClassId id, PersonId person, Role role, Instant since) {
        sql.sql(
                        """
                INSERT INTO class_member (class, person, role, since, until)
                VALUES (:class, :person, :role, :since, :until)
                ON CONFLICT (class, person, since) DO UPDATE SET until = excluded.until, role = excluded.role""")
                .param("class", id.value())
                .param("person", person.value())
                .param("role", role.name())
                .param("since", since.toEpochMilli())
                .param("until", Setting.FOR_EVER.toEpochMilli())
                .update();
    }

    public static void part(JdbcClient sql, ClassId id, PersonId person, Instant now) {
        sql.sql("UPDATE class_member SET until = :now WHERE class = :class AND person = :person AND until > :now")
                .param("now", now.toEpochMilli())
                .param("class", id.value())
                .param("person", person.value())
                .update();
    }

    /** The lessons in a stretch of time in which somebody covers. */
    public List<Planned> coveredBy(PersonId adult, Span window) {
        return database.read()
                .sql(
                        """
                    SELECT lesson.*, class.title FROM lesson JOIN class ON class.id = lesson.class
                    WHERE ends > :from AND starts < :until AND cancelled = 0 AND EXISTS (SELECT 1 FROM lesson_cover
                        WHERE lesson_cover.lesson = lesson.id AND adult = :adult AND ended_at = 0) ORDER BY starts""")
                .param("adult", adult.value())
                .param("from", window.from().toEpochMilli())
                .param("until", window.until().toEpochMilli())
                .query((row, n) -> planned(row))
                .list();
    }

    /**
     * Adds a series with its lessons; one that begins when another of the class does is left out.
     *
     * @return how many were added
     */
    int schedule(ClassId id, Series series, List<Series.Slot> slots, PersonId by, Instant now) {
        return database.write(sql -> {
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
            return slots.stream()
                    .mapToInt(one -> insertLesson(
                            sql,
                            id,
                            new LessonId(Ids.next()),
                            one.time(),
                            name,
                            one.slot().toString()))
                    .sum();
        });
    }

    public static int insertLesson(JdbcClient sql, ClassId id, LessonId lesson, Span time) {
        return insertLesson(sql, id, lesson, time, "", "");
    }

    private static int insertLesson(
            JdbcClient sql, ClassId id, LessonId lesson, Span time, String series, String slot) {
        return sql.sql(
                        """
                INSERT INTO lesson (id, class, starts, ends, series, slot)
                VALUES (:id, :class, :starts, :ends, :series, :slot) ON CONFLICT (class, starts) DO NOTHING""")
                .param("id", lesson.value())
                .param("class", id.value())
                .param("starts", time.from().toEpochMilli())
                .param("ends", time.until().toEpochMilli())
                .param("series", series)
                .param("slot", slot)
                .update();
    }

    /** Says what a class is about. */
    void setSubject(ClassId id, String subject) {
        database.append(sql -> sql.sql("UPDATE class SET subject = :subject WHERE id = :id")
                .param("subject", subject)
                .param("id", id.value())
                .update());
    }

    /** Gives a class another join word. */
    public static void renameWord(JdbcClient sql, ClassId id, JoinWord word) {
        sql.sql("UPDATE class SET join_word = :word WHERE id = :id")
                .param("word", word.text())
                .param("id", id.value())
                .update();
    }

    /** Renews the link: those who hold the old one are told so at the door. */
    public void renewLink(ClassId id, Instant now) {
        database.write(sql -> sql.sql("UPDATE class SET renewal = renewal + 1, link_since = :now WHERE id = :id")
                .param("id", id.value())
                .param("now", now.toEpochMilli())
                .update());
    }

    /** The same after a lesson, as part of a larger write. */
    public static void renewLinkAfter(JdbcClient sql, LessonId lesson, Instant now) {
        sql.sql(
                        """
                UPDATE class SET renewal = renewal + 1, link_since = :now
                WHERE id = (SELECT class FROM lesson WHERE id = :lesson)""")
                .param("lesson", lesson.value())
                .param("now", now.toEpochMilli())
                .update();
    }

    int nextLinkNumber() {
        return database.read()
                .sql("SELECT coalesce(max(link_number), 0) + 1 FROM class")
                .query(Integer.class)
                .single();
    }

    public Set<JoinWord> joinWords() {
        return all().stream().map(SchoolClass::word).collect(Collectors.toSet());
    }

    private static SchoolClass schoolClass(ResultSet row) throws SQLException {
        return new SchoolClass(
                new ClassId(row.getString("id")),
                row.getString("title"),
                row.getInt("year"),
                row.getString("subject"),
                new LinkKey.Link(row.getInt("link_number"), row.getInt("renewal")),
                new JoinWord(row.getString("join_word")));
    }

    private static Planned planned(ResultSet row) throws SQLException {
        return new Planned(
                new LessonId(row.getString("id")),
                new ClassId(row.getString("class")),
                row.getString("title"),
                new Span(Instant.ofEpochMilli(row.getLong("starts")), Instant.ofEpochMilli(row.getLong("ends"))),
                row.getInt("cancelled") != 0);
    }
}
