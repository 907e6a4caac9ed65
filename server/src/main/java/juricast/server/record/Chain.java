package juricast.server.record;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import juricast.core.identity.LessonId;

/**
 * What makes a record one that can be checked. Each event's hash is the school's code over the hash before it, the lesson, the
 * number, the kind and the hash of the body; the hash of a body is SHA-256 over a salt and the body. So a body and its salt can be
 * erased, nobody can guess from what is left what it said, and still no event can be taken out, put in, altered or moved, and
 * nobody without the key can work the hashes out anew. The anchor is a code over the last number and its hash, so a tail that is cut
 * off shows; the total is one over how many records and events there are, so a record that is taken out whole shows. What does not
 * show is a file put back whole, with its anchors, as it was before: whoever can do that has restored a backup.
 */
final class Chain {
    private static final byte[] EVENT = text("event");
    private static final byte[] ANCHOR = text("anchor");
    private static final byte[] TOTAL = text("total");
    private static final int SALT = 16;
    private static final SecureRandom RANDOM = new SecureRandom();

    private final RecordKey key;

    Chain(RecordKey key) {
        this.key = key;
    }

    /** Stands before the first event of a lesson. */
    byte[] beginning() {
        return new byte[0];
    }

    static byte[] salt() {
        byte[] salt = new byte[SALT];
        RANDOM.nextBytes(salt);
        return salt;
    }

    static byte[] bodyHash(byte[] salt, String body) {
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            digest.update(salt);
            return digest.digest(text(body));
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException("This Java has no SHA-256", impossible);
        }
    }

    byte[] next(byte[] before, LessonId lesson, int number, String kind, byte[] bodyHash) {
        return key.code(EVENT, before, text(lesson.value()), number(number), text(kind), bodyHash);
    }

    byte[] anchor(LessonId lesson, int number, byte[] hash) {
        return key.code(ANCHOR, text(lesson.value()), number(number), hash);
    }

    byte[] total(long lessons, long events) {
        return key.code(TOTAL, number(lessons), number(events));
    }

    private static byte[] number(long number) {
        return ByteBuffer.allocate(Long.BYTES).putLong(number).array();
    }

    private static byte[] text(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }
}
