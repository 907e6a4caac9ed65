package juricast.server.leaving;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import juricast.core.identity.PersonId;
import juricast.core.keeping.Retention;
import juricast.core.rules.Rule;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Setting;
import juricast.server.data.Database;
import juricast.server.data.Topic;
import juricast.server.record.Erasing;
import juricast.server.record.Forgotten;
import juricast.server.rules.Settings;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What is erased at once when a pupil leaves, because no rule keeps it, and what goes later by its rule. */
@Component
class Leaving {
    /** What is kept about a person as long as they are of the school, and no longer. */
    private static final List<Owned> OWNED = List.of(
            new Owned("sign-ins that go on", "session", "person"),
            new Owned("codes to sign in with", "recovery_code", "person"),
            new Owned("marks for making groups", "group_mark", "person"),
            new Owned("groups that were prepared", "prepared_person", "person"),
            new Owned("what was watched of recordings", "recording_watched", "person"),
            new Owned("wishes to watch a recording", "recording_wish", "person"),
            new Owned("addresses of a calendar", "feed", "subject"));

    /** A wish is about several people and goes with one of them. */
    private static final Owned WISHES = new Owned("", "class_wish_person", "person");

    private final Database database;
    private final Settings settings;

    Leaving(Database database, Settings settings) {
        this.database = database;
        this.settings = settings;
    }

    private record Owned(String what, String table, String column) {}

    record Counted(String what, int count) {}

    /** @param count of rows, or of lessons */
    record Stays(String what, String rule, int days, int count) {}

    List<Counted> goes(PersonId person) {
        var all = new ArrayList<Counted>();
        for (Owned one : OWNED) {
            all.add(new Counted(one.what, count(one, person)));
        }
        all.add(new Counted("wishes for groups", count(WISHES, person)));
        all.add(new Counted("places in classes", memberships(person)));
        return all;
    }

    private int count(Owned one, PersonId person) {
        return database.read()
                .sql("SELECT count(*) FROM %s WHERE %s = :person".formatted(one.table, one.column))
                .param("person", person.value())
                .query(Integer.class)
                .single();
    }

    private int memberships(PersonId person) {
        return database.read()
                .sql("SELECT count(*) FROM class_member WHERE person = :person AND until = :ever")
                .param("person", person.value())
                .param("ever", Setting.FOR_EVER.toEpochMilli())
                .query(Integer.class)
                .single();
    }

    /** All of it or nothing. The account ends, and so do the places in classes; that they were there stays with the registers. */
    List<Counted> erase(PersonId person, PersonId by, Instant now) {
        List<Counted> goes = goes(person);
        database.write(
                sql -> {
                    Erasing.overwriting(sql);
                    for (Owned one : OWNED) {
                        sql.sql("DELETE FROM %s WHERE %s = :person".formatted(one.table, one.column))
                                .param("person", person.value())
                                .update();
                    }
                    endWishes(sql, person);
                    end(sql, person, now);
                    int all = goes.stream().mapToInt(Counted::count).sum();
                    Forgotten.note(sql, "LEFT", person.value(), "asked for by " + by.value(), all, now);
                    return null;
                },
                Topic.values());
        return goes;
    }

    private static void endWishes(JdbcClient sql, PersonId person) {
        sql.sql(
                        """
                DELETE FROM class_wish_person
                WHERE wish IN (SELECT wish FROM class_wish_person WHERE person = :person)""")
                .param("person", person.value())
                .update();
        sql.sql("DELETE FROM class_wish WHERE id NOT IN (SELECT wish FROM class_wish_person)")
                .update();
    }

    private static void end(JdbcClient sql, PersonId person, Instant now) {
        sql.sql(
                        """
                UPDATE person SET account_ends = :now, sign_in = NULL, password = NULL, factor = NULL
                WHERE id = :person""")
                .param("now", now.toEpochMilli())
                .param("person", person.value())
                .update();
        // Who came this very moment has not been there at all.
        sql.sql("DELETE FROM class_member WHERE person = :person AND since >= :now")
                .param("person", person.value())
                .param("now", now.toEpochMilli())
                .update();
        sql.sql("UPDATE class_member SET until = :now WHERE person = :person AND until > :now")
                .param("now", now.toEpochMilli())
                .param("person", person.value())
                .update();
    }

    /** What rules keep on, by the school's own days. */
    List<Stays> stays(PersonId person, Instant now) {
        Rulebook book = settings.ofSchool();
        int lessons = database.read()
                .sql(
                        """
                    SELECT count(DISTINCT lesson.id) FROM lesson JOIN lesson_stage ON lesson_stage.lesson = lesson.id
                    JOIN class_member ON class_member.class = lesson.class AND person = :person
                      AND class_member.since <= lesson.ends AND class_member.until > lesson.starts
                    WHERE NOT EXISTS (SELECT 1 FROM lesson_forgot
                      WHERE lesson_forgot.lesson = lesson.id AND kind = 'REGISTERS')""")
                .param("person", person.value())
                .query(Integer.class)
                .single();
        return List.of(
                stays("lessons with their register", Retention.REGISTERS, lessons, book, now),
                stays(
                        "messages that went out",
                        Retention.MESSAGES,
                        count(new Owned("", "message", "person"), person),
                        book,
                        now),
                stays(
                        "notes of who looked",
                        Retention.LOOKS,
                        count(new Owned("", "access_entry", "about"), person),
                        book,
                        now));
    }

    private static Stays stays(String what, Retention kind, int count, Rulebook book, Instant now) {
        return new Stays(
                what,
                kind.rule().title(),
                book.value(kind.rule(), Rule.ANSWERS, now).number(),
                count);
    }
}
