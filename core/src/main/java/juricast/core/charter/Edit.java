package juricast.core.charter;

import java.time.Instant;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rules.Condition;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting;
import juricast.core.rules.Setting.Force;
import juricast.core.rules.Value;

/**
 * One change of the rules: what a place is to say about a rule for a role under a condition.
 *
 * @param value what it is to be; nothing takes back what the place says, so that the layers above count again
 * @param until when the change ends, exclusive; what was said before then counts again
 */
public record Edit(
        Place place,
        Rule<?> rule,
        Role role,
        Condition when,
        Optional<Value> value,
        boolean binding,
        String note,
        Instant until) {
    /** @throws IllegalArgumentException if the rule does not speak of the role, or the value is none of the rule's */
    public Edit {
        rule.usualFor(role);
        value.ifPresent(wanted -> new RuleValue(rule, wanted));
    }

    /** The setting it makes, counting from an instant. */
    public Optional<Setting> setting(PersonId by, Instant at, Instant from) {
        return value.map(wanted -> new Setting(
                new RuleValue(rule, wanted),
                role,
                place.kind().layer(),
                binding ? Force.BINDING : Force.USUAL,
                when,
                by,
                at,
                from,
                until,
                note,
                ""));
    }

    /** Whether a setting of the same place says something about the same. */
    public boolean isAbout(Setting setting) {
        return setting.set().rule() == rule
                && setting.role() == role
                && setting.when().equals(when);
    }
}
