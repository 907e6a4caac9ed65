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
 * @param until until when nothing that the clock alone does can change the answer, or {@link Setting#FOR_EVER}; see
 *     {@link Rulebook#changes} for the instant at which it does change
 */
public record Ruling<V extends Value>(
        Rule<V> rule, Role role, V value, List<Step> chain, Optional<Setting> floor, Instant until) {

    /**
     * One link of the chain. The usual value has no setting.
     *
     * @param value what this link asks for
     * @param then what holds after it; less than asked for where it was overruled
     */
    public record Step(Value value, Optional<Setting> setting, Effect effect, Value then) {}

    /** What became of a value on the way. */
    public enum Effect {
        /** It is the answer. */
        DECIDES,
        /** A more specific or stricter setting replaced it. */
        REPLACED,
        /** It was looser than a binding setting allows, so it counts only as far as that allows. */
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

    /** The link that gives the answer. */
    public Step decider() {
        return chain.stream()
                .filter(step -> step.effect() == Effect.DECIDES)
                .findFirst()
                .orElseThrow();
    }

    /** Whether a layer below the school's binding settings may ask for this value and get it. */
    public boolean allows(Value wanted) {
        return floor.isEmpty()
                || rule.type()
                        .isWithin(
                                rule.type().cast(wanted),
                                rule.type().cast(floor.get().set().value()));
    }
}
