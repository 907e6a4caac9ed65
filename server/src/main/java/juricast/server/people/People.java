package juricast.server.people;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import juricast.core.identity.PersonId;
import juricast.core.roster.RosterChange;
import juricast.server.access.Position;
import juricast.server.data.Database;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Everybody the school knows. */
@Component
public class People {
    private final Database database;

    People(Database database) {
        this.database = database;
    }

    /** Somebody, without secrets. @param year the year group, 0 for adults @param signIn empty if there is no account */
    public record Person(PersonId id, String name, Position position, String number, int year, String signIn) {}

    /** Somebody who may sign in, with the hash of the password. */
    record Account(Person person, String passwordHash) {}

    public Optional<Person> find(PersonId id) {
        return database.read()
                .sql("SELECT * FROM person WHERE id = :id")
                .param("id", id.value())
                .query((row, n) -> person(row))
                .optional();
    }

    /** The name of a person, or words for those who are none. */
    public String nameOf(PersonId id) {
        if (id.equals(PersonId.CLOCK)) {
            return "the clock";
        }
        if (id.equals(PersonId.PROGRAM)) {
            return "Juricast, as it ships";
        }
        if (id.equals(PersonId.RULES)) {
            return "the rules";
        }
        return find(id).map(Person::name).orElse("somebody who has left");
    }

    /** The names of everybody, for pages that name many. */
    public Map<PersonId, String> names() {
        return database.read().sql("SELECT * FROM person").query((row, n) -> person(row)).list().stream()
                .collect(Collectors.toMap(Person::id, Person::name));
    }

    Optional<Account> account(String signIn) {
        return database.read()
                .sql("SELECT * FROM person WHERE sign_in = :name AND password IS NOT NULL")
                .param("name", signIn)
                .query((row, n) -> new Account(person(row), row.getString("password")))
                .optional();
    }

    public List<Person> inPosition(Position position) {
        return database.read()
                .sql("SELECT * FROM person WHERE position = :position ORDER BY name")
                .param("position", position.name())
                .query((row, n) -> person(row))
                .list();
    }

    /** All pupils, as the roster comparison wants them. */
    public List<RosterChange.Pupil> pupils() {
        return inPosition(Position.PUPIL).stream()
                .map(one -> new RosterChange.Pupil(
                        one.id, one.name, one.number, one.year == 0 ? OptionalInt.empty() : OptionalInt.of(one.year)))
                .toList();
    }

    /** Adds somebody with an account. @return false if the name to sign in with is taken */
    boolean addIfFree(Person person, String passwordHash) {
        return database.write(sql -> {
            boolean free = isFree(sql, person.signIn, person.id);
            if (free) {
                add(sql, person, passwordHash);
            }
            return free;
        });
    }

    /** Gives somebody an account. @return false if the name to sign in with is somebody else's */
    boolean setAccountIfFree(PersonId person, String signIn, String passwordHash) {
        return database.write(sql -> isFree(sql, signIn, person)
                && sql.sql("UPDATE person SET sign_in = :name, password = :hash WHERE id = :id")
                                .param("name", signIn)
                                .param("hash", passwordHash)
                                .param("id", person.value())
                                .update()
                        == 1);
    }

    private static boolean isFree(JdbcClient sql, String signIn, PersonId except) {
        return sql.sql("SELECT count(*) FROM person WHERE sign_in = :name AND id <> :id")
                        .param("name", signIn)
                        .param("id", except.value())
                        .query(Integer.class)
                        .single()
                == 0;
    }

    /** Adds somebody. @param passwordHash empty for somebody without an account */
    public static void add(JdbcClient sql, Person person, String passwordHash) {
        sql.sql(
                        """
                INSERT INTO person (id, name, position, number, year, sign_in, password)
                VALUES (:id, :name, :position, :number, nullif(:year, 0), nullif(:signIn, ''), nullif(:password, ''))""")
                .param("id", person.id.value())
                .param("name", person.name)
                .param("position", person.position.name())
                .param("number", person.number)
                .param("year", person.year)
                .param("signIn", person.signIn)
                .param("password", passwordHash)
                .update();
    }

    public static void rename(JdbcClient sql, PersonId person, String name) {
        sql.sql("UPDATE person SET name = :name WHERE id = :id")
                .param("name", name)
                .param("id", person.value())
                .update();
    }

    private static Person person(java.sql.ResultSet row) throws java.sql.SQLException {
        String signIn = row.getString("sign_in");
        return new Person(
                new PersonId(row.getString("id")),
                row.getString("name"),
                Position.valueOf(row.getString("position")),
                row.getString("number"),
                row.getInt("year"),
                signIn == null ? "" : signIn);
    }
}
