package juricast.core.consent;

import java.time.Instant;
import juricast.core.identity.PersonId;
import juricast.core.rules.Setting;

/**
 * One word about whether a person may be recorded. It is never changed; a later word takes its place from its own beginning on.
 *
 * @param paper on which paper or form it stands, in the school's words; may be empty
 * @param from when it begins to count, inclusive
 * @param until when it ends, exclusive; {@link Setting#FOR_EVER} where no end was said
 * @param at when it was noted
 */
public record Consent(PersonId person, Said said, Giver giver, String paper, Instant from, Instant until, Instant at) {
    /** What was said. */
    public enum Said {
        GIVEN,
        REFUSED,
        /** Given once, and taken back. */
        WITHDRAWN
    }

    /** Who said it. */
    public enum Giver {
        PARENT,
        PUPIL,
        SCHOOL,
        VISITOR
    }

    /** @throws IllegalArgumentException if it does not end after it begins */
    public Consent {
        if (!from.isBefore(until)) {
            throw new IllegalArgumentException("A consent must end after it begins: %s to %s".formatted(from, until));
        }
    }
}
