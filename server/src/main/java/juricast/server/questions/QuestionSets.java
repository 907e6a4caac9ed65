package juricast.server.questions;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
import juricast.core.questions.Question;
import juricast.server.data.Database;
import juricast.server.data.Ids;
import juricast.server.problems.Problem;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Questions that classes keep, in sets. A set is written as a whole; who saw an older one is told, and nothing is lost. */
@Component
public class QuestionSets {
    static final int SETS = 60;
    static final int QUESTIONS = 60;

    private final Database database;
    private final JsonMapper json;
    private final Clock clock;

    QuestionSets(Database database, JsonMapper json, Clock clock) {
        this.database = database;
        this.json = json;
        this.clock = clock;
    }

    /** A question with the id by which it is known over lessons. */
    record Prepared(String id, Question question) {}

    record Kept(
            String id, ClassId ofClass, String name, List<Prepared> questions, int version, PersonId by, Instant at) {}

    /** As it stands in the file: plain values only. */
    private record Stored(String id, QuestionBody.QuestionGiven question) {}

    List<Kept> of(ClassId id) {
        return database.read()
                .sql("SELECT * FROM question_set WHERE class = :class ORDER BY name COLLATE NOCASE, id")
                .param("class", id.value())
                .query((row, n) -> new Kept(
                        row.getString("id"),
                        new ClassId(row.getString("class")),
                        row.getString("name"),
                        read(row.getString("questions")),
                        row.getInt("version"),
                        new PersonId(row.getString("by")),
                        Instant.ofEpochMilli(row.getLong("at"))))
                .list();
    }

    Optional<Kept> find(ClassId of, String id) {
        return of(of).stream().filter(one -> one.id().equals(id)).findFirst();
    }

    private List<Prepared> read(String stored) {
        return List.of(json.readValue(stored, Stored[].class)).stream()
                .map(one -> new Prepared(one.id, QuestionBody.question(one.question)))
                .toList();
    }

    private String write(List<Prepared> questions) {
        return json.writeValueAsString(questions.stream()
                .map(one -> new Stored(one.id, QuestionBody.given(one.question)))
                .toList());
    }

    String add(ClassId of, String name, List<Prepared> questions, PersonId by) {
        String id = Ids.next();
        database.write(sql -> sql.sql("INSERT INTO question_set (id, class, name, questions, version, by, at)"
                        + " VALUES (:id, :class, :name, :questions, 1, :by, :at)")
                .param("id", id)
                .param("class", of.value())
                .param("name", name)
                .param("questions", write(questions))
                .param("by", by.value())
                .param("at", clock.millis())
                .update());
        return id;
    }

    /** A set from a table, as the demo has them. */
    public void addTable(ClassId of, String name, byte[] table, PersonId by) {
        add(
                of,
                name,
                QuestionFiles.read(table).questions().stream()
                        .map(one -> new Prepared(Ids.next(), one))
                        .toList(),
                by);
    }

    /** @throws Problem if somebody has changed it since that version was read */
    void change(String id, int version, String name, List<Prepared> questions, PersonId by) {
        int changed = database.write(
                sql -> sql.sql("UPDATE question_set SET name = :name, questions = :questions, version = version + 1,"
                                + " by = :by, at = :at WHERE id = :id AND version = :version")
                        .param("id", id)
                        .param("version", version)
                        .param("name", name)
                        .param("questions", write(questions))
                        .param("by", by.value())
                        .param("at", clock.millis())
                        .update());
        if (changed == 0) {
            throw Problem.refused(
                    "changed-meanwhile",
                    "Somebody has changed these questions meanwhile",
                    "What you wrote is not kept yet, and still here.",
                    "Copy what you need, load the set again, and write it once more.");
        }
    }

    void delete(String id) {
        database.write(sql -> sql.sql("DELETE FROM question_set WHERE id = :id")
                .param("id", id)
                .update());
    }
}
