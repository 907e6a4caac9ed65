package juricast.server.data;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.flywaydb.core.api.MigrationInfo;
import org.sqlite.SQLiteConnection;
import org.sqlite.core.Codes;

/**
 * A copy of a school's file, made while it is written to (the online backup of SQLite: the copy is of one moment), and looked through
 * before it counts as one.
 */
public final class Backup {
    private Backup() {}

    /** Looks through the records of lessons in a file. */
    public interface Chains {
        /**
         * What is damaged, in words.
         *
         * @param key the file whose key its records are chained with; the key stands beside it
         * @throws SQLException if it cannot be read, or there is no such key
         */
        List<String> damagedIn(Connection file, Path key) throws SQLException;

        /** After the schema was brought up to date: what the schema alone cannot say of records of older versions. */
        void bringUpToDate(Connection file, Path database) throws SQLException;
    }

    /** A backup that was looked through. @param damaged lessons whose records were damaged in the school's file already */
    public record Made(Path file, long bytes, List<String> damaged) {}

    /** Something is wrong with a file that is to be a backup. */
    public static final class NotGood extends Exception {
        private static final long serialVersionUID = 1;

        public NotGood(String why) {
            super(why);
        }
    }

    /** Copies {@code from} to {@code to}; nothing is there under that name before it is whole and was looked through. */
    public static Made make(Path from, Path to, Chains chains) throws NotGood, IOException {
        if (!Files.exists(from)) {
            throw new NotGood("There is no school's file at " + from);
        }
        Path part = to.resolveSibling(to.getFileName() + ".part");
        Files.createDirectories(to.toAbsolutePath().getParent());
        Files.deleteIfExists(part);
        try {
            copy(from, part);
            List<String> damaged = check(part, from, chains);
            try (FileChannel written = FileChannel.open(part, StandardOpenOption.WRITE)) {
                written.force(true);
            }
            if (Files.exists(SchoolFile.recordKey(from))) {
                // First the key: a backup that is there can be proved.
                Files.copy(
                        SchoolFile.recordKey(from),
                        SchoolFile.recordKey(to),
                        StandardCopyOption.REPLACE_EXISTING,
                        StandardCopyOption.COPY_ATTRIBUTES);
            }
            Files.move(part, to, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
            return new Made(to, Files.size(to), damaged);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    private static void copy(Path from, Path to) throws NotGood {
        try (Connection read = DriverManager.getConnection("jdbc:sqlite:" + from)) {
            // All pages in one step: the copy is of the moment at which it begins, however much is written meanwhile.
            int result =
                    read.unwrap(SQLiteConnection.class).getDatabase().backup("main", to.toString(), null, 100, 100, -1);
            if (result != Codes.SQLITE_OK && result != Codes.SQLITE_DONE) {
                throw new NotGood("SQLite could not copy the file, code " + result);
            }
            alone(to);
        } catch (SQLException failed) {
            throw new NotGood("SQLite could not copy the file: " + failed.getMessage());
        }
    }

    /** One file without a log beside it, which somebody would forget to copy. */
    private static void alone(Path file) throws SQLException {
        try (Connection written = DriverManager.getConnection("jdbc:sqlite:" + file);
                Statement sql = written.createStatement()) {
            sql.execute("PRAGMA journal_mode=DELETE");
        }
    }

    /** @return what is damaged in it, though it is a whole file @throws NotGood if it is no whole file of a school, or too new */
    public static List<String> check(Path file, Chains chains) throws NotGood {
        return check(file, file, chains);
    }

    private static List<String> check(Path file, Path key, Chains chains) throws NotGood {
        if (!Files.isRegularFile(file)) {
            throw new NotGood("There is no file " + file);
        }
        try {
            refuseNewer("jdbc:sqlite:" + file);
        } catch (FlywayException unreadable) {
            throw new NotGood("It is no file of a school");
        }
        try (Connection read = DriverManager.getConnection("jdbc:sqlite:" + file);
                Statement sql = read.createStatement()) {
            try (ResultSet said = sql.executeQuery("PRAGMA integrity_check")) {
                if (!said.next() || !said.getString(1).equals("ok")) {
                    throw new NotGood("SQLite finds it damaged: " + said.getString(1));
                }
            }
            try (ResultSet schools = sql.executeQuery("SELECT count(*) FROM school")) {
                if (!schools.next() || schools.getInt(1) != 1) {
                    throw new NotGood("There is no school in it");
                }
            }
            return chains.damagedIn(read, key);
        } catch (SQLException failed) {
            throw new NotGood("It is no file of a school: " + failed.getMessage());
        }
    }

    private static void refuseNewer(String url) throws NotGood {
        Flyway flyway = Flyway.configure().dataSource(url, null, null).load();
        for (MigrationInfo one : flyway.info().applied()) {
            if (one.getState().isApplied() && !one.getState().isResolved()) {
                throw new NotGood("It was written by a newer version of this program");
            }
        }
    }
}
