package juricast.server.rules;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rules.Layer;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Setting;
import juricast.core.rules.Setting.Force;
import juricast.server.data.Database;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The settings of the school and of its classes, those of former days included. */
@Component
public class Settings {
    private static final String SCHOOL = "";

    private final Database database;

    Settings(Database database) {
        this.database = database;
    }

    /** The rules of a class, with all that ever was set: any instant can be asked. */
    public Rulebook ofClass(ClassId id) {
        return Rulebook.of(find(id.value()));
    }

    /** The charter alone. */
    public Rulebook ofSchool() {
        return Rulebook.of(find(SCHOOL));
    }

    private List<Setting> find(String ofClass) {
        return database.read()
                .sql("SELECT * FROM setting WHERE class IN ('', :class)")
                .param("class", ofClass)
                .query((row, n) -> new Setting(
                        RuleValue.of(row.getString("rule"), row.getString("value"))
                                .orElseThrow(),
                        Role.valueOf(row.getString("role")),
                        row.getString("class").equals(SCHOOL) ? Layer.SCHOOL : Layer.CLASS,
                        row.getBoolean("binding") ? Force.BINDING : Force.USUAL,
                        new PersonId(row.getString("set_by")),
                        Instant.ofEpochMilli(row.getLong("since")),
                        Instant.ofEpochMilli(row.getLong("until"))))
                .list();
    }

    /** Sets a rule for a role from now on. @param ofClass nothing for the charter */
    public void set(Optional<ClassId> ofClass, RuleValue value, Role role, boolean binding, PersonId by, Instant now) {
        database.write(sql -> {
            end(sql, ofClass, value.rule(), role, now);
            return add(sql, ofClass, value, role, binding, by, now);
        });
    }

    /** Takes back what was set for a role: the layer above counts again. */
    public void clear(Optional<ClassId> ofClass, Rule<?> rule, Role role, Instant now) {
        database.write(sql -> end(sql, ofClass, rule, role, now));
    }

    public static int add(
            JdbcClient sql,
            Optional<ClassId> ofClass,
            RuleValue value,
            Role role,
            boolean binding,
            PersonId by,
            Instant since) {
        return sql.sql(
                        """
                INSERT INTO setting (class, rule, value, role, binding, set_by, since, until)
                VALUES (:class, :rule, :value, :role, :binding, :by, :since, :until)""")
                .param("class", ofClass.map(ClassId::value).orElse(SCHOOL))
                .param("rule", value.rule().key())
                .param("value", value.value().text())
                .param("role", role.name())
                .param("binding", binding ? 1 : 0)
                .param("by", by.value())
                .param("since", since.toEpochMilli())
                .param("until", Setting.FOR_EVER.toEpochMilli())
                .update();
    }

    private static int end(JdbcClient sql, Optional<ClassId> ofClass, Rule<?> rule, Role role, Instant now) {
        // What began in this very millisecond never counted, so it may go; everything older is kept as history.
        sql.sql("DELETE FROM setting WHERE class = :class AND rule = :rule AND role = :role AND since >= :now")
                .param("class", ofClass.map(ClassId::value).orElse(SCHOOL))
                .param("rule", rule.key())
                .param("role", role.name())
                .param("now", now.toEpochMilli())
                .update();
        return sql.sql(
                        """
                UPDATE setting SET until = :now
                WHERE class = :class AND rule = :rule AND role = :role AND until > :now""")
                .param("now", now.toEpochMilli())
                .param("class", ofClass.map(ClassId::value).orElse(SCHOOL))
                .param("rule", rule.key())
                .param("role", role.name())
                .update();
    }
}
