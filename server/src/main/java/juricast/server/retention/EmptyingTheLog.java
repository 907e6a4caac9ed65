package juricast.server.retention;

import java.time.Instant;
import juricast.server.data.Database;
import juricast.server.record.AtNight;
import juricast.server.record.Forgotten;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** After what is due was forgotten, nothing of it is left in the file's write-ahead log either. */
@Component
@Order
class EmptyingTheLog implements AtNight {
    private final Database database;
    private final Forgotten forgotten;
    private long emptied;

    EmptyingTheLog(Database database, Forgotten forgotten) {
        this.database = database;
        this.forgotten = forgotten;
    }

    @Override
    public synchronized boolean step(Instant since) {
        long last = forgotten.lastNumber();
        if (last > emptied) {
            database.emptyLog();
            emptied = last;
        }
        return false;
    }
}
