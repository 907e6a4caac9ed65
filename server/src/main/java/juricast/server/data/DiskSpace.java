package juricast.server.data;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** How much room there is where the school's file lies. */
@Component
public class DiskSpace {
    /** Less than this is a worry: some days of a large school, so that there is time to do something. */
    private final long worrying;

    private final Path file;

    DiskSpace(@Value("${juricast.data}") String file, @Value("${juricast.disk-worry-megabytes}") long worryMegabytes) {
        this.file = Path.of(file).toAbsolutePath();
        this.worrying = worryMegabytes * 1_000_000;
    }

    /** Bytes that can still be written. */
    public long free() {
        try {
            return Files.getFileStore(file.getParent()).getUsableSpace();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** Before it is full. */
    public boolean isNearlyFull() {
        return free() < worrying;
    }

    boolean isFull() {
        return free() < 1_000_000;
    }
}
