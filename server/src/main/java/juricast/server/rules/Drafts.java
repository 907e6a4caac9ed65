package juricast.server.rules;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import juricast.core.charter.Edit;
import juricast.core.charter.Place;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rules.Condition;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Value;
import juricast.server.data.Database;
import juricast.server.rules.Settings.Marked;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** What people mean to change and have not put in force. Kept on the disk, so that nothing thought through is lost. */
@Component
class Drafts {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final Database database;

    Drafts(Database database) {
        this.database = database;
    }

    /** An edit as it is written down. @param value empty to take back what the place says */
    record Line(
            String rule,
            String role,
            String when,
            String value,
            boolean binding,
            String note,
            long until,
            String mark) {}

    /** The edits of one person at one place, in the order in which they were made. */
    List<Marked> of(PersonId owner, Place place) {
        return database.read()
                .sql("SELECT edits FROM rule_draft WHERE owner = :owner AND place = :place")
                .param("owner", owner.value())
                .param("place", place.text())
                .query(String.class)
                .optional()
                .map(text -> read(text, place))
                .orElse(List.of());
    }

    /** How many edits somebody has made at all places together. */
    int countOf(PersonId owner) {
        return database
                .read()
                .sql("SELECT edits FROM rule_draft WHERE owner = :owner")
                .param("owner", owner.value())
                .query(String.class)
                .list()
                .stream()
                .mapToInt(text -> JSON.readValue(text, Line[].class).length)
                .sum();
    }

    /** Adds an edit; one about the same that was made before is replaced. */
    void add(PersonId owner, Place place, Marked edit) {
        change(owner, place, edits -> {
            var next = new ArrayList<>(without(edits, edit.edit()));
            next.add(edit);
            return next;
        });
    }

    /** Takes an edit out of the draft. */
    void remove(PersonId owner, Place place, Edit edit) {
        change(owner, place, edits -> without(edits, edit));
    }

    /** Replaces the whole draft. */
    void replace(PersonId owner, Place place, List<Marked> edits) {
        change(owner, place, before -> edits);
    }

    private void change(PersonId owner, Place place, UnaryOperator<List<Marked>> how) {
        // A draft changes no rule, so what keeps copies of rules need not look again.
        database.append(sql -> {
            List<Marked> next = how.apply(of(owner, place));
            return sql.sql(
                            """
                    INSERT INTO rule_draft (owner, place, edits) VALUES (:owner, :place, :edits)
                    ON CONFLICT (owner, place) DO UPDATE SET edits = excluded.edits""")
                    .param("owner", owner.value())
                    .param("place", place.text())
                    .param("edits", write(next))
                    .update();
        });
    }

    private static List<Marked> without(List<Marked> edits, Edit about) {
        return edits.stream()
                .filter(one -> one.edit().rule() != about.rule()
                        || one.edit().role() != about.role()
                        || !one.edit().when().equals(about.when()))
                .toList();
    }

    private static String write(List<Marked> edits) {
        return JSON.writeValueAsString(edits.stream()
                .map(one -> new Line(
                        one.edit().rule().key(),
                        one.edit().role().name(),
                        one.edit().when().text(),
                        one.edit().value().map(Value::text).orElse(""),
                        one.edit().binding(),
                        one.edit().note(),
                        one.edit().until().toEpochMilli(),
                        one.mark()))
                .toList());
    }

    private static List<Marked> read(String text, Place place) {
        var edits = new ArrayList<Marked>();
        for (Line line : JSON.readValue(text, Line[].class)) {
            var rule = juricast.core.rules.Catalogue.byKey(line.rule).orElseThrow();
            Optional<Value> value = line.value.isEmpty()
                    ? Optional.empty()
                    : Optional.of(
                            RuleValue.of(line.rule, line.value).orElseThrow().value());
            edits.add(new Marked(
                    new Edit(
                            place,
                            rule,
                            Role.valueOf(line.role),
                            Condition.parse(line.when).orElseThrow(),
                            value,
                            line.binding,
                            line.note,
                            Instant.ofEpochMilli(line.until)),
                    line.mark));
        }
        return edits;
    }
}
