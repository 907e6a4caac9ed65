package juricast.server.ladder;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.ladder.Conduct;
import juricast.core.ladder.Earlier;
import juricast.core.ladder.Ladder;
import juricast.core.ladder.Past;
import juricast.core.ladder.Step;
import juricast.core.ladder.YearsOwn;
import juricast.core.rules.Setting;
import juricast.server.data.Database;
import juricast.server.data.Topic;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** The ladder of the school and of each year, heads of years, and what pupils bring along. */
@Component
public class Ladders {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String SCHOOL = "school";
    /** What was longer ago counts nothing any more, whatever its half-life: less than a hundredth is left of it. */
    private static final Duration FORGOTTEN = Step.LONGEST.multipliedBy(7);

    private final Database database;

    Ladders(Database database) {
        this.database = database;
    }

    /** The school's, without what years have otherwise. */
    public Ladder ofSchool() {
        return body(SCHOOL)
                .map(body -> LadderJson.read(JSON.readValue(body, LadderJson.LadderBody.class)))
                .orElse(Ladder.USUAL);
    }

    public YearsOwn ofYear(int year) {
        return body("year:" + year)
                .map(body -> LadderJson.read(JSON.readValue(body, LadderJson.YearBody.class)))
                .orElse(YearsOwn.NOTHING);
    }

    /** As a class of a year has it; 0 for none. */
    public Ladder of(int year) {
        return ofSchool().refined(ofYear(year));
    }

    private Optional<String> body(String place) {
        return database.read()
                .sql("SELECT body FROM ladder WHERE place = :place AND until = :ever")
                .param("place", place)
                .param("ever", Setting.FOR_EVER.toEpochMilli())
                .query(String.class)
                .optional();
    }

    void write(Ladder ladder, PersonId by, Instant now) {
        write(SCHOOL, JSON.writeValueAsString(LadderJson.of(ladder)), by, now);
    }

    void write(int year, YearsOwn own, PersonId by, Instant now) {
        write("year:" + year, JSON.writeValueAsString(LadderJson.of(own)), by, now);
    }

    private void write(String place, String body, PersonId by, Instant now) {
        database.write(
                sql -> {
                    sql.sql("DELETE FROM ladder WHERE place = :place AND since = :now")
                            .param("place", place)
                            .param("now", now.toEpochMilli())
                            .update();
                    sql.sql("UPDATE ladder SET until = :now WHERE place = :place AND until = :ever")
                            .param("place", place)
                            .param("now", now.toEpochMilli())
                            .param("ever", Setting.FOR_EVER.toEpochMilli())
                            .update();
                    return sql.sql(
                                    """
                    INSERT INTO ladder (place, since, until, body, by) VALUES (:place, :now, :ever, :body, :by)""")
                            .param("place", place)
                            .param("now", now.toEpochMilli())
                            .param("ever", Setting.FOR_EVER.toEpochMilli())
                            .param("body", body)
                            .param("by", by.value())
                            .update();
                },
                Topic.RULES);
    }

    /** The heads of each year that has one. */
    public Map<Integer, List<PersonId>> heads() {
        var heads = new TreeMap<Integer, List<PersonId>>();
        database.read()
                .sql("SELECT year, person FROM year_head ORDER BY year, person")
                .query(row -> {
                    heads.computeIfAbsent(row.getInt(1), year -> new ArrayList<>())
                            .add(new PersonId(row.getString(2)));
                });
        return heads;
    }

    void writeHeads(int year, Collection<PersonId> people) {
        database.write(
                sql -> {
                    sql.sql("DELETE FROM year_head WHERE year = :year")
                            .param("year", year)
                            .update();
                    people.forEach(person -> sql.sql("INSERT INTO year_head (year, person) VALUES (:year, :person)")
                            .param("year", year)
                            .param("person", person.value())
                            .update());
                    return null;
                },
                Topic.PEOPLE);
    }

    /** Steps against somebody that count, between two moments, in order. */
    public List<Earlier> steps(PersonId person, Instant from, Instant until) {
        return database.read()
                .sql(
                        """
                    SELECT * FROM step_taken WHERE person = :person AND at > :from AND at <= :until AND withdrawn = 0
                    ORDER BY at""")
                .param("person", person.value())
                .param("from", from.toEpochMilli())
                .param("until", until.toEpochMilli())
                .query((row, n) -> earlier(row))
                .list();
    }

    private static Earlier earlier(ResultSet row) throws SQLException {
        return new Earlier(
                row.getString("act"),
                row.getString("step"),
                row.getString("name"),
                row.getInt("level"),
                Duration.ofMillis(row.getLong("counts")),
                Instant.ofEpochMilli(row.getLong("at")));
    }

    /** What a lesson knows before it begins of how its pupils are met. */
    public Conduct conduct(LessonId lesson, ClassId ofClass, int year, Collection<PersonId> pupils, Instant now) {
        Map<PersonId, List<Earlier>> steps = new HashMap<>();
        List<String> ids = pupils.stream().map(PersonId::value).toList();
        if (!ids.isEmpty()) {
            database.read()
                    .sql(
                            """
                        SELECT * FROM step_taken WHERE person IN (:people) AND lesson <> :lesson
                        AND withdrawn = 0 AND at > :from AND at <= :now ORDER BY at""")
                    .param("people", ids)
                    .param("lesson", lesson.value())
                    .param("from", now.minus(FORGOTTEN).toEpochMilli())
                    .param("now", now.toEpochMilli())
                    .query(row -> {
                        steps.computeIfAbsent(new PersonId(row.getString("person")), any -> new ArrayList<>())
                                .add(earlier(row));
                    });
        }
        List<Instant> held = steps.isEmpty() ? List.of() : held(ofClass, now);
        return new Conduct(
                of(year),
                steps.entrySet().stream()
                        .collect(Collectors.toMap(Map.Entry::getKey, one -> past(one.getValue(), held))),
                out(ofClass));
    }

    private static Past past(List<Earlier> steps, List<Instant> held) {
        Instant last = steps.get(steps.size() - 1).at();
        return new Past(steps, (int) held.stream().filter(last::isBefore).count());
    }

    /** When the lessons of a class began that are over. */
    private List<Instant> held(ClassId ofClass, Instant now) {
        return database.read()
                .sql(
                        """
                    SELECT lesson.starts FROM lesson JOIN lesson_stage ON lesson_stage.lesson = lesson.id
                    WHERE class = :class AND over IS NOT NULL AND starts <= :now""")
                .param("class", ofClass.value())
                .param("now", now.toEpochMilli())
                .query((row, n) -> Instant.ofEpochMilli(row.getLong(1)))
                .list();
    }

    private Set<PersonId> out(ClassId ofClass) {
        return database.read()
                .sql("SELECT person FROM series_out WHERE class = :class")
                .param("class", ofClass.value())
                .query((row, n) -> new PersonId(row.getString(1)))
                .set();
    }
}
