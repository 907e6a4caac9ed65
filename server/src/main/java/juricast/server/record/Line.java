package juricast.server.record;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.Optional;
import juricast.core.identity.LessonId;
import org.jspecify.annotations.Nullable;

/** One event as it stands on the disk. @param body nothing once it was erased, and so its salt */
record Line(int number, String kind, @Nullable String body, byte @Nullable [] salt, byte[] bodyHash, byte[] hash) {
    static final String COLUMNS = "number, kind, body, salt, body_hash, hash";

    static Line of(ResultSet row) throws SQLException {
        return new Line(
                row.getInt("number"),
                row.getString("kind"),
                row.getString("body"),
                row.getBytes("salt"),
                row.getBytes("body_hash"),
                row.getBytes("hash"));
    }

    Optional<String> said() {
        return Optional.ofNullable(body);
    }

    /** Whether it follows the hash before it, and its body, if it is still there, is what was written. */
    boolean follows(Chain chain, LessonId lesson, int before, byte[] hashBefore) {
        return number == before + 1
                && (body == null || salt != null && Arrays.equals(bodyHash, Chain.bodyHash(salt, body)))
                && Arrays.equals(hash, chain.next(hashBefore, lesson, number, kind, bodyHash));
    }
}
