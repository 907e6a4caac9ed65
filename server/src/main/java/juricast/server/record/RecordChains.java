package juricast.server.record;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.LessonId;
import juricast.server.data.Backup;
import juricast.server.data.CannotStart;
import juricast.server.data.SchoolFile;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import org.springframework.stereotype.Component;

/** Goes through the records of all lessons in a file, whatever file it is, and chains those of older versions anew. */
@Component
public class RecordChains implements Backup.Chains {
    /** The last number of a record and its hash, with the code over both. */
    record Anchor(int number, byte[] hash, byte[] mac) {
        static Optional<Anchor> of(JdbcClient sql, LessonId lesson) {
            return sql.sql("SELECT number, hash, mac FROM record_anchor WHERE lesson = :lesson")
                    .param("lesson", lesson.value())
                    .query((row, n) -> new Anchor(row.getInt(1), row.getBytes(2), row.getBytes(3)))
                    .optional();
        }

        private boolean holds(Chain chain, LessonId lesson, int last, byte[] hashOfLast) {
            return number == last
                    && Arrays.equals(hash, hashOfLast)
                    && Arrays.equals(mac, chain.anchor(lesson, number, hash));
        }
    }

    /** @throws CannotStart if the key is not where it belongs */
    static Chain chain(String file) {
        Path database = Path.of(file).toAbsolutePath();
        return new Chain(RecordKey.of(database).orElseThrow(() -> missing(database)));
    }

    private static CannotStart missing(Path database) {
        return new CannotStart(
                "The key of the school's records is not there: " + SchoolFile.recordKey(database),
                "Put it back from where it is kept; it stands beside every backup. Without it no record can be proved.");
    }

    /** The number of the first event that is missing, put in or altered; one after the last where only the end is not as it was. */
    static Optional<Integer> firstDamaged(Chain chain, LessonId lesson, List<Line> lines, Optional<Anchor> anchor) {
        byte[] hash = chain.beginning();
        int number = 0;
        for (Line line : lines) {
            if (!line.follows(chain, lesson, number, hash)) {
                return Optional.of(number + 1);
            }
            hash = line.hash();
            number = line.number();
        }
        if (lines.isEmpty()) {
            return anchor.isEmpty() ? Optional.empty() : Optional.of(1);
        }
        int last = number;
        byte[] hashOfLast = hash;
        return anchor.filter(one -> one.holds(chain, lesson, last, hashOfLast)).isPresent()
                ? Optional.empty()
                : Optional.of(last + 1);
    }

    /** Counts more records and events. */
    static void count(Chain chain, JdbcClient sql, long lessons, long events) {
        record Total(long lessons, long events) {}
        Total before = sql.sql("SELECT lessons, events FROM record_total")
                .query((row, n) -> new Total(row.getLong(1), row.getLong(2)))
                .optional()
                .orElse(new Total(0, 0));
        var now = new Total(before.lessons + lessons, before.events + events);
        sql.sql(
                        """
                INSERT INTO record_total (only_one, lessons, events, mac) VALUES (1, :lessons, :events, :mac)
                ON CONFLICT (only_one) DO UPDATE SET lessons = :lessons, events = :events, mac = :mac""")
                .param("lessons", now.lessons)
                .param("events", now.events)
                .param("mac", chain.total(now.lessons, now.events))
                .update();
    }

    /** Whether there are as many records and events as were written. */
    static boolean isComplete(Chain chain, JdbcClient sql) {
        record Total(long lessons, long events, byte[] mac) {}
        Optional<Total> told = sql.sql("SELECT lessons, events, mac FROM record_total")
                .query((row, n) -> new Total(row.getLong(1), row.getLong(2), row.getBytes(3)))
                .optional();
        // Numbers of a record leave no gap, so the last ones together are how many there are.
        record Counted(long lessons, long events) {}
        Counted counted = sql.sql("SELECT count(*), coalesce(sum(number), 0) FROM record_anchor")
                .query((row, n) -> new Counted(row.getLong(1), row.getLong(2)))
                .single();
        return told.map(one -> one.lessons == counted.lessons
                        && one.events == counted.events
                        && Arrays.equals(one.mac, chain.total(one.lessons, one.events)))
                .orElse(counted.lessons == 0);
    }

    @Override
    public List<String> damagedIn(Connection file, Path key) throws SQLException {
        if (!hasTable(file, "record_anchor")) {
            return ChainedAnew.damagedInOlder(file);
        }
        Chain chain = new Chain(RecordKey.of(key)
                .orElseThrow(() -> new SQLException("the key of its records is not beside it: "
                        + SchoolFile.recordKey(key).getFileName())));
        JdbcClient sql = JdbcClient.create(new SingleConnectionDataSource(file, true));
        var damaged = new ArrayList<String>();
        for (LessonId lesson : lessons(sql)) {
            List<Line> lines = sql.sql(
                            "SELECT " + Line.COLUMNS + " FROM lesson_event WHERE lesson = :lesson ORDER BY number")
                    .param("lesson", lesson.value())
                    .query((row, n) -> Line.of(row))
                    .list();
            firstDamaged(chain, lesson, lines, Anchor.of(sql, lesson))
                    .ifPresent(number -> damaged.add("lesson %s at event %d".formatted(lesson.value(), number)));
        }
        if (!isComplete(chain, sql)) {
            damaged.add("all lessons together: there are not as many as were written");
        }
        if (hasTable(file, "incident_anchor")) {
            damaged.addAll(IncidentRecord.damaged(chain, sql));
        }
        return damaged;
    }

    private static List<LessonId> lessons(JdbcClient sql) {
        return sql.sql("SELECT lesson FROM record_anchor UNION SELECT DISTINCT lesson FROM lesson_event")
                .query((row, n) -> new LessonId(row.getString(1)))
                .list();
    }

    private static boolean hasTable(Connection file, String name) throws SQLException {
        try (Statement sql = file.createStatement();
                ResultSet found = sql.executeQuery(
                        "SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = '" + name + "'")) {
            return found.next();
        }
    }

    /** Makes the school's key where there is none yet, and chains records of an older version anew, once. */
    @Override
    public void bringUpToDate(Connection file, Path database) throws SQLException {
        Optional<RecordKey> known = RecordKey.of(database);
        boolean isOld = hasTable(file, "lesson_event_before");
        if (known.isEmpty() && !isOld && hasRecords(file)) {
            throw missing(database);
        }
        RecordKey key = known.orElseGet(() -> RecordKey.make(database));
        if (isOld) {
            new ChainedAnew(file, new Chain(key)).run();
        }
    }

    private static boolean hasRecords(Connection file) throws SQLException {
        try (Statement sql = file.createStatement();
                ResultSet found = sql.executeQuery("SELECT 1 FROM record_anchor LIMIT 1")) {
            return found.next();
        }
    }
}
