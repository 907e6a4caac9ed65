package juricast.server.grouping;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import juricast.core.groups.WhoWasWhere;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.live.PlaceId;
import juricast.core.time.Span;
import juricast.server.data.Database;
import juricast.server.data.Topic;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Who was in which group of lessons that are over. */
@Component
public class PastGroups {
    private final Database database;

    PastGroups(Database database) {
        this.database = database;
    }

    /** A stay in a group. @param title of the lesson's class */
    public record Stay(LessonId lesson, String title, WhoWasWhere.Stay stay) {}

    /** A group of a lesson with all who were in it. */
    public record Group(String name, List<PersonId> people) {}

    public void write(LessonId lesson, WhoWasWhere was) {
        Function<JdbcClient, Integer> writing = sql -> written(sql, lesson, was);
        if (was.stays().stream().anyMatch(WhoWasWhere.Stay::isInGroup)) {
            database.write(writing, Topic.PLAN);
        } else {
            database.append(writing);
        }
    }

    private static int written(JdbcClient sql, LessonId lesson, WhoWasWhere was) {
        sql.sql("INSERT INTO lesson_grouped (lesson) VALUES (:lesson)")
                .param("lesson", lesson.value())
                .update();
        was.stays().stream().filter(WhoWasWhere.Stay::isInGroup).forEach(one -> sql.sql(
                        """
                            INSERT INTO lesson_place (lesson, round, place, name, person, starts, ends)
                            VALUES (:lesson, :round, :place, :name, :person, :from, :until)""")
                .param("lesson", lesson.value())
                .param("round", one.round())
                .param("place", one.place().value())
                .param("name", one.name())
                .param("person", one.person().value())
                .param("from", one.time().from().toEpochMilli())
                .param("until", one.time().until().toEpochMilli())
                .update());
        return was.stays().size();
    }

    /** The groups of each time out of a class before a moment, latest first, at most so many. */
    public List<List<Group>> ofClass(ClassId id, Instant before, int most) {
        var rounds = new LinkedHashMap<String, Map<String, Group>>();
        database.read()
                .sql(
                        """
                    SELECT DISTINCT lesson, round, place, name, person FROM lesson_place
                    WHERE lesson IN (SELECT id FROM lesson WHERE class = :class AND starts < :before
                        AND EXISTS (SELECT 1 FROM lesson_place AS one WHERE one.lesson = lesson.id)
                        ORDER BY starts DESC LIMIT :most)
                    ORDER BY (SELECT starts FROM lesson WHERE id = lesson_place.lesson) DESC, round DESC, place, starts""")
                .param("class", id.value())
                .param("before", before.toEpochMilli())
                .param("most", most)
                .query(row -> {
                    String called = name(row.getString(4));
                    rounds.computeIfAbsent(row.getString(1) + " " + row.getInt(2), key -> new LinkedHashMap<>())
                            .computeIfAbsent(row.getString(3), place -> new Group(called, new ArrayList<>()))
                            .people
                            .add(new PersonId(row.getString(5)));
                });
        return rounds.values().stream()
                .limit(most)
                .map(groups -> List.copyOf(groups.values()))
                .toList();
    }

    private static String name(String kept) {
        return kept.isEmpty() ? "Group" : kept;
    }

    /** The same as sets of people, for whoever asks who was together lately. */
    public List<List<Set<PersonId>>> metIn(ClassId id, Instant before, int most) {
        return ofClass(id, before, most).stream()
                .map(groups -> groups.stream()
                        .<Set<PersonId>>map(group -> new HashSet<>(group.people))
                        .toList())
                .toList();
    }

    /** Stays of one pupil in groups of these classes since a moment, latest first. */
    public List<Stay> of(PersonId person, Set<ClassId> classes, Instant since) {
        return classes.isEmpty()
                ? List.of()
                : database.read()
                        .sql(
                                """
                    SELECT lesson_place.*, class.title FROM lesson_place
                    JOIN lesson ON lesson.id = lesson JOIN class ON class.id = lesson.class
                    WHERE person = :person AND lesson_place.starts >= :since AND class.id IN (:classes)
                    ORDER BY lesson_place.starts DESC""")
                        .param("person", person.value())
                        .param("since", since.toEpochMilli())
                        .param("classes", classes.stream().map(ClassId::value).toList())
                        .query((row, n) ->
                                new Stay(new LessonId(row.getString("lesson")), row.getString("title"), stay(row)))
                        .list();
    }

    /** All stays in groups of one lesson. */
    public List<WhoWasWhere.Stay> ofLesson(LessonId lesson) {
        return database.read()
                .sql("SELECT * FROM lesson_place WHERE lesson = :lesson ORDER BY starts")
                .param("lesson", lesson.value())
                .query((row, n) -> stay(row))
                .list();
    }

    /** How long two of these people were in one group of the class since a moment, for each pair that was; latest pairs not told apart. */
    public Map<Set<PersonId>, Duration> together(ClassId id, Set<PersonId> people, Instant since) {
        var all = new LinkedHashMap<Set<PersonId>, Duration>();
        database.read()
                .sql(
                        """
                    SELECT one.person, other.person,
                        min(one.ends, other.ends) - max(one.starts, other.starts) AS met
                    FROM lesson_place AS one JOIN lesson_place AS other
                        ON other.lesson = one.lesson AND other.round = one.round AND other.place = one.place
                    WHERE one.lesson IN (SELECT id FROM lesson WHERE class = :class AND starts >= :since)
                        AND one.person IN (:people) AND other.person IN (:people) AND one.person < other.person
                        AND one.starts < other.ends AND other.starts < one.ends""")
                .param("class", id.value())
                .param("since", since.toEpochMilli())
                .param("people", people.stream().map(PersonId::value).toList())
                .query(row -> {
                    all.merge(
                            Set.of(new PersonId(row.getString(1)), new PersonId(row.getString(2))),
                            Duration.ofMillis(row.getLong(3)),
                            Duration::plus);
                });
        return all;
    }

    private static WhoWasWhere.Stay stay(java.sql.ResultSet row) throws java.sql.SQLException {
        return new WhoWasWhere.Stay(
                new PersonId(row.getString("person")),
                new PlaceId(row.getString("place")),
                row.getString("name"),
                row.getInt("round"),
                new Span(Instant.ofEpochMilli(row.getLong("starts")), Instant.ofEpochMilli(row.getLong("ends"))));
    }
}
