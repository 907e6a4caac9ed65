package juricast.server.data;

import java.util.Locale;
import org.springframework.stereotype.Component;

/** Why the school's file cannot be written, in words for who gives an order, not for who wrote the program. */
@Component
public class Causes {
    private final DiskSpace disk;

    Causes(DiskSpace disk) {
        this.disk = disk;
    }

    public String of(Throwable failed) {
        for (Throwable cause = failed; cause != null; cause = cause.getCause()) {
            String said = String.valueOf(cause.getMessage()).toUpperCase(Locale.ROOT);
            if (said.contains("SQLITE_FULL") || said.contains("NO SPACE LEFT")) {
                return "The disk of the school's computer is full.";
            }
            if (said.contains("SQLITE_READONLY")) {
                return "The school's file may only be read, not written.";
            }
            if (said.contains("SQLITE_IOERR") || said.contains("SQLITE_CANTOPEN")) {
                return disk.isFull()
                        ? "The disk of the school's computer is full."
                        : "The disk of the school's computer reports an error.";
            }
            if (said.contains("SQLITE_CORRUPT") || said.contains("SQLITE_NOTADB")) {
                return "The school's file is damaged.";
            }
            if (said.contains("SQLITE_BUSY") || said.contains("SQLITE_LOCKED")) {
                return "Another program holds the school's file.";
            }
            if (cause instanceof OutOfMemoryError) {
                return "The program is short of memory.";
            }
        }
        return disk.isFull()
                ? "The disk of the school's computer is full."
                : "The school's file did not answer in time.";
    }
}
