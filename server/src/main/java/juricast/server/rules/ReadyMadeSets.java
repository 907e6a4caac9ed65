package juricast.server.rules;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.charter.Edit;
import juricast.core.charter.Place;
import juricast.core.charter.ReadyMade;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
import juricast.core.rules.Setting;
import juricast.server.data.Database;
import juricast.server.data.Topic;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The ready-made sets of the school and of its teachers, and which classes use them. */
@Component
public class ReadyMadeSets {
    private final Database database;

    /** A new school begins with the sets that ship with the program, as if they had always been there. */
    ReadyMadeSets(Database database) {
        this.database = database;
        database.write(
                sql -> {
                    boolean none = sql.sql("SELECT NOT EXISTS (SELECT 1 FROM ready_made)")
                            .query(Boolean.class)
                            .single();
                    if (none) {
                        ship(sql);
                    }
                    return none;
                },
                Topic.RULES);
    }

    /** A set. @param owner the teacher it belongs to; empty for one of the school */
    record Named(String id, String name, String purpose, String owner) {
        boolean isOf(PersonId person) {
            return owner.equals(person.value());
        }
    }

    /** Those that were not deleted: the school's first, then by name. */
    List<Named> all() {
        return database.read()
                .sql("SELECT * FROM ready_made WHERE deleted = 0 ORDER BY owner <> '', rowid")
                .query((row, n) -> new Named(
                        row.getString("id"), row.getString("name"), row.getString("purpose"), row.getString("owner")))
                .list();
    }

    Optional<Named> find(String id) {
        return all().stream().filter(one -> one.id.equals(id)).findFirst();
    }

    /** @return false if there is a set of that name */
    boolean add(Named set, List<Edit> says, Instant now) {
        return database.write(
                sql -> {
                    boolean fits = sql.sql(
                                            "INSERT INTO ready_made (id, name, purpose, owner) VALUES (:id, :name, :purpose, :owner)"
                                                    + " ON CONFLICT DO NOTHING")
                                    .param("id", set.id)
                                    .param("name", set.name)
                                    .param("purpose", set.purpose)
                                    .param("owner", set.owner)
                                    .update()
                            == 1;
                    if (fits) {
                        says.forEach(edit -> Settings.write(sql, edit, new PersonId(set.owner), now, now));
                    }
                    return fits;
                },
                Topic.RULES);
    }

    /** The classes that use a set now or later. */
    List<ClassId> users(String id, Instant now) {
        return database.read()
                .sql("SELECT DISTINCT class FROM set_use WHERE set_id = :id AND until > :now ORDER BY class")
                .param("id", id)
                .param("now", now.toEpochMilli())
                .query((row, n) -> new ClassId(row.getString("class")))
                .list();
    }

    /** Deletes a set that no class uses; what it said stays readable for the past. @return false if a class uses it */
    boolean delete(String id, Instant now) {
        return database.write(
                        sql -> sql.sql(
                                        """
                UPDATE ready_made SET deleted = 1, name = name || ' (deleted ' || :now || ')' WHERE id = :id
                AND NOT EXISTS (SELECT 1 FROM set_use WHERE set_id = :id AND until > :now)""")
                                .param("id", id)
                                .param("now", now.toEpochMilli())
                                .update(),
                        Topic.RULES)
                == 1;
    }

    /** Lets a class use a set from an instant on. It changes nothing if it uses it already. */
    void use(ClassId byClass, String set, PersonId by, Instant from) {
        database.write(sql -> use(sql, byClass, set, by, from), Topic.RULES);
    }

    public static int use(JdbcClient sql, ClassId byClass, String set, PersonId by, Instant from) {
        return sql.sql(
                        """
                INSERT INTO set_use (class, set_id, since, until, used_by)
                SELECT :class, :set, :from, :ever, :by WHERE NOT EXISTS (
                    SELECT 1 FROM set_use WHERE class = :class AND set_id = :set AND until > :from)""")
                .param("class", byClass.value())
                .param("set", set)
                .param("from", from.toEpochMilli())
                .param("ever", Setting.FOR_EVER.toEpochMilli())
                .param("by", by.value())
                .update();
    }

    /** Ends the use of a set; what was to begin later never does. */
    void stopUsing(ClassId byClass, String set, Instant from) {
        database.write(
                sql -> sql.sql(
                                """
                UPDATE set_use SET until = max(since, :from) WHERE class = :class AND set_id = :set AND until > :from""")
                        .param("class", byClass.value())
                        .param("set", set)
                        .param("from", from.toEpochMilli())
                        .update(),
                Topic.RULES);
    }

    private static void ship(JdbcClient sql) {
        for (ReadyMade set : ReadyMade.SHIPPED) {
            int added = sql.sql(
                            "INSERT INTO ready_made (id, name, purpose) VALUES (:id, :name, :purpose) ON CONFLICT DO NOTHING")
                    .param("id", set.id())
                    .param("name", set.name())
                    .param("purpose", set.purpose())
                    .update();
            if (added == 1) {
                set.settings()
                        .forEach(one -> Settings.write(
                                sql,
                                new Edit(
                                        Place.ofSet(set.id()),
                                        one.set().rule(),
                                        one.role(),
                                        one.when(),
                                        Optional.of(one.set().value()),
                                        false,
                                        "",
                                        Setting.FOR_EVER),
                                PersonId.PROGRAM,
                                Instant.EPOCH,
                                Instant.EPOCH));
            }
        }
    }
}
