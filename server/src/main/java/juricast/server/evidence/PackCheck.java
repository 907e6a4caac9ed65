package juricast.server.evidence;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.Signature;
import java.security.spec.X509EncodedKeySpec;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * Checks an evidence pack with nothing but the pack: whether all that the school signed is in it, as it was signed, in its order, and
 * nothing else. Whose key it was signed with is told; that it is the school's own is for whoever knows the school's key to say.
 */
public final class PackCheck {
    private static final JsonMapper JSON = JsonMapper.builder()
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    private PackCheck() {}

    /**
     * What was found.
     *
     * @param wrong what is missing, altered, out of its order or too much, each in words; empty if nothing is
     * @param manifest nothing where it cannot be read
     * @param coveredParts how many parts are covered
     */
    public record Checked(
            Optional<PackBody.Manifest> manifest,
            List<String> wrong,
            int coveredParts,
            List<PackBody.Document> documents) {
        public boolean isWhole() {
            return wrong.isEmpty();
        }

        /** The key it was signed with, short enough to be read aloud. */
        public String fingerprint() {
            return manifest.map(one -> PackCheck.fingerprint(one.key())).orElse("");
        }
    }

    /** Sixteen digits of the hash of a key, in fours. @param key in Base64 */
    public static String fingerprint(String key) {
        String hash = Hashes.of(key.getBytes(StandardCharsets.UTF_8));
        return "%s %s %s %s"
                .formatted(hash.substring(0, 4), hash.substring(4, 8), hash.substring(8, 12), hash.substring(12, 16));
    }

    public static Checked check(byte[] file) {
        Map<String, byte[]> entries;
        try {
            entries = CanonicalZip.read(file);
        } catch (CanonicalZip.NotAPack no) {
            return new Checked(
                    Optional.empty(),
                    List.of("This is no pack as a school writes it: " + no.getMessage()),
                    0,
                    List.of());
        }
        byte[] signed = entries.get(PackBody.MANIFEST);
        byte[] signature = entries.get(PackBody.SIGNATURE);
        if (signed == null || signature == null) {
            return new Checked(
                    Optional.empty(),
                    List.of("%s is missing".formatted(signed == null ? PackBody.MANIFEST : PackBody.SIGNATURE)),
                    0,
                    List.of());
        }
        PackBody.Manifest manifest;
        try {
            manifest = JSON.readValue(signed, PackBody.Manifest.class);
        } catch (JacksonException unreadable) {
            return new Checked(
                    Optional.empty(), List.of(PackBody.MANIFEST + " cannot be read: it was altered"), 0, List.of());
        }
        var wrong = new ArrayList<String>();
        if (!manifest.format().equals(PackBody.FORMAT)) {
            wrong.add("It is of another format: " + manifest.format());
        }
        if (!isSigned(manifest.key(), signed, signature)) {
            wrong.add("The signature is not that of the key in it: %s or %s was altered"
                    .formatted(PackBody.MANIFEST, PackBody.SIGNATURE));
        }
        return contents(manifest, entries, wrong);
    }

    private static boolean isSigned(String key, byte[] signed, byte[] signature) {
        try {
            Signature check = Signature.getInstance("Ed25519");
            check.initVerify(KeyFactory.getInstance("Ed25519")
                    .generatePublic(new X509EncodedKeySpec(Base64.getDecoder().decode(key))));
            check.update(signed);
            String text = new String(signature, StandardCharsets.US_ASCII);
            byte[] bytes = Base64.getDecoder().decode(text);
            // One signature is written in one way only.
            return Base64.getEncoder().encodeToString(bytes).equals(text) && check.verify(bytes);
        } catch (GeneralSecurityException | IllegalArgumentException no) {
            return false;
        }
    }

    private static Checked contents(PackBody.Manifest manifest, Map<String, byte[]> entries, List<String> wrong) {
        Set<String> known = new HashSet<>(Set.of(PackBody.MANIFEST, PackBody.SIGNATURE));
        var documents = new ArrayList<PackBody.Document>();
        int covered = 0;
        for (PackBody.ListedDocument listed : manifest.documents()) {
            known.add(listed.name());
            byte[] bytes = entries.get(listed.name());
            if (bytes == null) {
                wrong.add("%s is missing (%s)".formatted(listed.name(), listed.about()));
                continue;
            }
            try {
                PackBody.Document document = JSON.readValue(bytes, PackBody.Document.class);
                covered += lines(listed, document, wrong);
                documents.add(document);
                if (!Arrays.equals(bytes, JSON.writeValueAsBytes(document))) {
                    wrong.add("%s was altered".formatted(listed.name()));
                }
            } catch (JacksonException | IllegalArgumentException unreadable) {
                wrong.add("%s cannot be read: it was altered".formatted(listed.name()));
            }
        }
        for (PackBody.ListedFile listed : manifest.files()) {
            known.add(listed.name());
            byte[] bytes = entries.get(listed.name());
            if (bytes == null && listed.shown()) {
                wrong.add("%s is missing (%s)".formatted(listed.name(), listed.about()));
            } else if (bytes != null && !Hashes.of(bytes).equals(listed.sha256())) {
                wrong.add("%s was altered (%s)".formatted(listed.name(), listed.about()));
            }
        }
        entries.keySet().stream()
                .filter(name -> !known.contains(name))
                .forEach(name -> wrong.add("%s was added; the school never signed it".formatted(name)));
        return new Checked(Optional.of(manifest), List.copyOf(wrong), covered, List.copyOf(documents));
    }

    /** @return how many parts are covered */
    private static int lines(PackBody.ListedDocument listed, PackBody.Document document, List<String> wrong) {
        String name = listed.name();
        if (!document.name().equals(name)
                || !document.about().equals(listed.about())
                || !Objects.equals(document.before(), listed.before())
                || !Objects.equals(document.of(), listed.of())) {
            wrong.add("%s says that it is another document".formatted(name));
        }
        List<String> hashes = document.lines().stream().map(Hashes::of).toList();
        if (!hashes.equals(listed.lines())) {
            differs(listed, document, hashes, wrong);
        }
        int covered = 0;
        for (PackBody.Line line : document.lines()) {
            for (PackBody.Part part : line.parts()) {
                if (part.text() == null || part.salt() == null) {
                    covered++;
                    if (part.text() != null || part.salt() != null) {
                        wrong.add("%s, event %d: a part is covered by halves".formatted(name, line.number()));
                    }
                } else if (!Hashes.ofPart(part.salt(), part.text()).equals(part.hash())) {
                    wrong.add("%s, event %d: its words were altered".formatted(name, line.number()));
                }
            }
            if (line.bodyHash() != null && isOpen(line) && !bodyHash(line).equals(line.bodyHash())) {
                wrong.add("%s, event %d: its words are not those of the record".formatted(name, line.number()));
            }
        }
        return covered;
    }

    /** Which lines are missing, altered, doubled or moved. */
    private static void differs(
            PackBody.ListedDocument listed, PackBody.Document document, List<String> hashes, List<String> wrong) {
        String name = listed.name();
        var seen = new HashSet<String>();
        for (int i = 0; i < hashes.size(); i++) {
            if (!seen.add(hashes.get(i))) {
                wrong.add("%s, event %d: it stands there twice"
                        .formatted(name, document.lines().get(i).number()));
            } else if (!listed.lines().contains(hashes.get(i))) {
                wrong.add("%s, event %d: it was altered or put in"
                        .formatted(name, document.lines().get(i).number()));
            }
        }
        long missing =
                listed.lines().stream().filter(one -> !hashes.contains(one)).count();
        if (missing > 0) {
            wrong.add("%s: %d of %d lines are missing or were altered"
                    .formatted(name, missing, listed.lines().size()));
        }
        if (new HashSet<>(hashes).equals(new HashSet<>(listed.lines()))
                && hashes.size() == listed.lines().size()) {
            wrong.add("%s: its lines are not in their order".formatted(name));
        }
    }

    private static boolean isOpen(PackBody.Line line) {
        return line.parts().stream().allMatch(part -> part.text() != null && part.salt() != null)
                && !line.parts().isEmpty();
    }

    private static String bodyHash(PackBody.Line line) {
        String salt = String.valueOf(line.parts().get(0).text());
        String body = line.parts().stream().skip(1).map(PackBody.Part::text).collect(Collectors.joining());
        try {
            return Hashes.of(Hashes.hex(salt), Hashes.bytes(body));
        } catch (IllegalArgumentException noDigits) {
            return "";
        }
    }
}
