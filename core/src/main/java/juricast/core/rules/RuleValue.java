package juricast.core.rules;

import java.util.Optional;

/** A rule together with a value that is in its range; written {@code chat.class=closed}. */
public record RuleValue(Rule<?> rule, Value value) {
    /** @throws IllegalArgumentException if the value is not one of the rule's */
    public RuleValue {
        if (!rule.type().has(value)) {
            throw new IllegalArgumentException("%s cannot be %s".formatted(rule, value.text()));
        }
    }

    public String text() {
        return rule.key() + "=" + value.text();
    }

    /** The rule and value of these two texts, or nothing if there is no such rule or it has no such value. */
    public static Optional<RuleValue> of(String key, String value) {
        return Catalogue.byKey(key).flatMap(rule -> rule.type().parse(value).map(found -> new RuleValue(rule, found)));
    }

    /** Reads what {@link #text} wrote. @throws IllegalArgumentException if it is not that */
    public static RuleValue parse(String text) {
        int equals = text.indexOf('=');
        return (equals < 0 ? Optional.<RuleValue>empty() : of(text.substring(0, equals), text.substring(equals + 1)))
                .orElseThrow(() -> new IllegalArgumentException("Not a rule with a value: " + text));
    }
}
