package juricast.server.retention;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import juricast.core.keeping.Retention;
import juricast.server.data.Database;
import juricast.server.record.AtNight;
import juricast.server.record.Erasing;
import juricast.server.record.Forgotten;
import juricast.server.rules.Settings;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Rows of one table that are deleted by their age, as the school's rules say; some at a time. */
class RowsByAge implements KeptKind, AtNight {
    private static final int AT_ONCE = 500;

    private final Retention kind;
    private final String table;
    private final Database database;
    private final Settings settings;
    private final Clock clock;

    /** @param table one with a column {@code at}, in milliseconds since 1970 */
    RowsByAge(Retention kind, String table, Database database, Settings settings, Clock clock) {
        this.kind = kind;
        this.table = table;
        this.database = database;
        this.settings = settings;
        this.clock = clock;
    }

    /** Which tables there are. */
    @Configuration
    static class Tables {
        @Bean
        RowsByAge messages(Database database, Settings settings, Clock clock) {
            return new RowsByAge(Retention.MESSAGES, "message", database, settings, clock);
        }

        @Bean
        RowsByAge looks(Database database, Settings settings, Clock clock) {
            return new RowsByAge(Retention.LOOKS, "access_entry", database, settings, clock);
        }

        @Bean
        RowsByAge devices(Database database, Settings settings, Clock clock) {
            return new RowsByAge(Retention.DEVICES, "known_device", database, settings, clock);
        }
    }

    @Override
    public Retention kind() {
        return kind;
    }

    @Override
    public Coming coming(Instant until) {
        return new Coming(count(goesAt(until)), 0);
    }

    /** Rows of before this instant go at {@code now}. */
    private Instant goesAt(Instant now) {
        return now.minus(Duration.between(now, kind.until(now, settings.ofSchool())));
    }

    private int count(Instant before) {
        return database.read()
                .sql("SELECT count(*) FROM %s WHERE at < :before".formatted(table))
                .param("before", before.toEpochMilli())
                .query(Integer.class)
                .single();
    }

    @Override
    public boolean step(Instant since) {
        Instant now = clock.instant();
        Instant before = goesAt(now);
        if (count(before) == 0) {
            return false;
        }
        return database.append(sql -> {
            Erasing.overwriting(sql);
            int gone = sql.sql("DELETE FROM %s WHERE rowid IN (SELECT rowid FROM %s WHERE at < :before LIMIT :most)"
                            .formatted(table, table))
                    .param("before", before.toEpochMilli())
                    .param("most", AT_ONCE)
                    .update();
            Forgotten.note(sql, kind.name(), "", kind.rule().key(), gone, now);
            return gone == AT_ONCE;
        });
    }
}
