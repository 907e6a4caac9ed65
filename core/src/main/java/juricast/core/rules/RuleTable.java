package juricast.core.rules;

import java.time.Instant;
import juricast.core.identity.Role;

/**
 * Every rule for one role in one situation, resolved once. It is a picture of an instant: it counts until
 * {@link #until}, and must be made again when a setting or the situation changes.
 */
public final class RuleTable {
    private final Role role;
    private final Value[] values;
    private final Instant until;

    private RuleTable(Role role, Value[] values, Instant until) {
        this.role = role;
        this.values = values;
        this.until = until;
    }

    static RuleTable of(Rulebook book, Role role, Instant now) {
        var values = new Value[Catalogue.ALL.size()];
        for (Rule<?> rule : Catalogue.ALL) {
            values[rule.index()] = rule.speaksOf(role) ? book.value(rule, role, now) : null;
        }
        return new RuleTable(role, values, book.nextEdge(now));
    }

    /** This table where only the rules of some settings can have changed, as by a person's passes and curbs. */
    RuleTable with(Rulebook own, Iterable<Setting> about, Instant now) {
        Value[] changed = values.clone();
        Instant next = until;
        for (Setting setting : about) {
            Rule<?> rule = setting.set().rule();
            changed[rule.index()] = own.value(rule, role, now);
            next = Edges.next(setting, own.situation(), now, next);
        }
        return new RuleTable(role, changed, next);
    }

    /** @throws IllegalArgumentException if the rule does not speak of the table's role */
    public <V extends Value> V value(Rule<V> rule) {
        Value value = values[rule.index()];
        return value == null ? rule.usualFor(role) : rule.type().cast(value);
    }

    public Role role() {
        return role;
    }

    /** Until when the clock alone changes nothing in it. */
    public Instant until() {
        return until;
    }
}
