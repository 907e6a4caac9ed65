package juricast.core.rules;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;

/**
 * The value that a layer gives to a rule for a role.
 *
 * @param force whether lower layers may only make it stricter, or, at the person layer, whether it lends or restricts
 * @param when the condition under which it counts
 * @param by who set it
 * @param at when it was set
 * @param from when it begins to count, inclusive
 * @param until when it ends, exclusive; {@link #FOR_EVER} where no end is set
 * @param note why it was set, in its author's words; may be empty
 * @param bundle the name of the ready-made set it comes from; empty where it was set directly
 */
public record Setting(
        RuleValue set,
        Role role,
        Layer layer,
        Force force,
        Condition when,
        PersonId by,
        Instant at,
        Instant from,
        Instant until,
        String note,
        String bundle) {
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

    /** A setting that always counts, from when it is set and without an end. */
    public static Setting of(RuleValue set, Role role, Layer layer, Force force, PersonId by, Instant from) {
        return new Setting(set, role, layer, force, Condition.ALWAYS, by, from, from, FOR_EVER, "", "");
    }

    public Setting during(Condition condition) {
        return new Setting(set, role, layer, force, condition, by, at, from, until, note, bundle);
    }

    public Setting noted(String why) {
        return new Setting(set, role, layer, force, when, by, at, from, until, why, bundle);
    }

    public Setting ending(Instant end) {
        return new Setting(set, role, layer, force, when, by, at, from, end, note, bundle);
    }

    public Setting beginning(Instant begin) {
        return new Setting(set, role, layer, force, when, by, at, begin, until, note, bundle);
    }

    /** The same for people of another role. @throws IllegalArgumentException if the rule does not speak of it */
    public Setting speakingTo(Role other) {
        return other == role ? this : new Setting(set, other, layer, force, when, by, at, from, until, note, bundle);
    }

    /** The same at another layer, as part of the set of that name. */
    public Setting inBundle(String name, Layer at) {
        return new Setting(set, role, at, force, when, by, this.at, from, until, note, name);
    }

    /** What is left of it when something else takes over from {@code begin} to {@code end}: none, one or two parts. */
    public List<Setting> without(Instant begin, Instant end) {
        if (!from.isBefore(end) || !begin.isBefore(until)) {
            return List.of(this);
        }
        var left = new ArrayList<Setting>(2);
        if (from.isBefore(begin)) {
            left.add(ending(begin));
        }
        if (end.isBefore(until)) {
            left.add(beginning(end));
        }
        return left;
    }

    public boolean isInForce(Instant now) {
        return !now.isBefore(from) && now.isBefore(until);
    }

    public boolean isBinding() {
        return force == Force.BINDING;
    }
}
