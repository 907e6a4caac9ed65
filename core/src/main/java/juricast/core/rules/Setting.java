package juricast.core.rules;

import java.time.Instant;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;

/**
 * The value that a layer gives to a rule for a role.
 *
 * @param force whether lower layers may only make it stricter, or, at the person layer, whether it lends or restricts
 * @param from when it begins to count, inclusive
 * @param until when it ends, exclusive; {@link #FOR_EVER} where no end is set
 */
public record Setting(RuleValue set, Role role, Layer layer, Force force, PersonId by, Instant from, Instant until) {
    public static final Instant FOR_EVER = Instant.parse("9999-12-31T00:00:00Z");

    /** How a setting weighs against those below it. */
    public enum Force {
        /** More specific layers may replace it. */
        USUAL,
        /** More specific layers may only be stricter. */
        BINDING,
        /** A right lent to one person; may go beyond a floor of "on request", never beyond "closed". */
        PASS,
        /** A restriction on one person; never loosens. */
        CURB
    }

    /** @throws IllegalArgumentException if the rule does not speak of the role, or pass and curb are not personal */
    public Setting {
        set.rule().usualFor(role);
        if ((layer == Layer.PERSON) != (force == Force.PASS || force == Force.CURB)) {
            throw new IllegalArgumentException("Passes and curbs, and only they, are settings of one person");
        }
        if (!from.isBefore(until)) {
            throw new IllegalArgumentException("A setting must end after it begins: %s to %s".formatted(from, until));
        }
    }

    public boolean isInForce(Instant now) {
        return !now.isBefore(from) && now.isBefore(until);
    }

    public boolean isBinding() {
        return force == Force.BINDING;
    }

    /** The same setting, ended at {@code end}. */
    public Setting endedAt(Instant end) {
        return new Setting(set, role, layer, force, by, from, end);
    }
}
