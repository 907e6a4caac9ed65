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
import juricast.core.live.LessonPlan;
import juricast.core.live.Sequel;
import juricast.core.rehearsal.Rehearsal;
import juricast.core.rules.Fact;
import juricast.core.rules.Setting;
import juricast.core.time.Span;
import juricast.server.data.Database;
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
    private final Rehearsals rehearsals;

    Classes(Database database, School school, Planning planning, Calendar calendar, Rehearsals rehearsals) {
        this.rehearsals = rehearsals;
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

    /** The classes of which somebody is in charge at that moment. */
    List<ClassId> runBy(PersonId person, Instant now) {
        return database.read()
                .sql(
                        """
                    SELECT class FROM class_member WHERE person = :person AND role IN ('LEAD_ADULT', 'SECOND_ADULT')
                    AND since <= :now AND until > :now""")
                .param("person", person.value())
                .param("now", now.toEpochMilli())
                .query((row, n) -> new ClassId(row.getString(1)))
                .list();
    }

    /** Whether somebody is in charge of this lesson without being an adult of its class. */
    public boolean isCoveredBy(LessonId lesson, PersonId person) {
        return planning.covers(rehearsals.planned(lesson)).stream()
                .anyMatch(one -> one.adult().person().equals(person));
    }

    /** Who belongs to a class at that moment: adults first, then pupils by name. */
    public List<Member> members(ClassId id, Instant now) {
        return members(id, "", now);
    }

    /** @param lesson whose trusted pupils count besides those of the class; empty for none */
    private List<Member> members(ClassId id, String lesson, Instant now) {
        return database.read()
                .sql(
                        """
                    SELECT person.id, person.name, CASE WHEN class_member.role = 'PUPIL' AND EXISTS (
                        SELECT 1 FROM class_monitor AS trusted WHERE trusted.class = class_member.class
                        AND trusted.person = person.id AND trusted.lesson IN ('', :lesson)
                        AND trusted.since <= :now AND trusted.until > :now) THEN 'CLASS_MONITOR'
                        ELSE class_member.role END AS role
                    FROM class_member JOIN person ON person.id = class_member.person
                    WHERE class = :class AND since <= :now AND until > :now ORDER BY person.name, person.id""")
                .param("lesson", lesson)
                .param("class", id.value())
                .param("now", now.toEpochMilli())
                .query((row, n) -> new Member(
                        new PersonId(row.getString("id")), row.getString("name"), Role.valueOf(row.getString("role"))))
                .list();
    }

    /** A lesson, or the rehearsal of one. */
    public Optional<Planned> lesson(LessonId id) {
        if (Rehearsal.isOne(id)) {
            return rehearsals.find(id).flatMap(one -> lesson(one.of())
                    .map(planned -> new Planned(id, planned.ofClass, planned.title, one.time(), false)));
        }
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

    /** Those of its lessons that are help hours. */
    public Set<LessonId> helpHoursOf(ClassId id) {
        return Set.copyOf(database.read()
                .sql("SELECT id FROM lesson WHERE class = :class AND ' ' || expected || ' ' LIKE '% help-hour %'")
                .param("class", id.value())
                .query((row, n) -> new LessonId(row.getString(1)))
                .list());
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
            List<Member> leads = planning.observers(now);
            leads.stream()
                    .filter(one ->
                            members.stream().noneMatch(member -> member.person().equals(one.person())))
                    .forEach(members::add);
            var beside =
                    new LessonPlan.Beside(leads.stream().map(Member::person).collect(Collectors.toSet()), List.of());
            return new LessonPlan(id, planned.title, planned.time, List.of())
                    .helpHour(planning.lesson(id).expected().contains(Fact.HELP_HOUR))
                    .of(members, beside)
                    .before(sequel(planned));
        });
    }

    /** Years whose head somebody is. */
    Set<Integer> headOf(PersonId person) {
        return Set.copyOf(database.read()
                .sql("SELECT year FROM year_head WHERE person = :person")
                .param("person", person.value())
                .query(Integer.class)
                .list());
    }

    /** Whether somebody is in charge of one lesson, by the class or because they cover in it. */
    public boolean isInCharge(PersonId person, Planned lesson, Instant moment) {
        return membersOf(lesson, moment).stream()
                .anyMatch(one -> one.person().equals(person) && one.role().isAdultInCharge());
    }

    /** Who belongs to one lesson: the class of that moment, and who covers in place of those who do. */
    public List<Member> membersOf(Planned lesson, Instant moment) {
        LessonId planned = rehearsals.planned(lesson.id);
        var members = new ArrayList<>(members(lesson.ofClass, planned.value(), moment));
        for (Planning.Cover cover : planning.covers(planned)) {
            members.removeIf(one -> cover.insteadOf().equals(Optional.of(one.person()))
                    || one.person().equals(cover.adult().person()));
            members.add(cover.adult());
        }
        return rehearsals.find(lesson.id).map(one -> one.members(members)).orElse(members);
    }

    /**
     * The same plan with people who were in the lesson and are none of its people any more. A pupil who is dropped from the roster
     * while they sit in a lesson stays in it to its end, and stands in its register; whoever was in charge, or visited, has a
     * name in the record and nothing else.
     *
     * @param wereIn what each was in the lesson, and called
     */
    public LessonPlan withFormer(LessonPlan plan, List<Member> wereIn) {
        Map<PersonId, String> names = database
                .read()
                .sql("SELECT id, name FROM person WHERE id IN (:people)")
                .param(
                        "people",
                        wereIn.stream().map(one -> one.person().value()).toList())
                .query((row, n) -> Map.entry(new PersonId(row.getString(1)), row.getString(2)))
                .list()
                .stream()
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
        Map<Boolean, List<Member>> byStaying = wereIn.stream()
                .map(one -> new Member(one.person(), names.getOrDefault(one.person(), one.name()), one.role()))
                .collect(
                        Collectors.partitioningBy(one -> one.role() == Role.PUPIL || one.role() == Role.CLASS_MONITOR));
        var members = new ArrayList<>(plan.members());
        members.addAll(byStaying.get(true));
        return plan.of(members, new LessonPlan.Beside(plan.beside().leads(), byStaying.get(false)));
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

    /** The lessons that this adult runs, as one of the class's adults or in somebody's place, in order. */
    public List<Planned> ownLessons(PersonId adult, Span window, Instant now) {
        return database.read()
                .sql(
                        """
                    SELECT lesson.*, class.title FROM lesson JOIN class ON class.id = lesson.class
                    WHERE ends > :from AND starts < :until AND cancelled = 0 AND (
                        EXISTS (SELECT 1 FROM class_member WHERE class_member.class = lesson.class AND person = :adult
                            AND role IN ('LEAD_ADULT', 'SECOND_ADULT') AND since <= :now AND class_member.until > :now)
                        OR EXISTS (SELECT 1 FROM lesson_cover
                            WHERE lesson_cover.lesson = lesson.id AND adult = :adult AND ended_at = 0))
                    ORDER BY starts, title""")
                .param("adult", adult.value())
                .param("from", window.from().toEpochMilli())
                .param("until", window.until().toEpochMilli())
                .param("now", now.toEpochMilli())
                .query((row, n) -> planned(row))
                .list();
    }

    public static int insertLesson(JdbcClient sql, ClassId id, LessonId lesson, Span time) {
        return insertLesson(sql, id, lesson, time, "", "");
    }

    /** A lesson of a series. @param slot when it would be, had nothing moved it @return 0 if the class has one that begins then */
    public static int insertLesson(JdbcClient sql, ClassId id, LessonId lesson, Span time, String series, String slot) {
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

    /** Gives a class another title. @return false if another one has it */
    boolean rename(ClassId id, String title) {
        return database.write(sql -> sql.sql(
                                """
                        UPDATE class SET title = :title WHERE id = :id
                        AND NOT EXISTS (SELECT 1 FROM class AS other WHERE other.title = :title AND other.id <> :id)""")
                        .param("title", title)
                        .param("id", id.value())
                        .update())
                == 1;
    }

    /** Who is a trusted pupil, where, and until when. @param lesson empty for the class as a whole */
    public record Monitor(PersonId person, String lesson, Instant until) {}

    /** The trusted pupils of a class and its lessons, from now on. */
    List<Monitor> monitors(ClassId id, Instant now) {
        return database.read()
                .sql(
                        "SELECT person, lesson, until FROM class_monitor WHERE class = :class AND until > :now ORDER BY since")
                .param("class", id.value())
                .param("now", now.toEpochMilli())
                .query((row, n) -> new Monitor(
                        new PersonId(row.getString(1)), row.getString(2), Instant.ofEpochMilli(row.getLong(3))))
                .list();
    }

    /** Makes somebody a trusted pupil until a moment, in place of what was said before. */
    void trust(ClassId id, Monitor monitor, PersonId by, Instant now) {
        database.write(sql -> {
            endTrust(sql, id, monitor.lesson, monitor.person, now);
            return sql.sql(
                            """
                    INSERT INTO class_monitor (class, lesson, person, since, until, by)
                    VALUES (:class, :lesson, :person, :now, :until, :by)
                    ON CONFLICT (class, lesson, person, since) DO UPDATE SET until = excluded.until""")
                    .param("class", id.value())
                    .param("lesson", monitor.lesson)
                    .param("person", monitor.person.value())
                    .param("now", now.toEpochMilli())
                    .param("until", monitor.until.toEpochMilli())
                    .param("by", by.value())
                    .update();
        });
    }

    void endTrust(ClassId id, String lesson, PersonId person, Instant now) {
        database.write(sql -> endTrust(sql, id, lesson, person, now));
    }

    private static int endTrust(JdbcClient sql, ClassId id, String lesson, PersonId person, Instant now) {
        return sql.sql(
                        """
                UPDATE class_monitor SET until = :now
                WHERE class = :class AND lesson = :lesson AND person = :person AND until > :now""")
                .param("now", now.toEpochMilli())
                .param("class", id.value())
                .param("lesson", lesson)
                .param("person", person.value())
                .update();
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

    /** What a lesson is called: as its class, and a help hour as what it is. @param row of a lesson, with the title of its class */
    public static String titleOf(ResultSet row) throws SQLException {
        return titled(row.getString("title"), isHelpHour(row));
    }

    public static String titled(String title, boolean helpHour) {
        return helpHour ? "Help hour, " + title : title;
    }

    public static boolean isHelpHour(ResultSet row) throws SQLException {
        return List.of(row.getString("expected").split(" ")).contains(Fact.HELP_HOUR.text());
    }

    private static Planned planned(ResultSet row) throws SQLException {
        return new Planned(
                new LessonId(row.getString("id")),
                new ClassId(row.getString("class")),
                titleOf(row),
                new Span(Instant.ofEpochMilli(row.getLong("starts")), Instant.ofEpochMilli(row.getLong("ends"))),
                row.getInt("cancelled") != 0);
    }
}
