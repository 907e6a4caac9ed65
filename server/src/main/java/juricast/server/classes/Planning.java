package juricast.server.classes;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import juricast.core.charter.PlannedClass;
import juricast.core.charter.PlannedLesson;
import juricast.core.charter.Timetable;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rehearsal.Rehearsal;
import juricast.core.rules.Fact;
import juricast.core.rules.Setting;
import juricast.core.time.Span;
import juricast.server.data.Database;
import juricast.server.data.Ids;
import juricast.server.data.Topic;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What the rules need to know of classes and lessons, and what is planned to happen in a lesson. */
@Component
public class Planning {
    /** Everything the rules ask of lessons; {@link #lesson(ResultSet)} reads it. */
    public static final String LESSONS =
            """
            SELECT lesson.id, class, starts, ends, expected,
                   EXISTS (SELECT 1 FROM lesson_visitor WHERE lesson_visitor.lesson = lesson.id) AS visited
            FROM lesson
            """;

    private static final String GUEST = "guest-";

    private final Database database;
    private final Rehearsals rehearsals;
    private volatile Known known = new Known(-1, Map.of(), new Timetable(List.of(), List.of()));

    Planning(Database database, Rehearsals rehearsals) {
        this.rehearsals = rehearsals;
        this.database = database;
    }

    /** What was read, and after how many writes. The timetable is read when a comparison first asks for it. */
    private record Known(long revision, Map<ClassId, PlannedClass> classes, Timetable timetable) {}

    /** @throws java.util.NoSuchElementException if there is no such class */
    public PlannedClass classOf(ClassId id) {
        return Optional.ofNullable(classes().get(id)).orElseThrow();
    }

    /** A lesson; a rehearsal is as its lesson, at its own time. @throws java.util.NoSuchElementException if there is no such lesson */
    public PlannedLesson lesson(LessonId id) {
        if (Rehearsal.isOne(id)) {
            Rehearsal one = rehearsals.find(id).orElseThrow();
            return one.asPlanned(lesson(one.of()));
        }
        return database.read()
                .sql(LESSONS + "WHERE lesson.id = :id")
                .param("id", id.value())
                .query((row, n) -> lesson(row))
                .optional()
                .orElseThrow();
    }

    /** Those who may look into every lesson without belonging to it: the safeguarding leads (need M2). */
    public List<Member> observers(Instant now) {
        return database.read()
                .sql(
                        """
                    SELECT id, name FROM person WHERE position = 'LEAD' AND (account_ends IS NULL OR account_ends > :now)
                    ORDER BY name""")
                .param("now", now.toEpochMilli())
                .query((row, n) -> new Member(new PersonId(row.getString(1)), row.getString(2), Role.OBSERVER))
                .list();
    }

    /** Adults who are in charge of one lesson only. @param insteadOf nobody if they come besides */
    public record Cover(Member adult, Optional<PersonId> insteadOf) {}

    /** Who covers in a lesson (need B7): with the lead adult's rights in it, and none in any other. */
    public List<Cover> covers(LessonId lesson) {
        return database.read()
                .sql(
                        """
                    SELECT person.id, person.name, instead_of, class_member.role FROM lesson_cover
                    JOIN person ON person.id = adult JOIN lesson ON lesson.id = lesson_cover.lesson
                    LEFT JOIN class_member ON class_member.class = lesson.class AND class_member.person = instead_of
                        AND class_member.until > lesson.starts AND since <= lesson.ends
                    WHERE lesson = :lesson AND ended_at = 0 GROUP BY lesson_cover.id ORDER BY lesson_cover.id""")
                .param("lesson", lesson.value())
                .query((row, n) -> new Cover(
                        new Member(
                                new PersonId(row.getString("id")),
                                row.getString("name"),
                                Role.SECOND_ADULT.name().equals(row.getString("role"))
                                        ? Role.SECOND_ADULT
                                        : Role.LEAD_ADULT),
                        Optional.of(row.getString("instead_of"))
                                .filter(one -> !one.isEmpty())
                                .map(PersonId::new)))
                .list();
    }

    /** All classes, and all lessons that are not over. */
    public Timetable timetable(Instant now) {
        Map<ClassId, PlannedClass> classes = classes();
        Known last = known;
        if (last.timetable.classes().isEmpty()) {
            List<PlannedLesson> lessons = database.read()
                    .sql(LESSONS + "WHERE ends > :now AND cancelled = 0 ORDER BY starts")
                    .param("now", now.toEpochMilli())
                    .query((row, n) -> lesson(row))
                    .list();
            last = new Known(last.revision, classes, new Timetable(List.copyOf(classes.values()), lessons));
            known = last;
        }
        return last.timetable;
    }

    private Map<ClassId, PlannedClass> classes() {
        long revision = database.revision(Topic.PLAN, Topic.PEOPLE);
        Known last = known;
        if (last.revision != revision) {
            last = new Known(revision, readClasses(), new Timetable(List.of(), List.of()));
            known = last;
        }
        return last.classes;
    }

    private Map<ClassId, PlannedClass> readClasses() {
        return database
                .read()
                .sql(
                        """
                    SELECT id, coalesce(year, 0) AS year, (SELECT count(*) FROM class_member
                        WHERE class = class.id AND role IN ('PUPIL', 'CLASS_MONITOR') AND until = :ever) AS pupils
                    FROM class ORDER BY title""")
                .param("ever", Setting.FOR_EVER.toEpochMilli())
                .query((row, n) ->
                        new PlannedClass(new ClassId(row.getString("id")), row.getInt("year"), row.getInt("pupils")))
                .list()
                .stream()
                .collect(Collectors.toMap(
                        PlannedClass::id, Function.identity(), (a, b) -> a, java.util.LinkedHashMap::new));
    }

    public static PlannedLesson lesson(ResultSet row) throws SQLException {
        var expected = EnumSet.noneOf(Fact.class);
        String written = row.getString("expected");
        if (!written.isEmpty()) {
            Arrays.stream(Fact.values())
                    .filter(fact -> Arrays.asList(written.split(" ")).contains(fact.text()))
                    .forEach(expected::add);
        }
        if (row.getBoolean("visited")) {
            expected.add(Fact.VISITOR_PRESENT);
        }
        return new PlannedLesson(
                new LessonId(row.getString("id")),
                new ClassId(row.getString("class")),
                new Span(Instant.ofEpochMilli(row.getLong("starts")), Instant.ofEpochMilli(row.getLong("ends"))),
                expected);
    }

    /** Who is invited to one lesson and to no other. */
    public List<Member> visitors(LessonId lesson) {
        return database.read()
                .sql("SELECT person, name FROM lesson_visitor WHERE lesson = :lesson ORDER BY name")
                .param("lesson", lesson.value())
                .query((row, n) ->
                        new Member(new PersonId(row.getString("person")), row.getString("name"), Role.VISITOR))
                .list();
    }

    /** Those of them who were invited before, by a link of their own, and did not just stand at the door. */
    public List<Member> invited(LessonId lesson) {
        return visitors(lesson).stream()
                .filter(one -> !one.person().value().startsWith(GUEST))
                .toList();
    }

    /** Says what is planned for a lesson; what was said before is replaced. Visitors keep who they are by their name. */
    void plan(LessonId lesson, List<String> visitors, Set<Fact> expected) {
        database.write(
                sql -> {
                    sql.sql("UPDATE lesson SET expected = :expected WHERE id = :id")
                            .param(
                                    "expected",
                                    expected.stream().map(Fact::text).sorted().collect(Collectors.joining(" ")))
                            .param("id", lesson.value())
                            .update();
                    // Guests who were let in at the door stay who they are; only invitations by name are said anew.
                    sql.sql("DELETE FROM lesson_visitor WHERE lesson = :id AND person NOT LIKE 'guest-%'")
                            .param("id", lesson.value())
                            .update();
                    visitors.forEach(name -> invite(sql, lesson, name));
                    return null;
                },
                Topic.PLAN,
                Topic.PEOPLE);
    }

    /** Lists somebody for one lesson who stands at its door. Each is a person of their own, whatever they are called. */
    public PersonId inviteGuest(LessonId lesson, String name) {
        var guest = new PersonId(GUEST + Ids.next());
        database.write(
                sql -> sql.sql("INSERT INTO lesson_visitor (lesson, person, name) VALUES (:lesson, :person, :name)")
                        .param("lesson", lesson.value())
                        .param("person", guest.value())
                        .param("name", name)
                        .update(),
                Topic.PLAN,
                Topic.PEOPLE);
        return guest;
    }

    /** Takes somebody off the list of one lesson again who was not let in. */
    public void disinvite(LessonId lesson, PersonId guest) {
        database.write(
                sql -> sql.sql("DELETE FROM lesson_visitor WHERE lesson = :lesson AND person = :person")
                        .param("lesson", lesson.value())
                        .param("person", guest.value())
                        .update(),
                Topic.PLAN,
                Topic.PEOPLE);
    }

    /** Invites a visitor to one lesson by name. */
    public static void invite(JdbcClient sql, LessonId lesson, String name) {
        String plain = name.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", "-");
        sql.sql(
                        """
                INSERT INTO lesson_visitor (lesson, person, name) VALUES (:lesson, :person, :name)
                ON CONFLICT DO NOTHING""")
                .param("lesson", lesson.value())
                .param("person", "visitor-" + plain)
                .param("name", name)
                .update();
    }
}
