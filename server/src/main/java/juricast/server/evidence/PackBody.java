package juricast.server.evidence;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** An evidence pack as it is written; docs/evidence-pack.md says what each field means. */
public final class PackBody {
    public static final String FORMAT = "juricast evidence pack 1";
    public static final String MANIFEST = "pack.json";
    public static final String SIGNATURE = "pack.sig";

    private PackBody() {}

    /**
     * What is signed.
     *
     * @param key the school's public key, in Base64
     * @param made when, as ISO 8601
     * @param covered for whom the others' names are covered; empty where nothing is
     */
    public record Manifest(
            String format,
            String school,
            String key,
            int incident,
            String title,
            String made,
            String by,
            String covered,
            List<ListedDocument> documents,
            List<ListedFile> files) {}

    /** @param about what it is, for people @param before as in the document @param lines the hash of each line, in order */
    public record ListedDocument(
            String name, String about, @Nullable String of, @Nullable String before, List<String> lines) {}

    /** @param shown whether it is in the pack; else it is covered */
    public record ListedFile(String name, String about, String sha256, boolean shown) {}

    /**
     * A document whose parts can be covered one by one.
     *
     * @param of the record it is from, as the school's chain knows it; nothing for text
     * @param before the link of the record before its first event
     */
    public record Document(String name, String about, @Nullable String of, @Nullable String before, List<Line> lines) {}

    /**
     * One line.
     *
     * @param number of the event; of lines without, their place from 1
     * @param kind of the event, or "text"
     * @param bodyHash SHA-256 over the record's salt and body; nothing for text
     * @param link of the record's chain, by which the school proves it; nothing for text
     * @param parts the record's salt first, where it is an event; then the body
     */
    public record Line(int number, String kind, @Nullable String bodyHash, @Nullable String link, List<Part> parts) {}

    /** @param hash SHA-256 over salt and text @param salt nothing where it is covered, and so its text */
    public record Part(String hash, @Nullable String salt, @Nullable String text) {}
}
