package juricast.server.register;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.attendance.Attention.Thresholds;
import juricast.core.identity.PersonId;
import juricast.core.logs.LogColumns;
import juricast.core.register.Mark;
import juricast.core.register.RegisterCodes;
import juricast.server.data.Database;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What the school says of its registers: its own codes, from when on attendance is worth a look, and how other services' logs read. */
@Component
public class RegisterSettings {
    private final Database database;

    RegisterSettings(Database database) {
        this.database = database;
    }

    RegisterCodes codes() {
        return new RegisterCodes(database.read()
                .sql("SELECT code, meaning, mark FROM register_code ORDER BY place")
                .query((row, n) -> new RegisterCodes.Code(
                        row.getString("code"), row.getString("meaning"), Mark.valueOf(row.getString("mark"))))
                .list());
    }

    /** The usual ones until the school has said otherwise. */
    Thresholds thresholds() {
        return database.read()
                .sql("SELECT in_a_row, below_percent, drop_points, late_times FROM attention_threshold")
                .query((row, n) -> new Thresholds(row.getInt(1), row.getInt(2), row.getInt(3), row.getInt(4)))
                .optional()
                .orElse(Thresholds.USUAL);
    }

    /** Keeps both, or neither. */
    void say(RegisterCodes codes, Thresholds thresholds) {
        database.append(sql -> {
            write(sql, codes);
            sql.sql("INSERT OR REPLACE INTO attention_threshold VALUES (1, :row, :below, :drop, :late)")
                    .param("row", thresholds.inARow())
                    .param("below", thresholds.belowPercent())
                    .param("drop", thresholds.dropPoints())
                    .param("late", thresholds.lateTimes())
                    .update();
            return null;
        });
    }

    /** Replaces the school's codes. */
    public static void write(JdbcClient sql, RegisterCodes codes) {
        sql.sql("DELETE FROM register_code").update();
        for (RegisterCodes.Code one : codes.all()) {
            sql.sql("INSERT INTO register_code (code, meaning, mark) VALUES (:code, :meaning, :mark)")
                    .param("code", one.code())
                    .param("meaning", one.meaning())
                    .param("mark", one.mark().name())
                    .update();
        }
    }

    /** Which column is what in logs with this heading, as somebody has said before. */
    Optional<LogColumns> columns(List<String> heading) {
        return database.read()
                .sql("SELECT name, joined, leaves, minutes FROM log_columns WHERE likeness = :likeness")
                .param("likeness", LogColumns.likeness(heading))
                .query((row, n) -> new LogColumns(row.getInt(1), row.getInt(2), row.getInt(3), row.getInt(4)))
                .optional();
    }

    void remember(List<String> heading, LogColumns columns, PersonId by, Instant at) {
        database.append(sql -> sql.sql(
                        """
                INSERT OR REPLACE INTO log_columns (likeness, name, joined, leaves, minutes, said_by, said_at)
                VALUES (:likeness, :name, :joined, :left, :minutes, :by, :at)""")
                .param("likeness", LogColumns.likeness(heading))
                .param("name", columns.name())
                .param("joined", columns.joined())
                .param("left", columns.left())
                .param("minutes", columns.minutes())
                .param("by", by.value())
                .param("at", at.toEpochMilli())
                .update());
    }
}
