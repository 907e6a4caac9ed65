package juricast.core.live;

import java.time.Instant;
import java.util.List;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rules.Condition;
import juricast.core.rules.Layer;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting;
import juricast.core.rules.Setting.Force;

/**
 * A named bundle of settings for one phase of a lesson, switched by one action. What it said when it was switched is kept
 * with the lesson, so that a later change of the ready-made set does not change what has been.
 *
 * @param id the ready-made set
 */
public record Stance(String id, String name, List<Part> parts) {
    public Stance {
        parts = List.copyOf(parts);
    }

    /** One value for one role. */
    public record Part(RuleValue set, Role role, Condition when) {}

    public boolean speaksOf(Rule<?> rule) {
        return parts.stream().anyMatch(part -> part.set().rule().equals(rule));
    }

    public List<Setting> settings(PersonId by, Instant from) {
        return parts.stream()
                .map(part -> Setting.of(part.set, part.role, Layer.STANCE, Force.USUAL, by, from)
                        .during(part.when)
                        .inBundle(name, Layer.STANCE))
                .toList();
    }
}
