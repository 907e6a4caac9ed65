package juricast.server.data;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** The folder of the daily backups. What lies there under such a name was whole when it was written. */
public final class BackupFolder {
    private static final String BEGINS = "juricast-";
    private static final String ENDS = ".db";
    private static final DateTimeFormatter NAME =
            DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HHmmss'Z'").withZone(ZoneOffset.UTC);

    private BackupFolder() {}

    /** @param told the folder, or empty for the one beside the file */
    public static Path of(Path database, String told) {
        return told.isBlank()
                ? database.resolveSibling("backups")
                : Path.of(told).toAbsolutePath();
    }

    public static Path file(Path folder, Instant at) {
        return folder.resolve(BEGINS + NAME.format(at) + ENDS);
    }

    /** One daily backup. @param at the moment it is of */
    public record Kept(Path file, Instant at, long bytes) {}

    /** Newest first. */
    public static List<Kept> in(Path folder) {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(one -> one.getFileName().toString().matches(BEGINS + "[0-9TZ-]+\\" + ENDS))
                    .map(BackupFolder::kept)
                    .sorted(Comparator.comparing(Kept::at).reversed())
                    .toList();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private static Kept kept(Path file) {
        String name = file.getFileName().toString();
        try {
            return new Kept(
                    file,
                    Instant.from(NAME.parse(name.substring(BEGINS.length(), name.length() - ENDS.length()))),
                    Files.size(file));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
