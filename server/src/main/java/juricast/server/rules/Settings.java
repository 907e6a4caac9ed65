package juricast.server.rules;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import juricast.core.charter.Edit;
import juricast.core.charter.Place;
import juricast.core.charter.SchoolRules;
import juricast.core.charter.SetUse;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rules.Condition;
import juricast.core.rules.PlannedRules;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Setting;
import juricast.core.rules.Setting.Force;
import juricast.server.classes.Planning;
import juricast.server.data.Database;
import juricast.server.data.Topic;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The settings of every place in the school, those of former and of coming days included. */
@Component
public class Settings {
    private final Database database;
    private final Planning planning;
    private volatile Known known = new Known(-1, SchoolRules.EMPTY);

    Settings(Database database, Planning planning) {
        this.database = database;
        this.planning = planning;
    }

    /** What was read, and after how many writes. */
    private record Known(long revision, SchoolRules rules) {}

    /** A setting as it is stored. @param endedBy who ended it before its time; empty where nobody did */
    record Kept(long id, Place place, Setting setting, String endedBy, Instant endedAt, boolean everCounted) {}

    /** All that is written about rules; read again when anything was written. */
    public SchoolRules all() {
        long revision = database.revision(Topic.RULES);
        Known last = known;
        if (last.revision != revision) {
            last = new Known(revision, read());
            known = last;
        }
        return last.rules;
    }

    /** The rules of a class, with all that ever was set: any instant can be asked. */
    public Rulebook ofClass(ClassId id) {
        return all().of(planning.classOf(id));
    }

    /** The rules of a lesson, as planned. */
    public PlannedRules ofLesson(LessonId id) {
        var lesson = planning.lesson(id);
        return new PlannedRules(all().of(planning.classOf(lesson.ofClass()), lesson));
    }

    /** The charter alone. */
    public Rulebook ofSchool() {
        return all().charter();
    }

    private SchoolRules read() {
        Map<Place, List<Setting>> written = new HashMap<>();
        for (Kept kept : database.read()
                .sql("SELECT * FROM rule_setting WHERE until > since ORDER BY id")
                .query((row, n) -> kept(row))
                .list()) {
            written.computeIfAbsent(kept.place, place -> new ArrayList<>()).add(kept.setting);
        }
        List<SetUse> uses = database.read()
                .sql("SELECT * FROM set_use WHERE until > since ORDER BY id")
                .query((row, n) -> new SetUse(
                        new ClassId(row.getString("class")),
                        row.getString("set_id"),
                        Instant.ofEpochMilli(row.getLong("since")),
                        Instant.ofEpochMilli(row.getLong("until"))))
                .list();
        Map<String, String> names = database
                .read()
                .sql("SELECT id, name FROM ready_made")
                .query((row, n) -> Map.entry(row.getString("id"), row.getString("name")))
                .list()
                .stream()
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
        return new SchoolRules(written, uses, names);
    }

    /** All that ever was written at a place, latest first; also what was taken back before it began. */
    List<Kept> history(Place place) {
        return database.read()
                .sql("SELECT * FROM rule_setting WHERE place = :place ORDER BY set_at DESC, id DESC LIMIT 500")
                .param("place", place.text())
                .query((row, n) -> kept(row))
                .list();
    }

    /**
     * What a place says about something from now on, as a mark that changes when anybody changes it.
     *
     * @return empty where nothing is said
     */
    String mark(Place place, Rule<?> rule, Role role, Condition when, Instant now) {
        return mark(database.read(), place, rule, role, when, now);
    }

    private static String mark(JdbcClient sql, Place place, Rule<?> rule, Role role, Condition when, Instant now) {
        return about(sql, place, rule, role, when).stream()
                .filter(one -> one.setting.until().isAfter(now))
                .map(one -> one.id + "-" + one.setting.until().toEpochMilli())
                .collect(Collectors.joining(" "));
    }

    /** An edit, and the mark of what its author saw when making it. */
    record Marked(Edit edit, String mark) {}

    /**
     * Puts edits in force, all or none.
     *
     * @return the edits about which somebody else has said something since; then nothing was changed
     */
    List<Edit> putInForce(List<Marked> edits, PersonId by, Instant now, Instant from) {
        return database.write(
                sql -> {
                    List<Edit> overtaken = edits.stream()
                            .filter(one -> !one.mark.equals(mark(
                                    sql, one.edit.place(), one.edit.rule(), one.edit.role(), one.edit.when(), now)))
                            .map(Marked::edit)
                            .toList();
                    if (overtaken.isEmpty()) {
                        edits.forEach(one -> write(sql, one.edit, by, now, from));
                    }
                    return overtaken;
                },
                Topic.RULES);
    }

    /** Writes one edit: what was said about the same gives way for as long as it counts. */
    public static void write(JdbcClient sql, Edit edit, PersonId by, Instant now, Instant from) {
        for (Kept kept : about(sql, edit.place(), edit.rule(), edit.role(), edit.when())) {
            List<Setting> left = kept.setting.without(from, edit.until());
            if (left.equals(List.of(kept.setting))) {
                continue;
            }
            boolean head = !left.isEmpty() && left.get(0).from().equals(kept.setting.from());
            sql.sql("UPDATE rule_setting SET until = :until, ended_by = :by, ended_at = :now WHERE id = :id")
                    .param("until", (head ? left.get(0).until() : kept.setting.from()).toEpochMilli())
                    .param("by", by.value())
                    .param("now", now.toEpochMilli())
                    .param("id", kept.id)
                    .update();
            left.stream().skip(head ? 1 : 0).forEach(rest -> insert(sql, edit.place(), rest));
        }
        edit.setting(by, now, from).ifPresent(setting -> insert(sql, edit.place(), setting));
    }

    private static void insert(JdbcClient sql, Place place, Setting setting) {
        sql.sql(
                        """
                INSERT INTO rule_setting (place, rule, value, role, binding, condition, note, set_by, set_at, since, until)
                VALUES (:place, :rule, :value, :role, :binding, :condition, :note, :by, :at, :since, :until)""")
                .param("place", place.text())
                .param("rule", setting.set().rule().key())
                .param("value", setting.set().value().text())
                .param("role", setting.role().name())
                .param("binding", setting.isBinding() ? 1 : 0)
                .param("condition", setting.when().text())
                .param("note", setting.note())
                .param("by", setting.by().value())
                .param("at", setting.at().toEpochMilli())
                .param("since", setting.from().toEpochMilli())
                .param("until", setting.until().toEpochMilli())
                .update();
    }

    private static List<Kept> about(JdbcClient sql, Place place, Rule<?> rule, Role role, Condition when) {
        return sql.sql(
                        """
                SELECT * FROM rule_setting WHERE place = :place AND rule = :rule AND role = :role
                AND condition = :condition AND until > since ORDER BY id""")
                .param("place", place.text())
                .param("rule", rule.key())
                .param("role", role.name())
                .param("condition", when.text())
                .query((row, n) -> kept(row))
                .list();
    }

    private static Kept kept(ResultSet row) throws SQLException {
        Place place = Place.parse(row.getString("place")).orElseThrow();
        Instant since = Instant.ofEpochMilli(row.getLong("since"));
        Instant until = Instant.ofEpochMilli(row.getLong("until"));
        boolean everCounted = until.isAfter(since);
        var setting = new Setting(
                RuleValue.of(row.getString("rule"), row.getString("value")).orElseThrow(),
                Role.valueOf(row.getString("role")),
                place.kind().layer(),
                row.getBoolean("binding") ? Force.BINDING : Force.USUAL,
                Condition.parse(row.getString("condition")).orElseThrow(),
                new PersonId(row.getString("set_by")),
                Instant.ofEpochMilli(row.getLong("set_at")),
                since,
                everCounted ? until : Setting.FOR_EVER,
                row.getString("note"),
                "");
        return new Kept(
                row.getLong("id"),
                place,
                setting,
                Optional.ofNullable(row.getString("ended_by")).orElse(""),
                Instant.ofEpochMilli(row.getLong("ended_at")),
                everCounted);
    }
}
