package juricast.server.record;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import juricast.core.identity.LessonId;
import juricast.server.data.Ids;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Takes over records of versions before the school had a key for them, once, at the upgrade: a record's old chain is checked, and
 * what of it is as it was written is chained anew. One that is damaged stays so from the same event on, and is never made to look
 * whole. A lesson is taken over in one transaction, and what is taken over is gone from the old table: after a crash it goes on.
 */
final class ChainedAnew {
    private static final Logger LOG = LoggerFactory.getLogger(ChainedAnew.class);
    private static final String BEGINNING = "0";

    private final Connection file;
    private final Chain chain;

    ChainedAnew(Connection file, Chain chain) {
        this.file = file;
        this.chain = chain;
    }

    private record Old(int number, String kind, String body, String hash) {}

    void run() throws SQLException {
        List<LessonId> lessons = new ArrayList<>();
        try (Statement sql = file.createStatement();
                ResultSet rows = sql.executeQuery("SELECT DISTINCT lesson FROM lesson_event_before")) {
            while (rows.next()) {
                lessons.add(new LessonId(rows.getString(1)));
            }
        }
        file.setAutoCommit(false);
        try {
            int damaged = 0;
            for (LessonId lesson : lessons) {
                damaged += takeOver(lesson) ? 0 : 1;
                file.commit();
            }
            total();
            execute("DROP TABLE lesson_event_before");
            file.commit();
            LOG.info(
                    "The records of {} lessons were chained anew with the school's key; {} were damaged before",
                    lessons.size(),
                    damaged);
        } catch (SQLException failed) {
            file.rollback();
            throw failed;
        } finally {
            file.setAutoCommit(true);
        }
    }

    /** @return whether all of it was as it was written */
    private boolean takeOver(LessonId lesson) throws SQLException {
        List<Old> old = old(file, lesson.value());
        int good = good(old);
        byte[] hash = chain.beginning();
        try (PreparedStatement insert = file.prepareStatement(
                "INSERT INTO lesson_event (lesson, number, kind, body, salt, body_hash, hash) VALUES (?, ?, ?, ?, ?, ?, ?)")) {
            for (Old one : old) {
                byte[] salt = Chain.salt();
                byte[] bodyHash = Chain.bodyHash(salt, one.body);
                // From the first damaged event on nothing is proved.
                hash = one.number <= good ? chain.next(hash, lesson, one.number, one.kind, bodyHash) : new byte[0];
                insert.setString(1, lesson.value());
                insert.setInt(2, one.number);
                insert.setString(3, one.kind);
                insert.setString(4, one.body);
                insert.setBytes(5, salt);
                insert.setBytes(6, bodyHash);
                insert.setBytes(7, hash);
                insert.addBatch();
            }
            insert.executeBatch();
        }
        int last = old.get(old.size() - 1).number;
        anchor(lesson, last, hash);
        if (good < old.size()) {
            look(lesson, good + 1);
        }
        try (PreparedStatement gone = file.prepareStatement("DELETE FROM lesson_event_before WHERE lesson = ?")) {
            gone.setString(1, lesson.value());
            gone.executeUpdate();
        }
        return good == old.size();
    }

    private void anchor(LessonId lesson, int last, byte[] hash) throws SQLException {
        try (PreparedStatement anchor =
                file.prepareStatement("INSERT INTO record_anchor (lesson, number, hash, mac) VALUES (?, ?, ?, ?)")) {
            anchor.setString(1, lesson.value());
            anchor.setInt(2, last);
            anchor.setBytes(3, hash);
            anchor.setBytes(4, chain.anchor(lesson, last, hash));
            anchor.executeUpdate();
        }
    }

    private void look(LessonId lesson, int damaged) throws SQLException {
        try (PreparedStatement look =
                file.prepareStatement("INSERT INTO record_look (lesson, at, damaged) VALUES (?, ?, ?)")) {
            look.setString(1, lesson.value());
            look.setLong(2, Instant.now().toEpochMilli());
            look.setInt(3, damaged);
            look.executeUpdate();
        }
    }

    private void total() throws SQLException {
        try (Statement sql = file.createStatement();
                ResultSet counted = sql.executeQuery("SELECT count(*), coalesce(sum(number), 0) FROM record_anchor");
                PreparedStatement total = file.prepareStatement(
                        "INSERT INTO record_total (only_one, lessons, events, mac) VALUES (1, ?, ?, ?)")) {
            long lessons = counted.getLong(1);
            long events = counted.getLong(2);
            total.setLong(1, lessons);
            total.setLong(2, events);
            total.setBytes(3, chain.total(lessons, events));
            total.executeUpdate();
        }
    }

    private void execute(String statement) throws SQLException {
        try (Statement sql = file.createStatement()) {
            sql.execute(statement);
        }
    }

    /** What is damaged in a file of a version before; it still has its events where they were. */
    static List<String> damagedInOlder(Connection file) throws SQLException {
        var damaged = new ArrayList<String>();
        var lessons = new ArrayList<String>();
        try (Statement sql = file.createStatement();
                ResultSet rows = sql.executeQuery("SELECT DISTINCT lesson FROM lesson_event ORDER BY lesson")) {
            while (rows.next()) {
                lessons.add(rows.getString(1));
            }
        }
        for (String lesson : lessons) {
            List<Old> old = read(file, "lesson_event", lesson);
            int good = good(old);
            if (good < old.size()) {
                damaged.add("lesson %s at event %d".formatted(lesson, good + 1));
            }
        }
        return damaged;
    }

    private static List<Old> old(Connection file, String lesson) throws SQLException {
        return read(file, "lesson_event_before", lesson);
    }

    private static List<Old> read(Connection file, String table, String lesson) throws SQLException {
        var all = new ArrayList<Old>();
        try (PreparedStatement select = file.prepareStatement(
                "SELECT number, kind, body, hash FROM " + table + " WHERE lesson = ? ORDER BY number")) {
            select.setString(1, lesson);
            try (ResultSet rows = select.executeQuery()) {
                while (rows.next()) {
                    all.add(new Old(rows.getInt(1), rows.getString(2), rows.getString(3), rows.getString(4)));
                }
            }
        }
        return all;
    }

    /** How many events from the first are as they were written, by the old chain: SHA-256 over the hash before and the event. */
    private static int good(List<Old> lines) {
        String hash = BEGINNING;
        int number = 0;
        for (Old one : lines) {
            hash = Ids.hash(hash + "\n" + one.number + "\n" + one.kind + "\n" + one.body);
            if (one.number != number + 1 || !hash.equals(one.hash)) {
                return number;
            }
            number = one.number;
        }
        return number;
    }
}
