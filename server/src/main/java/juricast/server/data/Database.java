package juricast.server.data;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLongArray;
import java.util.function.Function;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationInfoService;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DataSourceTransactionManager;
import org.springframework.scheduling.concurrent.CustomizableThreadFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The school's SQLite file: one connection that writes, a few that read. A write is a transaction that is on the disk
 * when it returns (WAL, synchronous FULL). What the log holds is taken into the file beside the writing: done by the
 * write that happens to fill the log, it would hold up all orders of the school for as long.
 */
@Component
public class Database implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(Database.class);
    private static final long CHECKPOINT_MS = 1000;
    /** So long a log, in pages, is taken in by whoever writes, as when a school's whole timetable comes in at once. */
    private static final int LONGEST_LOG = 10_000;

    private final ScheduledExecutorService checkpoints =
            Executors.newSingleThreadScheduledExecutor(new CustomizableThreadFactory("checkpoint-"));
    private final SchoolFile.Held held;
    private final HikariDataSource writer;
    private final HikariDataSource readers;
    private final JdbcClient write;
    private final JdbcTemplate many;
    private final JdbcClient read;
    private final TransactionTemplate transaction;
    private final AtomicLongArray revisions = new AtomicLongArray(Topic.values().length);

    /** @throws CannotStart if another program holds the file, or the file is newer than the program */
    Database(
            @Value("${juricast.data}") String file,
            @Value("${juricast.backups.folder}") String backups,
            Backup.Chains chains)
            throws IOException {
        var school = new SchoolFile(Path.of(file));
        held = school.hold()
                .orElseThrow(() -> new CannotStart(
                        "Another Juricast is running on %s.".formatted(school.database()),
                        "Stop that one first, or name another file: --juricast.data=FILE"));
        try {
            school.takeRestored();
            Path path = school.database();
            writer = pool(path, 1);
            // Our statements leave nothing to fill in, and looking for it letter by letter takes its time at each
            // start.
            Flyway flyway = Flyway.configure()
                    .dataSource(writer)
                    .placeholderReplacement(false)
                    .load();
            beforeUpgrade(flyway.info(), path, BackupFolder.of(path, backups), chains);
            flyway.migrate();
            try (Connection connection = writer.getConnection()) {
                chains.bringUpToDate(connection, path);
            }
            readers = pool(path, 4);
        } catch (SQLException failed) {
            held.close();
            throw new IllegalStateException(failed);
        } catch (RuntimeException | IOException failed) {
            held.close();
            throw failed;
        }
        many = new JdbcTemplate(writer);
        write = JdbcClient.create(many);
        read = JdbcClient.create(readers);
        transaction = new TransactionTemplate(new DataSourceTransactionManager(writer));
        checkpoints.scheduleWithFixedDelay(this::checkpoint, CHECKPOINT_MS, CHECKPOINT_MS, TimeUnit.MILLISECONDS);
    }

    /** An upgrade begins with a backup of what it is about to change, and is not begun without. */
    private static void beforeUpgrade(MigrationInfoService schema, Path file, Path backups, Backup.Chains chains)
            throws IOException {
        MigrationInfo current = schema.current();
        if (current == null) {
            return;
        }
        for (MigrationInfo one : schema.applied()) {
            if (!one.getState().isResolved()) {
                throw new CannotStart(
                        "%s was written by a newer version of this program (%s).".formatted(file, one.getDescription()),
                        "Install that version again, or restore a backup that this one made.");
            }
        }
        if (schema.pending().length > 0) {
            try {
                Backup.Made made = Backup.make(
                        file, backups.resolve("before-upgrade-from-%s.db".formatted(current.getVersion())), chains);
                LOG.info("Before the upgrade a backup was made: {}", made.file());
            } catch (Backup.NotGood failed) {
                throw new CannotStart(
                        "The file is to be upgraded, but no backup of it could be made: " + failed.getMessage(),
                        "Make room in %s, or name another folder: --juricast.backups.folder=FOLDER".formatted(backups));
            }
        }
    }

    /** Waits for nobody and holds nobody up; what is still being read is left for the next time. */
    private void checkpoint() {
        try {
            read.sql("PRAGMA wal_checkpoint(PASSIVE)").query().singleRow();
        } catch (RuntimeException | Error failed) {
            // Thrown on, it would be the last time that the log is taken in.
            LOG.warn("The log of the school's file could not be taken in; it is tried again", failed);
        }
    }

    /** Takes the whole log into the file and empties it, so that nothing of what was overwritten in the file is left in it. */
    public void emptyLog() {
        write.sql("PRAGMA wal_checkpoint(TRUNCATE)").query().singleRow();
    }

    /** For questions. */
    public JdbcClient read() {
        return read;
    }

    /**
     * Carries out all of it or nothing. Whoever keeps a copy of what it is about reads that again afterwards.
     *
     * @param topics what it may change; all of it where none is named
     */
    public <T> T write(Function<JdbcClient, T> work, Topic... topics) {
        T result = append(work);
        for (Topic topic : topics.length == 0 ? Topic.values() : topics) {
            revisions.incrementAndGet(topic.ordinal());
        }
        return result;
    }

    /** Like {@link #write}, for what nobody keeps a copy of: events, sign-ins, notes. */
    public <T> T append(Function<JdbcClient, T> work) {
        return transaction.execute(status -> work.apply(write));
    }

    /**
     * Within a write: one statement for many rows, prepared once.
     *
     * @return how many rows of the table each has changed
     */
    public int[] each(String statement, List<Object[]> rows) {
        return many.batchUpdate(statement, rows);
    }

    /** A number that grows with every write about any of these topics; whoever keeps a copy compares it. */
    public long revision(Topic... topics) {
        long sum = 0;
        for (Topic topic : topics) {
            sum += revisions.get(topic.ordinal());
        }
        return sum;
    }

    @Override
    public void destroy() throws InterruptedException {
        checkpoints.shutdown();
        checkpoints.awaitTermination(5, TimeUnit.SECONDS);
        readers.close();
        writer.close();
        held.close();
    }

    private static HikariDataSource pool(Path file, int size) {
        var config = new HikariConfig();
        config.setJdbcUrl("jdbc:sqlite:" + file);
        config.setMaximumPoolSize(size);
        config.addDataSourceProperty("journal_mode", "WAL");
        config.addDataSourceProperty("synchronous", "FULL");
        config.addDataSourceProperty("foreign_keys", "true");
        config.addDataSourceProperty("busy_timeout", "10000");
        config.setConnectionInitSql("PRAGMA wal_autocheckpoint=" + LONGEST_LOG);
        return new HikariDataSource(config);
    }
}
