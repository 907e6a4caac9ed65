package juricast.server.people;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.security.InvalidKeyException;
import java.security.SecureRandom;
import java.time.Instant;
import java.util.OptionalLong;
import java.util.stream.LongStream;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * Codes that change with time, from a secret that the school and a telephone share (RFC 6238: HMAC-SHA-1, six digits, steps of
 * thirty seconds, which is what all programs for them know).
 */
final class SecondFactor {
    private static final TimeBasedOneTimePasswordGenerator CODES = new TimeBasedOneTimePasswordGenerator();
    /** A telephone's clock may be off by so many steps either way (RFC 6238, 5.2). */
    private static final int STEPS_OFF = 1;

    private SecondFactor() {}

    /** 160 random bits, as RFC 4226 recommends. */
    static byte[] newSecret() {
        byte[] secret = new byte[20];
        new SecureRandom().nextBytes(secret);
        return secret;
    }

    /** The secret as somebody can type it. */
    static String text(byte[] secret) {
        return new Base32().encodeToString(secret);
    }

    /** What a telephone reads from a picture. */
    static String uri(byte[] secret, String school, String signIn) {
        return UriComponentsBuilder.newInstance()
                .scheme("otpauth")
                .host("totp")
                .path("/{label}")
                .queryParam("secret", text(secret))
                .queryParam("issuer", "{school}")
                .build()
                .expand(school + ":" + signIn, school)
                .encode()
                .toUriString();
    }

    /** The step of time whose code this is, if it comes after the last one used: no code counts twice. */
    static OptionalLong step(byte[] secret, String code, Instant now, long lastUsed) {
        long current = now.getEpochSecond() / CODES.getTimeStep().getSeconds();
        return LongStream.rangeClosed(current - STEPS_OFF, current + STEPS_OFF)
                .filter(step -> step > lastUsed && code(secret, step).equals(code))
                .findFirst();
    }

    static String code(byte[] secret, long step) {
        try {
            return CODES.generateOneTimePasswordString(
                    new SecretKeySpec(secret, CODES.getAlgorithm()),
                    Instant.EPOCH.plus(CODES.getTimeStep().multipliedBy(step)));
        } catch (InvalidKeyException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
