package juricast.server.record;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.LessonId;
import juricast.server.data.Database;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * The records of incidents: chained, anchored and counted as those of lessons are, each a stream of its own. What is appended goes to
 * the disk in the transaction of whoever appends it.
 */
@Component
public class IncidentRecord {
    private static final String LINES =
            "SELECT " + Line.COLUMNS + " FROM incident_event WHERE incident = :incident ORDER BY number";

    private final Database database;
    private final Chain chain;

    @Autowired
    IncidentRecord(Database database, @Value("${juricast.data}") String file) {
        this(database, RecordChains.chain(file));
    }

    IncidentRecord(Database database, Chain chain) {
        this.database = database;
        this.chain = chain;
    }

    /** What is to be written. */
    public record Written(String kind, String body) {}

    /** What stands there. @param body nothing once it was erased */
    public record Said(int number, String kind, @Nullable String body) {}

    /** Somebody else has written meanwhile: read and decide again. */
    public static final class MovedOn extends RuntimeException {
        private static final long serialVersionUID = 1;

        MovedOn(int incident) {
            super("Incident %d has moved on".formatted(incident));
        }
    }

    /** An incident that is not as it was written. */
    public static final class Damaged extends RuntimeException {
        private static final long serialVersionUID = 1;

        Damaged(int incident, int number) {
            super("The record of incident %d is damaged at event %d".formatted(incident, number));
        }
    }

    /** A stream is known to the chain under a name that no lesson has. */
    private static LessonId stream(int incident) {
        return new LessonId("incident/" + incident);
    }

    /** The number of the next new incident. */
    public static int next(JdbcClient sql) {
        return sql.sql("SELECT coalesce(max(incident), 0) + 1 FROM incident_anchor")
                .query(Integer.class)
                .single();
    }

    /**
     * Appends after event number {@code after}.
     *
     * @throws MovedOn if there are more already
     */
    public void append(JdbcClient sql, int incident, int after, List<Written> events) {
        Optional<RecordChains.Anchor> anchor = anchor(sql, incident);
        if (anchor.map(RecordChains.Anchor::number).orElse(0) != after) {
            throw new MovedOn(incident);
        }
        byte[] hash = anchor.map(RecordChains.Anchor::hash).orElseGet(chain::beginning);
        int number = after;
        for (Written event : events) {
            number++;
            byte[] salt = Chain.salt();
            byte[] bodyHash = Chain.bodyHash(salt, event.body());
            hash = chain.next(hash, stream(incident), number, event.kind(), bodyHash);
            sql.sql(
                            """
                    INSERT INTO incident_event (incident, number, kind, body, salt, body_hash, hash)
                    VALUES (:incident, :number, :kind, :body, :salt, :bodyHash, :hash)""")
                    .param("incident", incident)
                    .param("number", number)
                    .param("kind", event.kind())
                    .param("body", event.body())
                    .param("salt", salt)
                    .param("bodyHash", bodyHash)
                    .param("hash", hash)
                    .update();
        }
        sql.sql(
                        """
                INSERT INTO incident_anchor (incident, number, hash, mac) VALUES (:incident, :number, :hash, :mac)
                ON CONFLICT (incident) DO UPDATE SET number = :number, hash = :hash, mac = :mac""")
                .param("incident", incident)
                .param("number", number)
                .param("hash", hash)
                .param("mac", chain.anchor(stream(incident), number, hash))
                .update();
        count(sql, after == 0 ? 1 : 0, events.size());
    }

    private void count(JdbcClient sql, int incidents, int events) {
        Total before = Total.of(sql).orElse(new Total(0, 0, new byte[0]));
        sql.sql(
                        """
                INSERT INTO incident_total (only_one, incidents, events, mac) VALUES (1, :incidents, :events, :mac)
                ON CONFLICT (only_one) DO UPDATE SET incidents = :incidents, events = :events, mac = :mac""")
                .param("incidents", before.incidents + incidents)
                .param("events", before.events + events)
                .param("mac", chain.total(before.incidents + incidents, before.events + events))
                .update();
    }

    private record Total(long incidents, long events, byte[] mac) {
        static Optional<Total> of(JdbcClient sql) {
            return sql.sql("SELECT incidents, events, mac FROM incident_total")
                    .query((row, n) -> new Total(row.getLong(1), row.getLong(2), row.getBytes(3)))
                    .optional();
        }
    }

    private static Optional<RecordChains.Anchor> anchor(JdbcClient sql, int incident) {
        return sql.sql("SELECT number, hash, mac FROM incident_anchor WHERE incident = :incident")
                .param("incident", incident)
                .query((row, n) -> new RecordChains.Anchor(row.getInt(1), row.getBytes(2), row.getBytes(3)))
                .optional();
    }

    private static List<Line> lines(JdbcClient sql, int incident) {
        return sql.sql(LINES)
                .param("incident", incident)
                .query((row, n) -> Line.of(row))
                .list();
    }

    private List<Line> proven(int incident) {
        List<Line> lines = lines(database.read(), incident);
        firstDamaged(chain, database.read(), incident, lines).ifPresent(number -> {
            throw new Damaged(incident, number);
        });
        return lines;
    }

    /** All of one, in order; nothing where there is no such incident. @throws Damaged if it is not as it was written */
    public List<Said> read(int incident) {
        return proven(incident).stream()
                .map(one -> new Said(one.number(), one.kind(), one.body()))
                .toList();
    }

    /** All of one with the hashes that prove it. */
    public Excerpt excerpt(int incident) {
        return Excerpt.of(stream(incident), chain.beginning(), proven(incident));
    }

    private static Optional<Integer> firstDamaged(Chain chain, JdbcClient sql, int incident, List<Line> lines) {
        return RecordChains.firstDamaged(chain, stream(incident), lines, anchor(sql, incident));
    }

    /** The first event of one that is missing, put in or altered, if one is. */
    Optional<Integer> firstDamaged(int incident) {
        return firstDamaged(chain, database.read(), incident, lines(database.read(), incident));
    }

    /** Some incidents in order, after one. */
    List<Integer> after(int incident, int most) {
        return ids(database.read(), incident, most);
    }

    private static List<Integer> ids(JdbcClient sql, int after, int most) {
        return sql.sql(
                        """
                SELECT incident FROM incident_anchor WHERE incident > :after
                UNION SELECT DISTINCT incident FROM incident_event WHERE incident > :after ORDER BY 1 LIMIT :most""")
                .param("after", after)
                .param("most", most)
                .query(Integer.class)
                .list();
    }

    /** That a whole incident was taken out, or put in, in words. */
    Optional<String> missing() {
        return missing(chain, database.read());
    }

    private static Optional<String> missing(Chain chain, JdbcClient sql) {
        record Counted(long incidents, long events, int last) {}
        Counted counted = sql.sql(
                        "SELECT count(*), coalesce(sum(number), 0), coalesce(max(incident), 0) FROM incident_anchor")
                .query((row, n) -> new Counted(row.getLong(1), row.getLong(2), row.getInt(3)))
                .single();
        boolean isComplete = counted.last == counted.incidents
                && Total.of(sql)
                        .map(one -> one.incidents == counted.incidents
                                && one.events == counted.events
                                && Arrays.equals(one.mac, chain.total(one.incidents, one.events)))
                        .orElse(counted.incidents == 0);
        return isComplete
                ? Optional.empty()
                : Optional.of("all incidents together: there are not as many as were written");
    }

    /** What is not as it was written, in words; of any file. */
    static List<String> damaged(Chain chain, JdbcClient sql) {
        var damaged = new ArrayList<String>();
        for (int incident : ids(sql, 0, Integer.MAX_VALUE)) {
            firstDamaged(chain, sql, incident, lines(sql, incident))
                    .ifPresent(number -> damaged.add("incident %d at event %d".formatted(incident, number)));
        }
        missing(chain, sql).ifPresent(damaged::add);
        return damaged;
    }

    /** What is not as it was written, in words. */
    public List<String> damaged() {
        return damaged(chain, database.read());
    }

    /** Erases what the events of one say; that they happened stays. @return how many */
    public static int erase(JdbcClient sql, int incident) {
        Erasing.overwriting(sql);
        return sql.sql(
                        "UPDATE incident_event SET body = NULL, salt = NULL WHERE incident = :incident AND body IS NOT NULL")
                .param("incident", incident)
                .update();
    }
}
