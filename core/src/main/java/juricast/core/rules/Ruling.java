package juricast.core.rules;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.Role;

/**
 * What holds for a role at an instant, and why (need A6).
 *
 * @param chain what was weighed, from the usual value down to the most specific setting
 * @param floor the strictest binding setting in force, if any
 * @param until when the answer can change by itself: the next end or beginning of a setting, or {@link
 *     Setting#FOR_EVER}
 */
public record Ruling<V extends Value>(
        Rule<V> rule, Role role, V value, List<Step> chain, Optional<Setting> floor, Instant until) {
    public Ruling {
        chain = List.copyOf(chain);
    }

    /** One link of the chain. The usual value has no setting. */
    public record Step(Value value, Optional<Setting> setting, Effect effect) {}

    /** What became of a value on the way. */
    public enum Effect {
        /** It is the answer. */
        DECIDES,
        /** A more specific setting replaced it. */
        REPLACED,
        /** It was looser than a binding setting allows, so it does not count. */
        OVERRULED
    }

    /** Whether a right needs no adult's yes. */
    public boolean isOpen() {
        return value == Permission.OPEN;
    }

    /** Whether not even a pass can give this right. */
    public boolean isBoundClosed() {
        return floor.isPresent() && floor.get().set().value() == Permission.CLOSED;
    }
}
