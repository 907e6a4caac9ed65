package juricast.core.register;

import java.time.Instant;
import juricast.core.identity.PersonId;

/**
 * What an adult wrote beside a computed mark, which stays as it was (need L4).
 *
 * @param code the school's code that was chosen for it; empty for the usual one
 * @param reason never empty
 */
public record Correction(
        PersonId person, Mark mark, String code, int lateMinutes, String reason, PersonId by, Instant at) {
    /** Characters of a reason. */
    public static final int REASON_LIMIT = 300;

    /** @throws IllegalArgumentException if the reason is empty or too long, or minutes and mark do not agree */
    public Correction {
        if (reason.isBlank() || reason.length() > REASON_LIMIT) {
            throw new IllegalArgumentException("A reason of 1 to %d characters is needed".formatted(REASON_LIMIT));
        }
        if (lateMinutes < 0 || lateMinutes > 600 || (mark == Mark.LATE) != (lateMinutes > 0)) {
            throw new IllegalArgumentException("Late, and only late, has minutes: 1 to 600");
        }
    }
}
