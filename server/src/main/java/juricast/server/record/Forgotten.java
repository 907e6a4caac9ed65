package juricast.server.record;

import java.time.Instant;
import java.util.List;
import juricast.server.data.Database;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What was forgotten, when and by which rule: a line each, kept for ever, that never says what it said. */
@Component
public class Forgotten {
    private final Database database;

    Forgotten(Database database) {
        this.database = database;
    }

    /** @param about a lesson, a recording, a person or a day @param rule by which it went @param count of how many things */
    public record Line(Instant at, String kind, String about, String rule, int count) {}

    /** As part of the write that forgets. */
    public static void note(JdbcClient sql, String kind, String about, String rule, int count, Instant at) {
        sql.sql("INSERT INTO forgotten (at, kind, about, rule, count) VALUES (:at, :kind, :about, :rule, :count)")
                .param("at", at.toEpochMilli())
                .param("kind", kind)
                .param("about", about)
                .param("rule", rule)
                .param("count", count)
                .update();
    }

    /** The number of the last line; 0 before anything was forgotten. */
    public long lastNumber() {
        return database.read()
                .sql("SELECT coalesce(max(number), 0) FROM forgotten")
                .query(Long.class)
                .single();
    }

    /** The latest lines, the last first. */
    public List<Line> latest(Instant since, int most) {
        return database.read()
                .sql("SELECT * FROM forgotten WHERE at >= :since ORDER BY number DESC LIMIT :most")
                .param("since", since.toEpochMilli())
                .param("most", most)
                .query((row, n) -> new Line(
                        Instant.ofEpochMilli(row.getLong("at")),
                        row.getString("kind"),
                        row.getString("about"),
                        row.getString("rule"),
                        row.getInt("count")))
                .list();
    }
}
