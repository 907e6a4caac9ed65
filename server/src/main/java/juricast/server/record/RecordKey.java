package juricast.server.record;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.Optional;
import java.util.Set;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import juricast.server.data.CannotStart;
import juricast.server.data.SchoolFile;

/**
 * The school's key for its records: HMAC-SHA-256 (RFC 2104). It stands in a file beside the database, not in it, so that whoever can
 * write the database, or a copy of it, cannot make records that look true.
 */
final class RecordKey {
    private static final int BYTES = 32;
    private final SecretKeySpec key;

    RecordKey(byte[] key) {
        this.key = new SecretKeySpec(key, "HmacSHA256");
    }

    /** @throws CannotStart if it cannot be read */
    static Optional<RecordKey> of(Path database) {
        Path file = SchoolFile.recordKey(database);
        if (!Files.exists(file)) {
            return Optional.empty();
        }
        try {
            byte[] key = HexFormat.of().parseHex(Files.readString(file).strip());
            if (key.length < BYTES) {
                throw new IllegalArgumentException("it is too short");
            }
            return Optional.of(new RecordKey(key));
        } catch (IOException | IllegalArgumentException unreadable) {
            throw new CannotStart(
                    "The key of the school's records cannot be read: %s (%s)".formatted(file, unreadable.getMessage()),
                    "Put it back from where it is kept; it stands beside every backup.");
        }
    }

    /** Makes one that nobody else can read. */
    static RecordKey make(Path database) {
        Path file = SchoolFile.recordKey(database);
        byte[] key = new byte[BYTES];
        new SecureRandom().nextBytes(key);
        try {
            Set<StandardOpenOption> anew = Set.of(StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
            try (var channel =
                    Files.getFileStore(file.toAbsolutePath().getParent()).supportsFileAttributeView("posix")
                            ? Files.newByteChannel(
                                    file,
                                    anew,
                                    PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")))
                            : Files.newByteChannel(file, anew)) {
                channel.write(
                        ByteBuffer.wrap((HexFormat.of().formatHex(key) + "\n").getBytes(StandardCharsets.US_ASCII)));
            }
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
        return new RecordKey(key);
    }

    /** The code of some parts, each told apart from the next by its length. */
    byte[] code(byte[]... parts) {
        try {
            Mac mac = Mac.getInstance("HmacSHA256");
            mac.init(key);
            for (byte[] part : parts) {
                mac.update(ByteBuffer.allocate(4).putInt(part.length).array());
                mac.update(part);
            }
            return mac.doFinal();
        } catch (GeneralSecurityException impossible) {
            throw new IllegalStateException("This Java has no HMAC-SHA-256", impossible);
        }
    }
}
