package juricast.server.data;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.HexFormat;

/** Makes ids and secrets that cannot be guessed. */
public final class Ids {
    private static final SecureRandom RANDOM = new SecureRandom();

    private Ids() {}

    /** 128 random bits, as text that fits into addresses and cookies. */
    public static String next() {
        byte[] bytes = new byte[16];
        RANDOM.nextBytes(bytes);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }

    /** SHA-256 as hex. */
    public static String hash(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException("This Java has no SHA-256", impossible);
        }
    }

    /** SHA-256 as hex: what is kept of a secret, so that the file gives none away. */
    public static String hash(String text) {
        return hash(text.getBytes(StandardCharsets.UTF_8));
    }
}
