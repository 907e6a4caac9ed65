package juricast.server.data;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Optional;

/** The files beside each other that make a school's data: the database, its log, the lock of who runs it, and what is to be restored. */
public final class SchoolFile {
    private final Path database;

    public SchoolFile(Path database) {
        this.database = database.toAbsolutePath();
    }

    public Path database() {
        return database;
    }

    /** A checked backup that waits to take the place of the database at the next start. */
    public Path toRestore() {
        return beside(".restore");
    }

    /** The key of the school's records, beside the database and beside each backup. */
    public static Path recordKey(Path database) {
        return database.resolveSibling(database.getFileName() + ".record-key");
    }

    /** The key that belongs to what is to be restored. */
    public Path keyToRestore() {
        return recordKey(toRestore());
    }

    private Path beside(String ending) {
        return database.resolveSibling(database.getFileName() + ending);
    }

    /** Taken by the one program that runs the school; it is free again when that ends, however it ends. */
    public static final class Held implements AutoCloseable {
        private final FileChannel channel;

        private Held(FileChannel channel) {
            this.channel = channel;
        }

        @Override
        public void close() {
            try {
                channel.close();
            } catch (IOException failed) {
                throw new UncheckedIOException(failed);
            }
        }
    }

    /** @return nothing if another program holds it */
    public Optional<Held> hold() {
        try {
            Files.createDirectories(database.getParent());
            FileChannel channel =
                    FileChannel.open(beside(".lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
            FileLock lock = null;
            try {
                lock = channel.tryLock();
            } catch (OverlappingFileLockException heldHere) {
                // Held by this very process: the same answer.
            }
            if (lock == null) {
                channel.close();
                return Optional.empty();
            }
            return Optional.of(new Held(channel));
        } catch (IOException failed) {
            throw new CannotStart(
                    "The folder of the school's file cannot be written: " + failed.getMessage(),
                    "Give this program the right to write in " + database.getParent());
        }
    }

    /** Puts what is to be restored in the place of the database, which is kept beside it. Only by who holds the file. */
    public void takeRestored() throws IOException {
        if (Files.exists(toRestore())) {
            Files.deleteIfExists(beside("-shm"));
            moveIfThere(database, beside(".before-restore"));
            // What is in its log belongs to it.
            Files.deleteIfExists(beside(".before-restore-wal"));
            moveIfThere(beside("-wal"), beside(".before-restore-wal"));
            Files.move(toRestore(), database, StandardCopyOption.ATOMIC_MOVE);
        }
        if (Files.exists(keyToRestore())) {
            moveIfThere(recordKey(database), recordKey(beside(".before-restore")));
            Files.move(keyToRestore(), recordKey(database), StandardCopyOption.ATOMIC_MOVE);
        }
    }

    private static void moveIfThere(Path from, Path to) throws IOException {
        if (Files.exists(from)) {
            Files.move(from, to, StandardCopyOption.REPLACE_EXISTING);
        }
    }
}
