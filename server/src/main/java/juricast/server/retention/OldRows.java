package juricast.server.retention;

import java.time.Instant;
import juricast.core.keeping.Retention;
import juricast.server.data.Database;
import juricast.server.record.Erasing;
import juricast.server.record.Forgotten;

/** Rows of one table that are deleted by their age, some at a time. */
public final class OldRows {
    private static final int AT_ONCE = 500;

    private final Database database;
    private final String table;
    private final Retention kind;

    /** @param table one with a column {@code at}, in milliseconds since 1970 */
    public OldRows(Database database, String table, Retention kind) {
        this.database = database;
        this.table = table;
        this.kind = kind;
    }

    public int count(Instant before) {
        return database.read()
                .sql("SELECT count(*) FROM %s WHERE at < :before".formatted(table))
                .param("before", before.toEpochMilli())
                .query(Integer.class)
                .single();
    }

    /** @return whether there may be more */
    public boolean delete(Instant before, Instant now) {
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
