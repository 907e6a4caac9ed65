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
    private Instant emptied = Instant.EPOCH;

    EmptyingTheLog(Database database, Forgotten forgotten) {
        this.database = database;
        this.forgotten = forgotten;
    }

    @Override
    public synchronized boolean step(Instant since) {
        forgotten.latest(emptied, 1).stream().findFirst().ifPresent(last -> {
            database.emptyLog();
            emptied = last.at().plusMillis(1);
        });
        return false;
    }
}
