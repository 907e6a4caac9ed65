package juricast.server.evidence;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** SHA-256 as a pack uses it. */
final class Hashes {
    private static final HexFormat HEX = HexFormat.of();

    private Hashes() {}

    static String of(byte[]... all) {
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            for (byte[] one : all) {
                digest.update(one);
            }
            return HEX.formatHex(digest.digest());
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException("This Java has no SHA-256", impossible);
        }
    }

    static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    /** @throws IllegalArgumentException if these are no hexadecimal digits */
    static byte[] hex(String digits) {
        return HEX.parseHex(digits);
    }

    /** Each field is told apart from the next by its length, so that no two lines have one hash. */
    static String of(PackBody.Line line) {
        var all = new StringBuilder();
        add(all, String.valueOf(line.number()));
        add(all, line.kind());
        add(all, line.bodyHash() == null ? "" : line.bodyHash());
        add(all, line.link() == null ? "" : line.link());
        line.parts().forEach(part -> add(all, part.hash()));
        return of(bytes(all.toString()));
    }

    private static void add(StringBuilder to, String field) {
        to.append(field.length()).append(':').append(field);
    }

    static String ofPart(String salt, String text) {
        return of(hex(salt), bytes(text));
    }
}
