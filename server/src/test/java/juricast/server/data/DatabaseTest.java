package juricast.server.data;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.mockito.Mockito;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

class DatabaseTest {
    private static final String WORDS = "SELECT count(*) FROM watched_word WHERE word LIKE 'word %'";
    /** Too short for so many writes that one of them would take the log in itself. */
    private static final Duration PATIENCE = Duration.ofSeconds(6);

    @Test
    void what_was_written_is_taken_into_the_file_while_writing_goes_on(@TempDir Path folder) throws Exception {
        Path file = folder.resolve("school.db");
        var database = new Database(file.toString(), "", Mockito.mock(Backup.Chains.class));
        int written = 0;
        int taken = 0;
        long end = System.nanoTime() + PATIENCE.toNanos();
        while (taken == 0 && System.nanoTime() < end) {
            String word = "word " + written++;
            database.write(sql -> sql.sql("INSERT INTO watched_word (word, set_by, set_at) VALUES (?, 'maren', 1)")
                    .param(word)
                    .update());
            taken = inTheFileAlone(file, folder.resolve("copy.db"));
        }

        assertThat(taken).as("without its log").isPositive();
        assertThat(database.read().sql(WORDS).query(Integer.class).single()).isEqualTo(written);
        database.destroy();
        assertThat(file.resolveSibling("school.db-wal")).doesNotExist();
        assertThat(count(file)).as("nothing is lost with the log").isEqualTo(written);
    }

    private static int inTheFileAlone(Path file, Path copy) throws IOException {
        Files.copy(file, copy, StandardCopyOption.REPLACE_EXISTING);
        try {
            return count(copy);
        } catch (org.springframework.dao.DataAccessException notYetOrHalf) {
            return 0;
        }
    }

    private static int count(Path file) {
        return JdbcClient.create(new DriverManagerDataSource("jdbc:sqlite:" + file))
                .sql(WORDS)
                .query(Integer.class)
                .single();
    }
}
