package juricast.core.joining;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.Base64;
import java.util.Optional;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/**
 * Makes and reads link tokens. A token is the link's number, its renewal count and an HMAC-SHA256 (RFC 2104) of both,
 * cut to 128 bits, so that it can be shown again at any time, yet is stored nowhere, and cannot be made up.
 */
public final class LinkKey {
    private static final int PROOF_BYTES = 16;
    private static final int TOKEN_BYTES = 8 + PROOF_BYTES;

    private final byte[] secret;

    /** @throws IllegalArgumentException if the secret is shorter than 32 bytes */
    public LinkKey(byte[] secret) {
        if (secret.length < 32) {
            throw new IllegalArgumentException("A link key needs 32 bytes, not " + secret.length);
        }
        this.secret = secret.clone();
    }

    /** A key of its own for another kind of link: what it makes, no other key reads. */
    public LinkKey forPurpose(String purpose) {
        return new LinkKey(hmac(purpose.getBytes(StandardCharsets.UTF_8)));
    }

    /** Which link, and which of its renewals, counted from 0. */
    public record Link(int number, int renewal) {}

    /** The text that stands in the link's address: 32 letters, digits, - and _. */
    public String token(Link link) {
        byte[] name = nameOf(link);
        byte[] proof = Arrays.copyOf(hmac(name), PROOF_BYTES);
        return Base64.getUrlEncoder()
                .withoutPadding()
                .encodeToString(
                        ByteBuffer.allocate(TOKEN_BYTES).put(name).put(proof).array());
    }

    /** The link that a token names, if this key made it. Whether it was renewed since is the caller's to compare. */
    public Optional<Link> read(String token) {
        byte[] bytes;
        try {
            bytes = Base64.getUrlDecoder().decode(token.getBytes(StandardCharsets.ISO_8859_1));
        } catch (IllegalArgumentException notBase64) {
            return Optional.empty();
        }
        if (bytes.length != TOKEN_BYTES) {
            return Optional.empty();
        }
        byte[] name = Arrays.copyOf(bytes, 8);
        byte[] proof = Arrays.copyOfRange(bytes, 8, TOKEN_BYTES);
        if (!MessageDigest.isEqual(proof, Arrays.copyOf(hmac(name), PROOF_BYTES))) {
            return Optional.empty();
        }
        ByteBuffer read = ByteBuffer.wrap(name);
        return Optional.of(new Link(read.getInt(), read.getInt()));
    }

    private static byte[] nameOf(Link link) {
        return ByteBuffer.allocate(8)
                .putInt(link.number())
                .putInt(link.renewal())
                .array();
    }

    private byte[] hmac(byte[] text) {
        try {
            Mac mac = Mac.getInstance("HmacSHA256");
            mac.init(new SecretKeySpec(secret, "HmacSHA256"));
            return mac.doFinal(text);
        } catch (GeneralSecurityException impossible) {
            throw new IllegalStateException("This Java has no HmacSHA256", impossible);
        }
    }
}
