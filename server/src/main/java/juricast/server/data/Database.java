package juricast.server.data;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Function;
import org.flywaydb.core.Flyway;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DataSourceTransactionManager;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The school's SQLite file: one connection that writes, a few that read. A write is a transaction that is on the disk
 * when it returns (WAL, synchronous FULL).
 */
@Component
public class Database implements DisposableBean {
    private final HikariDataSource writer;
    private final HikariDataSource readers;
    private final JdbcClient write;
    private final JdbcTemplate many;
    private final JdbcClient read;
    private final TransactionTemplate transaction;
    private final AtomicLong revision = new AtomicLong();

    Database(@Value("${juricast.data}") String file) throws IOException {
        Path path = Path.of(file).toAbsolutePath();
        Files.createDirectories(path.getParent());
        writer = pool(path, 1);
        Flyway.configure().dataSource(writer).load().migrate();
        readers = pool(path, 4);
        many = new JdbcTemplate(writer);
        write = JdbcClient.create(many);
        read = JdbcClient.create(readers);
        transaction = new TransactionTemplate(new DataSourceTransactionManager(writer));
    }

    /** For questions. */
    public JdbcClient read() {
        return read;
    }

    /** Carries out all of it or nothing. What live lessons know of plans and rules is read again afterwards. */
    public <T> T write(Function<JdbcClient, T> work) {
        T result = append(work);
        revision.incrementAndGet();
        return result;
    }

    /** Like {@link #write}, for what changes no plan and no rule: events, sessions. */
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

    /** Counts the writes; whoever keeps a copy of plans or rules compares it. */
    public long revision() {
        return revision.get();
    }

    @Override
    public void destroy() {
        readers.close();
        writer.close();
    }

    private static HikariDataSource pool(Path file, int size) {
        var config = new HikariConfig();
        config.setJdbcUrl("jdbc:sqlite:" + file);
        config.setMaximumPoolSize(size);
        config.addDataSourceProperty("journal_mode", "WAL");
        config.addDataSourceProperty("synchronous", "FULL");
        config.addDataSourceProperty("foreign_keys", "true");
        config.addDataSourceProperty("busy_timeout", "10000");
        return new HikariDataSource(config);
    }
}
