package juricast.server.people;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.identity.PersonId;
import juricast.core.roster.RosterChange;
import juricast.server.access.Position;
import juricast.server.data.Database;
import juricast.server.data.Topic;
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

    /**
     * Somebody who may sign in, with the hash of the password.
     *
     * @param ends from when on they may not
     * @param codeUntil until when the password is a code that counts once; empty if it is one's own
     */
    record Account(Person person, String passwordHash, Optional<Instant> ends, Optional<Instant> codeUntil) {
        boolean hasEndedAt(Instant now) {
            return Stream.of(ends, codeUntil).flatMap(Optional::stream).anyMatch(end -> !now.isBefore(end));
        }
    }

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
                .query((row, n) -> account(row))
                .optional();
    }

    /** The accounts of everybody who has one. */
    Map<PersonId, Account> accounts() {
        return database
                .read()
                .sql("SELECT * FROM person WHERE password IS NOT NULL")
                .query((row, n) -> account(row))
                .list()
                .stream()
                .collect(Collectors.toMap(one -> one.person.id, one -> one));
    }

    private static Account account(ResultSet row) throws SQLException {
        return new Account(
                person(row),
                row.getString("password"),
                moment(row.getLong("account_ends")),
                moment(row.getLong("code_until")));
    }

    private static Optional<Instant> moment(long millis) {
        return millis == 0 ? Optional.empty() : Optional.of(Instant.ofEpochMilli(millis));
    }

    public List<Person> inPosition(Position position) {
        return database.read()
                .sql("SELECT * FROM person WHERE position = :position ORDER BY name")
                .param("position", position.name())
                .query((row, n) -> person(row))
                .list();
    }

    /** Safeguarding leads whose account has not ended. */
    public List<Person> leads(Instant now) {
        return database.read()
                .sql(
                        """
                    SELECT * FROM person
                    WHERE position = 'LEAD' AND (account_ends IS NULL OR account_ends > :now) ORDER BY name""")
                .param("now", now.toEpochMilli())
                .query((row, n) -> person(row))
                .list();
    }

    /** The school's own numbers, by the id of the pupil. */
    public Map<String, String> numbers() {
        return pupils().stream().collect(Collectors.toMap(one -> one.person().value(), RosterChange.Pupil::number));
    }

    /** All pupils, as the roster comparison wants them. */
    public List<RosterChange.Pupil> pupils() {
        return inPosition(Position.PUPIL).stream()
                .map(one -> new RosterChange.Pupil(
                        one.id, one.name, one.number, one.year == 0 ? OptionalInt.empty() : OptionalInt.of(one.year)))
                .toList();
    }

    /** Adds somebody with an account, reached by a code that counts once. @return false if the name to sign in with is taken */
    boolean addIfFree(Person person, String codeHash, Instant codeUntil) {
        return database.write(
                sql -> {
                    boolean free = isFree(sql, person.signIn, person.id);
                    if (free) {
                        add(sql, person, codeHash);
                        sql.sql("UPDATE person SET code_until = :until WHERE id = :id")
                                .param("until", codeUntil.toEpochMilli())
                                .param("id", person.id.value())
                                .update();
                    }
                    return free;
                },
                Topic.PEOPLE,
                Topic.ACCOUNTS);
    }

    /** Gives somebody an account, reached by a code that counts once. @return false if the name to sign in with is somebody else's */
    boolean setAccountIfFree(PersonId person, String signIn, String codeHash, Instant codeUntil) {
        return database.write(
                sql -> isFree(sql, signIn, person)
                        && sql.sql(
                                                "UPDATE person SET sign_in = :name, password = :hash, code_until = :until WHERE id = :id")
                                        .param("name", signIn)
                                        .param("hash", codeHash)
                                        .param("until", codeUntil.toEpochMilli())
                                        .param("id", person.value())
                                        .update()
                                == 1,
                Topic.PEOPLE,
                Topic.ACCOUNTS);
    }

    /** A password of one's own. */
    void setPassword(PersonId person, String passwordHash) {
        database.write(
                sql -> sql.sql("UPDATE person SET password = :hash, code_until = 0 WHERE id = :id")
                        .param("hash", passwordHash)
                        .param("id", person.value())
                        .update(),
                Topic.PEOPLE,
                Topic.ACCOUNTS);
    }

    /** Corrects what the school says of somebody. */
    void correct(PersonId person, String name, Position position, int year) {
        database.write(
                sql -> sql.sql(
                                "UPDATE person SET name = :name, position = :position, year = nullif(:year, 0) WHERE id = :id")
                        .param("name", name)
                        .param("position", position.name())
                        .param("year", year)
                        .param("id", person.value())
                        .update(),
                Topic.PEOPLE,
                Topic.ACCOUNTS);
    }

    /** Ends an account from a moment on, or never. */
    void setEnd(PersonId person, Optional<Instant> ends) {
        database.write(
                sql -> sql.sql("UPDATE person SET account_ends = nullif(:ends, 0) WHERE id = :id")
                        .param("ends", ends.map(Instant::toEpochMilli).orElse(0L))
                        .param("id", person.value())
                        .update(),
                Topic.PEOPLE,
                Topic.ACCOUNTS);
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

    /** Somebody is in another year now. */
    public static void move(JdbcClient sql, PersonId person, int year) {
        sql.sql("UPDATE person SET year = :year WHERE id = :id")
                .param("year", year)
                .param("id", person.value())
                .update();
    }

    private static Person person(ResultSet row) throws SQLException {
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
