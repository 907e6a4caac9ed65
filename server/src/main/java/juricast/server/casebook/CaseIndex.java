package juricast.server.casebook;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.casebook.CaseEvent;
import juricast.core.casebook.CaseFacts;
import juricast.core.casebook.CasePart;
import juricast.core.casebook.Fairness;
import juricast.core.casebook.FollowUp;
import juricast.core.casebook.Incident;
import juricast.core.casebook.IncidentId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.ladder.Measure;
import juricast.core.ladder.Severity;
import juricast.server.classes.Classes;
import juricast.server.data.Database;
import juricast.server.people.People;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What is asked of incidents without reading them: worked out from their events, and can be worked out again. */
@Component
class CaseIndex {
    /** Found by words at most. */
    static final int MOST_FOUND = 500;

    private final Database database;
    private final Classes classes;
    private final People people;

    CaseIndex(Database database, Classes classes, People people) {
        this.database = database;
        this.classes = classes;
        this.people = people;
    }

    /** One line of the casebook. @param due the earliest day on which something is to be done */
    record Row(
            IncidentId id,
            String title,
            String act,
            String actName,
            String severity,
            String origin,
            boolean leadOnly,
            Optional<String> lesson,
            Optional<String> ofClass,
            int year,
            Instant moment,
            Instant opened,
            Optional<Instant> closed,
            Optional<IncidentId> merged,
            int highest) {}

    /** @param all its events, with the new ones @param fresh the new ones */
    void write(JdbcClient sql, Incident is, List<CaseEvent> all, List<CaseEvent> fresh) {
        int id = is.id().number();
        int year = is.where()
                .ofClass()
                .flatMap(classes::find)
                .map(Classes.SchoolClass::year)
                .orElse(0);
        sql.sql(
                        """
                INSERT INTO incident (id, title, act, act_name, severity, origin, lead_only, lesson, class, year, moment,
                    opened, changed, closed, merged, highest)
                VALUES (:id, :title, :act, :actName, :severity, :origin, :leadOnly, :lesson, :class, :year, :moment,
                    :opened, :changed, :closed, :merged, :highest)
                ON CONFLICT (id) DO UPDATE SET act = :act, act_name = :actName, severity = :severity, changed = :changed,
                    closed = :closed, merged = :merged, highest = :highest""")
                .param("id", id)
                .param("title", is.opened().title())
                .param("act", is.act().id())
                .param("actName", is.act().name())
                .param("severity", is.severity().name())
                .param("origin", is.opened().origin().name())
                .param("leadOnly", is.isForLeads())
                .param("lesson", is.where().lesson().map(one -> one.value()).orElse(null))
                .param("class", is.where().ofClass().map(one -> one.value()).orElse(null))
                .param("year", year)
                .param("moment", is.where().moment().toEpochMilli())
                .param("opened", is.opened().at().toEpochMilli())
                .param("changed", all.get(all.size() - 1).at().toEpochMilli())
                .param("closed", is.closedAt().map(Instant::toEpochMilli).orElse(null))
                .param("merged", is.mergedInto().map(IncidentId::number).orElse(null))
                .param("highest", is.highest())
                .update();
        clear(sql, "incident_person", id);
        is.people().forEach((person, part) -> sql.sql(
                        "INSERT INTO incident_person (incident, person, part) VALUES (:id, :person, :part)")
                .param("id", id)
                .param("person", person.value())
                .param("part", part.name())
                .update());
        is.opened().kept().from().forEach(person -> sql.sql(
                        """
                INSERT INTO incident_person (incident, person, part) VALUES (:id, :person, 'KEPT_FROM')
                ON CONFLICT (incident, person) DO UPDATE SET part = 'KEPT_FROM'""")
                .param("id", id)
                .param("person", person.value())
                .update());
        clear(sql, "incident_follow_up", id);
        for (FollowUp one : is.followUps()) {
            sql.sql(
                            """
                    INSERT INTO incident_follow_up (incident, number, who, what, until, done)
                    VALUES (:id, :number, :who, :what, :until, :done)""")
                    .param("id", id)
                    .param("number", one.number())
                    .param("who", one.who().value())
                    .param("what", one.what())
                    .param("until", one.until().toString())
                    .param("done", !one.isOpen() || is.mergedInto().isPresent())
                    .update();
        }
        clear(sql, "incident_step", id);
        if (is.mergedInto().isEmpty()) {
            is.steps().forEach(step -> steps(sql, id, step));
        }
        for (int i = all.size() - fresh.size(); i < all.size(); i++) {
            if (all.get(i) instanceof CaseEvent.ParentsWritten letter) {
                sql.sql(
                                """
                        INSERT INTO incident_letter (incident, number, pupil, text, sent)
                        VALUES (:id, :number, :pupil, :text, 0)""")
                        .param("id", id)
                        .param("number", i + 1)
                        .param("pupil", letter.pupil().value())
                        .param("text", letter.text())
                        .update();
            }
        }
        clear(sql, "series_out", id);
        if (is.mergedInto().isEmpty()) {
            is.where().ofClass().ifPresent(of -> is.out().forEach(person -> sql.sql(
                            "INSERT INTO series_out (incident, class, person) VALUES (:id, :class, :person)")
                    .param("id", id)
                    .param("class", of.value())
                    .param("person", person.value())
                    .update()));
        }
        words(sql, is, all);
    }

    private static void clear(JdbcClient sql, String table, int id) {
        sql.sql("DELETE FROM %s WHERE incident = :id".formatted(table))
                .param("id", id)
                .update();
    }

    private static void steps(JdbcClient sql, int id, CaseEvent.StepAdded step) {
        step.met().forEach(met -> sql.sql(
                        """
                INSERT INTO incident_step (incident, lesson, number, person, act, step, name, level, proposed, outside, by, at)
                VALUES (:id, :lesson, :number, :person, :act, :step, :name, :level, :proposed, :outside, :by, :at)
                ON CONFLICT DO NOTHING""")
                .param("id", id)
                .param("lesson", step.lesson().value())
                .param("number", step.number())
                .param("person", met.person().value())
                .param("act", step.act().id())
                .param("step", step.step().id())
                .param("name", step.step().name())
                .param("level", step.step().level())
                .param("proposed", met.proposed())
                .param(
                        "outside",
                        step.step().measure() == Measure.OUT_OF_LESSON
                                || step.step().measure() == Measure.OUT_OF_SERIES)
                .param("by", step.by().value())
                .param("at", step.at().toEpochMilli())
                .update());
    }

    private void words(JdbcClient sql, Incident is, List<CaseEvent> all) {
        var open = new ArrayList<String>();
        var leads = new ArrayList<String>();
        List<String> usual = is.isForLeads() ? leads : open;
        usual.add(is.id().number() + " " + is.opened().title() + " " + is.act().name());
        is.where().ofClass().flatMap(classes::find).ifPresent(one -> usual.add(one.title()));
        is.people().keySet().forEach(person -> usual.add(people.nameOf(person)));
        for (CaseEvent event : all) {
            if (event instanceof CaseEvent.Noted note) {
                (note.leadOnly() ? leads : usual).add(note.text());
            } else if (event instanceof CaseEvent.Decided decided) {
                usual.add(decided.text());
            } else if (event instanceof CaseEvent.StepAdded step) {
                usual.add(step.act().name() + " " + step.step().name() + " " + step.why());
            } else if (event instanceof CaseEvent.FollowUpSet todo) {
                usual.add(todo.what());
            } else if (event instanceof CaseEvent.FollowUpDone done) {
                usual.add(done.words());
            } else if (event instanceof CaseEvent.Talked talked) {
                usual.add(talked.words());
            } else if (event instanceof CaseEvent.Closed closed) {
                usual.add(closed.words());
            }
        }
        sql.sql("DELETE FROM incident_words WHERE rowid = :id")
                .param("id", is.id().number())
                .update();
        sql.sql("INSERT INTO incident_words (rowid, open, leads) VALUES (:id, :open, :leads)")
                .param("id", is.id().number())
                .param("open", String.join("\n", open))
                .param("leads", String.join("\n", leads))
                .update();
    }

    /** Takes all of one out that was worked out from it. */
    static void forget(JdbcClient sql, IncidentId id) {
        for (String table :
                List.of("incident_person", "incident_follow_up", "incident_step", "incident_letter", "series_out")) {
            clear(sql, table, id.number());
        }
        sql.sql("DELETE FROM incident_words WHERE rowid = :id")
                .param("id", id.number())
                .update();
        sql.sql("DELETE FROM incident WHERE id = :id").param("id", id.number()).update();
    }

    /** All incidents of a time, but those that go on as another one. */
    List<Row> rows(Instant from, Instant until) {
        return database.read()
                .sql(
                        "SELECT * FROM incident WHERE moment >= :from AND moment < :until AND merged IS NULL ORDER BY moment")
                .param("from", from.toEpochMilli())
                .param("until", until.toEpochMilli())
                .query((row, n) -> row(row))
                .list();
    }

    /** What patterns are worked out from. @param titles of classes by their id */
    List<CaseFacts> facts(List<Row> rows, Map<String, String> titles) {
        Map<Integer, List<PersonId>> did = people(rows, CasePart.DID);
        Map<Integer, List<PersonId>> suffered = people(rows, CasePart.SUFFERED);
        Map<Integer, List<CaseFacts.Met>> steps = new HashMap<>();
        Set<Integer> wanted = rows.stream().map(one -> one.id().number()).collect(Collectors.toSet());
        if (!rows.isEmpty()) {
            database.read().sql("SELECT * FROM incident_step ORDER BY at").query(row -> {
                if (wanted.contains(row.getInt("incident"))) {
                    steps.computeIfAbsent(row.getInt("incident"), any -> new ArrayList<>())
                            .add(new CaseFacts.Met(
                                    new PersonId(row.getString("person")),
                                    row.getString("act"),
                                    row.getInt("level"),
                                    row.getInt("proposed"),
                                    row.getInt("outside") != 0,
                                    new PersonId(row.getString("by")),
                                    Instant.ofEpochMilli(row.getLong("at"))));
                }
            });
        }
        return rows.stream()
                .map(one -> new CaseFacts(
                        one.id(),
                        CaseEvent.Origin.valueOf(one.origin()),
                        one.title(),
                        one.moment(),
                        one.ofClass().map(id -> titles.getOrDefault(id, "")).orElse(""),
                        one.year(),
                        one.act(),
                        Severity.valueOf(one.severity()),
                        Set.copyOf(did.getOrDefault(one.id().number(), List.of())),
                        Set.copyOf(suffered.getOrDefault(one.id().number(), List.of())),
                        steps.getOrDefault(one.id().number(), List.of())))
                .toList();
    }

    /** All steps that count, of a time, also those that opened no incident. @param readable which incidents may be named */
    List<Fairness.Step> steps(Instant from, Instant until, Set<IncidentId> readable) {
        return database.read()
                .sql(
                        """
                    SELECT step_taken.*, class.title, coalesce(class.year, 0) AS year,
                        (SELECT min(incident) FROM incident_step WHERE incident_step.lesson = step_taken.lesson
                            AND incident_step.number = step_taken.number) AS incident
                    FROM step_taken JOIN lesson ON lesson.id = step_taken.lesson JOIN class ON class.id = lesson.class
                    WHERE at >= :from AND at < :until AND withdrawn = 0 ORDER BY at""")
                .param("from", from.toEpochMilli())
                .param("until", until.toEpochMilli())
                .query((row, n) -> new Fairness.Step(
                        Optional.of(row.getInt("incident"))
                                .filter(one -> one > 0)
                                .map(IncidentId::new)
                                .filter(readable::contains),
                        new LessonId(row.getString("lesson")),
                        row.getString("title"),
                        row.getInt("year"),
                        row.getString("act"),
                        new PersonId(row.getString("person")),
                        row.getInt("level"),
                        row.getInt("proposed"),
                        row.getInt("outside") != 0,
                        new PersonId(row.getString("by")),
                        Instant.ofEpochMilli(row.getLong("at"))))
                .list();
    }

    /**
     * Those in which words are found, the latest first; each of the words, or the beginning of one, must be somewhere in it.
     *
     * @param leads whether notes for safeguarding leads are searched too
     */
    List<IncidentId> find(String words, boolean leads) {
        String wanted = Arrays.stream(words.strip().split("[^\\p{L}\\p{M}\\p{N}]+"))
                .filter(one -> !one.isEmpty())
                .limit(12)
                .map(one -> "\"" + one + "\"*")
                .collect(Collectors.joining(" "));
        if (wanted.isEmpty()) {
            return List.of();
        }
        return database.read()
                .sql(
                        """
                    SELECT rowid FROM incident_words WHERE incident_words MATCH :words ORDER BY rowid DESC LIMIT :most""")
                .param("words", leads ? wanted : "{open} : (" + wanted + ")")
                .param("most", MOST_FOUND)
                .query((row, n) -> new IncidentId(row.getInt(1)))
                .list();
    }

    /** @param only which; nothing for all @param before with a lower number, the latest first */
    List<Row> rows(Optional<List<IncidentId>> only, boolean openOnly, int before, int most) {
        List<Integer> ids =
                only.orElse(List.of()).stream().map(IncidentId::number).toList();
        return database.read()
                .sql(
                        """
                    SELECT * FROM incident WHERE id < :before AND (:all OR id IN (:ids))
                    AND (NOT :openOnly OR closed IS NULL AND merged IS NULL) ORDER BY id DESC LIMIT :most""")
                .param("before", before)
                .param("all", only.isEmpty())
                .param("ids", ids.isEmpty() ? List.of(0) : ids)
                .param("openOnly", openOnly)
                .param("most", most)
                .query((row, n) -> row(row))
                .list();
    }

    private static Row row(ResultSet row) throws SQLException {
        return new Row(
                new IncidentId(row.getInt("id")),
                row.getString("title"),
                row.getString("act"),
                row.getString("act_name"),
                row.getString("severity"),
                row.getString("origin"),
                row.getInt("lead_only") != 0,
                Optional.ofNullable(row.getString("lesson")),
                Optional.ofNullable(row.getString("class")),
                row.getInt("year"),
                Instant.ofEpochMilli(row.getLong("moment")),
                Instant.ofEpochMilli(row.getLong("opened")),
                instant(row.getLong("closed")),
                Optional.of(row.getInt("merged")).filter(one -> one > 0).map(IncidentId::new),
                row.getInt("highest"));
    }

    /** Who had one part in some of them, by their number. */
    Map<Integer, List<PersonId>> people(List<Row> rows, CasePart part) {
        var people = new HashMap<Integer, List<PersonId>>();
        if (!rows.isEmpty()) {
            database.read()
                    .sql("SELECT incident, person FROM incident_person WHERE part = :part AND incident IN (:ids)")
                    .param("part", part.name())
                    .param("ids", rows.stream().map(one -> one.id().number()).toList())
                    .query(row -> {
                        people.computeIfAbsent(row.getInt(1), any -> new ArrayList<>())
                                .add(new PersonId(row.getString(2)));
                    });
        }
        return people;
    }

    private static Optional<Instant> instant(long millis) {
        return millis == 0 ? Optional.empty() : Optional.of(Instant.ofEpochMilli(millis));
    }

    /** What somebody is to do that is not done, the most urgent first. */
    record Todo(IncidentId incident, String title, int number, PersonId who, String what, String until) {}

    /** @param who nothing for everybody */
    List<Todo> todos(Optional<PersonId> who) {
        return database.read()
                .sql(
                        """
                    SELECT incident, incident.title, number, who, what, until FROM incident_follow_up
                    JOIN incident ON incident.id = incident
                    WHERE done = 0 AND closed IS NULL AND (:who = '' OR who = :who) ORDER BY until, incident, number""")
                .param("who", who.map(PersonId::value).orElse(""))
                .query((row, n) -> new Todo(
                        new IncidentId(row.getInt(1)),
                        row.getString(2),
                        row.getInt(3),
                        new PersonId(row.getString(4)),
                        row.getString(5),
                        row.getString(6)))
                .list();
    }
}
