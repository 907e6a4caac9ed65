package juricast.server.consent;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import juricast.core.consent.Consent;
import juricast.core.consent.Consents;
import juricast.core.identity.PersonId;
import juricast.server.data.Database;
import juricast.server.data.Topic;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** All that was said about recording people. Nothing is changed; a new word stands beside the old ones. */
@Component
public class KeptConsents {
    private final Database database;
    private final Clock clock;
    private volatile Known known = new Known(-1, Consents.NONE);

    KeptConsents(Database database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    /** What was read, and after how many writes. */
    private record Known(long revision, Consents consents) {}

    /** A word, and by whom it was noted. */
    public record Noted(Consent consent, PersonId by) {}

    /** Everything, for whoever asks about some; read once after each change. */
    public Consents all() {
        long revision = database.revision(Topic.PEOPLE);
        Known last = known;
        if (last.revision != revision) {
            List<Consent> read = database.read()
                    .sql("SELECT * FROM consent ORDER BY id")
                    .query((row, n) -> consent(row))
                    .list();
            last = new Known(revision, Consents.of(read));
            known = last;
        }
        return last.consents;
    }

    /** All that was noted about one person, the latest first. */
    public List<Noted> about(PersonId person) {
        return database.read()
                .sql("SELECT * FROM consent WHERE person = :person ORDER BY id DESC")
                .param("person", person.value())
                .query((row, n) -> new Noted(consent(row), new PersonId(row.getString("by"))))
                .list();
    }

    private static Consent consent(ResultSet row) throws SQLException {
        return new Consent(
                new PersonId(row.getString("person")),
                Consent.Said.valueOf(row.getString("said")),
                Consent.Giver.valueOf(row.getString("giver")),
                row.getString("paper"),
                Instant.ofEpochMilli(row.getLong("starts")),
                Instant.ofEpochMilli(row.getLong("ends")),
                Instant.ofEpochMilli(row.getLong("at")));
    }

    /** Notes all of them or none. @param by who noted them */
    public void note(Collection<Consent> said, PersonId by) {
        database.write(
                sql -> {
                    said.forEach(one -> insert(sql, one, by));
                    return null;
                },
                Topic.PEOPLE);
    }

    private static void insert(JdbcClient sql, Consent one, PersonId by) {
        sql.sql(
                        """
                INSERT INTO consent (person, said, giver, paper, starts, ends, at, by)
                VALUES (:person, :said, :giver, :paper, :starts, :ends, :at, :by)""")
                .param("person", one.person().value())
                .param("said", one.said().name())
                .param("giver", one.giver().name())
                .param("paper", one.paper())
                .param("starts", one.from().toEpochMilli())
                .param("ends", one.until().toEpochMilli())
                .param("at", one.at().toEpochMilli())
                .param("by", by.value())
                .update();
    }

    public Instant now() {
        return clock.instant();
    }
}
