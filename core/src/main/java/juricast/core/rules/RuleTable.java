package juricast.core.rules;

import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
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

    /**
     * Somebody whose rights are asked for.
     *
     * @param account whether signed in with an account of the school
     * @param own passes and curbs
     */
    public record Person(Role role, boolean account, List<Setting> own) {}

    /**
     * The tables of a whole class, in the order of its people. Who has the same role and nothing of their own shares a
     * row that is resolved once, and of the others only the rules they have something of their own about are resolved
     * again; so a class costs little more than a handful of people.
     */
    public static List<RuleTable> ofClass(Rulebook book, List<Person> people, Instant now) {
        Map<Rulebook, Map<Role, RuleTable>> rows = new IdentityHashMap<>();
        Rulebook known = book.in(book.situation().with(Fact.SCHOOL_ACCOUNT, true));
        Rulebook unknown = book.in(book.situation().with(Fact.SCHOOL_ACCOUNT, false));
        var tables = new ArrayList<RuleTable>(people.size());
        for (Person person : people) {
            Rulebook shared = person.account ? known : unknown;
            RuleTable row = rows.computeIfAbsent(shared, any -> new EnumMap<>(Role.class))
                    .computeIfAbsent(person.role, role -> of(shared, role, now));
            tables.add(person.own.isEmpty() ? row : row.with(shared.with(person.own), person.own, now));
        }
        return tables;
    }

    private RuleTable with(Rulebook all, List<Setting> own, Instant now) {
        Value[] changed = values.clone();
        Instant next = until;
        for (Setting setting : own) {
            Rule<?> rule = setting.set().rule();
            changed[rule.index()] = all.value(rule, role, now);
            next = Edges.next(setting, all.situation(), now, next);
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
