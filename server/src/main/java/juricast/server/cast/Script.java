package juricast.server.cast;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/** Reads the scripts of the cast and the other files of the demo: CSV with a heading; lines that begin with # are remarks. */
public final class Script {
    private static final CSVFormat FORMAT = CSVFormat.DEFAULT
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setCommentMarker('#')
            .setIgnoreEmptyLines(true)
            .get();

    private Script() {}

    /** A file that somebody of the cast sends. */
    public static byte[] bytes(String name) {
        try (InputStream file = Script.class.getResourceAsStream("/demo/" + name)) {
            if (file == null) {
                throw missing(name);
            }
            return file.readAllBytes();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    public static List<CSVRecord> read(String name) {
        return find(name).orElseThrow(() -> missing(name));
    }

    private static IllegalStateException missing(String name) {
        return new IllegalStateException("The demo has no file " + name);
    }

    public static Optional<List<CSVRecord>> find(String name) {
        try (InputStream file = Script.class.getResourceAsStream("/demo/" + name)) {
            return file == null
                    ? Optional.empty()
                    : Optional.of(FORMAT.parse(new InputStreamReader(file, StandardCharsets.UTF_8))
                            .getRecords());
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
