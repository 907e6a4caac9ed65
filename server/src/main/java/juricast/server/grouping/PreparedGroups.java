package juricast.server.grouping;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import juricast.core.grouping.Prepared;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
import juricast.server.data.Database;
import juricast.server.data.Topic;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Groups that were prepared for a class, under a name. */
@Component
public class PreparedGroups {
    private final Database database;
    private final Clock clock;

    PreparedGroups(Database database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    /** Those of a class, by name. */
    public List<Prepared> of(ClassId id) {
        return database
                .read()
                .sql("SELECT id FROM prepared_groups WHERE class = :class ORDER BY name, id")
                .param("class", id.value())
                .query(String.class)
                .list()
                .stream()
                .flatMap(one -> find(one).stream())
                .toList();
    }

    public Optional<Prepared> find(String id) {
        return database.read()
                .sql("SELECT name, task FROM prepared_groups WHERE id = :id")
                .param("id", id)
                .query((row, n) -> new Prepared(id, row.getString(1), row.getString(2), groups(id)))
                .optional();
    }

    /** Which class they are of. */
    public Optional<ClassId> ofClass(String id) {
        return database.read()
                .sql("SELECT class FROM prepared_groups WHERE id = :id")
                .param("id", id)
                .query((row, n) -> new ClassId(row.getString(1)))
                .optional();
    }

    private List<Prepared.Named> groups(String id) {
        var names = new TreeMap<Integer, String>();
        var people = new TreeMap<Integer, List<PersonId>>();
        database.read()
                .sql(
                        """
                    SELECT prepared_group.position, name, person FROM prepared_group
                    LEFT JOIN prepared_person ON prepared_person.prepared = prepared_group.prepared
                        AND prepared_person.position = prepared_group.position
                    WHERE prepared_group.prepared = :id ORDER BY prepared_group.position, place""")
                .param("id", id)
                .query(row -> {
                    int position = row.getInt(1);
                    names.put(position, row.getString(2));
                    List<PersonId> here = people.computeIfAbsent(position, one -> new ArrayList<>());
                    Optional.ofNullable(row.getString(3)).map(PersonId::new).ifPresent(here::add);
                });
        return names.entrySet().stream()
                .map(one -> new Prepared.Named(one.getValue(), people.getOrDefault(one.getKey(), List.of())))
                .toList();
    }

    /** Writes them, in place of those with the same id. */
    public void write(ClassId ofClass, Prepared prepared, PersonId by) {
        database.write(
                sql -> {
                    sql.sql(
                                    """
                            INSERT INTO prepared_groups (id, class, name, task, by, at)
                            VALUES (:id, :class, :name, :task, :by, :at) ON CONFLICT (id) DO UPDATE
                            SET name = excluded.name, task = excluded.task, by = excluded.by, at = excluded.at""")
                            .param("id", prepared.id())
                            .param("class", ofClass.value())
                            .param("name", prepared.name())
                            .param("task", prepared.task())
                            .param("by", by.value())
                            .param("at", clock.millis())
                            .update();
                    sql.sql("DELETE FROM prepared_group WHERE prepared = :id")
                            .param("id", prepared.id())
                            .update();
                    for (int position = 0; position < prepared.groups().size(); position++) {
                        write(sql, prepared.id(), position, prepared.groups().get(position));
                    }
                    return null;
                },
                Topic.PLAN,
                Topic.RULES);
    }

    private static void write(JdbcClient sql, String id, int position, Prepared.Named group) {
        sql.sql("INSERT INTO prepared_group (prepared, position, name) VALUES (:id, :position, :name)")
                .param("id", id)
                .param("position", position)
                .param("name", group.name())
                .update();
        for (int place = 0; place < group.people().size(); place++) {
            sql.sql("INSERT INTO prepared_person (prepared, position, place, person)"
                            + " VALUES (:id, :position, :place, :person)")
                    .param("id", id)
                    .param("position", position)
                    .param("place", place)
                    .param("person", group.people().get(place).value())
                    .update();
        }
    }

    /** They are gone; steps of running orders that named them have none any more. */
    public void delete(String id) {
        database.write(
                sql -> {
                    sql.sql("UPDATE running_step SET prepared = '' WHERE prepared = :id")
                            .param("id", id)
                            .update();
                    return sql.sql("DELETE FROM prepared_groups WHERE id = :id")
                            .param("id", id)
                            .update();
                },
                Topic.PLAN,
                Topic.RULES);
    }
}
