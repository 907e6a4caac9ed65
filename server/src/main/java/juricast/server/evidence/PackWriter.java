package juricast.server.evidence;

import java.security.SecureRandom;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Collection;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import juricast.server.record.Excerpt;
import juricast.server.record.SchoolSignature;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.json.JsonMapper;

/** Writes one pack: documents whose parts can be covered, files, and at last what is signed. */
public final class PackWriter {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final SecureRandom RANDOM = new SecureRandom();
    private static final int SALT = 16;

    private final Map<String, byte[]> entries = new LinkedHashMap<>();
    private final List<PackBody.ListedDocument> documents = new ArrayList<>();
    private final List<PackBody.ListedFile> files = new ArrayList<>();
    private final @Nullable Pattern covered;

    /** @param covered names and ids that are covered wherever they stand; none for a pack in which everything is shown */
    public PackWriter(Collection<String> covered) {
        String any = covered.stream()
                .filter(one -> !one.isBlank())
                .distinct()
                .sorted(Comparator.comparingInt(String::length).reversed())
                .map(Pattern::quote)
                .collect(Collectors.joining("|"));
        this.covered = any.isEmpty()
                ? null
                : Pattern.compile(
                        "(?<![\\p{L}\\p{M}\\p{N}])(?:" + any + ")(?![\\p{L}\\p{M}\\p{N}])",
                        Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);
    }

    /** Events of a record with what proves them. @param alsoHides whether an event's whole body is covered */
    public void record(String name, String about, Excerpt excerpt, java.util.function.IntPredicate alsoHides) {
        documents(new PackBody.Document(
                name,
                about,
                excerpt.lesson().value(),
                excerpt.before(),
                excerpt.events().stream()
                        .map(one -> line(one, alsoHides.test(one.number())))
                        .toList()));
    }

    private PackBody.Line line(Excerpt.Proven one, boolean hidden) {
        var parts = new ArrayList<PackBody.Part>();
        if (one.body() != null && one.salt() != null) {
            List<PackBody.Part> body = hidden ? List.of(part(one.body(), true)) : parts(one.body());
            boolean isCovered = body.stream().anyMatch(part -> part.text() == null);
            // With the salt of the record whoever guesses at a covered name could prove the guess.
            parts.add(part(one.salt(), isCovered));
            parts.addAll(body);
        }
        return new PackBody.Line(one.number(), one.kind(), one.bodyHash(), one.hash(), parts);
    }

    /** Lines of text. */
    public void text(String name, String about, List<String> lines) {
        var all = new ArrayList<PackBody.Line>();
        for (String line : lines) {
            all.add(new PackBody.Line(all.size() + 1, "text", null, null, parts(line)));
        }
        documents(new PackBody.Document(name, about, null, null, all));
    }

    private void documents(PackBody.Document document) {
        entries.put(document.name(), JSON.writeValueAsBytes(document));
        documents.add(new PackBody.ListedDocument(
                document.name(),
                document.about(),
                document.of(),
                document.before(),
                document.lines().stream().map(Hashes::of).toList()));
    }

    private List<PackBody.Part> parts(String text) {
        if (covered == null) {
            return List.of(part(text, false));
        }
        var parts = new ArrayList<PackBody.Part>();
        Matcher found = covered.matcher(text);
        int end = 0;
        while (found.find()) {
            if (found.start() > end) {
                parts.add(part(text.substring(end, found.start()), false));
            }
            parts.add(part(found.group(), true));
            end = found.end();
        }
        if (end < text.length() || parts.isEmpty()) {
            parts.add(part(text.substring(end), false));
        }
        return parts;
    }

    private static PackBody.Part part(String text, boolean covered) {
        byte[] bytes = new byte[SALT];
        RANDOM.nextBytes(bytes);
        String salt = HexFormat.of().formatHex(bytes);
        String hash = Hashes.ofPart(salt, text);
        return covered ? new PackBody.Part(hash, null, null) : new PackBody.Part(hash, salt, text);
    }

    /** What stands for what is covered, in something that people read. */
    public UnaryOperator<String> covering() {
        return text -> covered == null ? text : covered.matcher(text).replaceAll("■■■");
    }

    /** A file. @param shown whether it is in the pack; else only that there is one is told, by its hash */
    public void file(String name, String about, byte[] bytes, boolean shown) {
        if (shown) {
            entries.put(name, bytes);
        }
        files.add(new PackBody.ListedFile(name, about, Hashes.of(bytes), shown));
    }

    /** Signs all of it. */
    public byte[] signed(
            SchoolSignature signature,
            String school,
            int incident,
            String title,
            String made,
            String by,
            String coveredFor) {
        byte[] manifest = JSON.writeValueAsBytes(new PackBody.Manifest(
                PackBody.FORMAT,
                school,
                Base64.getEncoder().encodeToString(signature.publicKey()),
                incident,
                covering().apply(title),
                made,
                by,
                coveredFor,
                documents,
                files));
        var all = new LinkedHashMap<>(entries);
        all.put(PackBody.MANIFEST, manifest);
        all.put(PackBody.SIGNATURE, Hashes.bytes(Base64.getEncoder().encodeToString(signature.sign(manifest))));
        return CanonicalZip.write(all);
    }
}
