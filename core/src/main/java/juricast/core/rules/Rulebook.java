package juricast.core.rules;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import juricast.core.identity.Role;

/**
 * The settings that speak for one class, lesson or person, asked in one {@link Situation} (needs A3, A4).
 *
 * <p>From the top layer to the person: a setting in force whose condition holds replaces the value, unless it is looser
 * than the floor; then it is clipped to the floor and reported as overruled. A binding setting makes the floor. A pass
 * may go beyond a floor of "on request", because that is what on request means; a curb never loosens. Within a layer,
 * what a ready-made set says comes before what was set directly, and a condition that asks for more after one that asks
 * for less. Of two conditions equally specific that hold together the stricter wins; of two settings without condition,
 * the later. So the answer does not depend on the order in which settings are stored.
 */
public final class Rulebook {
    private static final Setting[] NONE = {};
    private static final int ROLES = Role.values().length;

    private static final Comparator<Setting> RESOLUTION = Comparator.comparing(Setting::layer)
            .thenComparing(setting -> setting.bundle().isEmpty())
            .thenComparing(Setting::bundle)
            .thenComparing(setting -> setting.when().specificity())
            .thenComparing(setting -> setting.when().text())
            .thenComparing(Setting::from)
            .thenComparing(Setting::force)
            .thenComparing(setting -> setting.set().value().text())
            .thenComparing(Setting::until)
            .thenComparing(setting -> setting.by().value())
            .thenComparing(setting -> setting.at())
            .thenComparing(Setting::note);

    /** For each rule and role, the settings about it in the order of resolution. */
    private final Setting[][] cells;

    private final Situation situation;

    private Rulebook(Setting[][] cells, Situation situation) {
        this.cells = cells;
        this.situation = situation;
    }

    public static Rulebook of(Collection<Setting> settings) {
        var empty = new Setting[Catalogue.ALL.size() * ROLES][];
        Arrays.fill(empty, NONE);
        return new Rulebook(empty, Situation.ORDINARY).with(settings);
    }

    /** This rulebook with more settings, as of a lesson's live orders or a person's passes. */
    public Rulebook with(Collection<Setting> more) {
        if (more.isEmpty()) {
            return this;
        }
        Setting[][] all = cells.clone();
        for (Setting setting : more) {
            int cell = cell(setting.set().rule(), setting.role());
            if (all[cell] == cells[cell]) {
                all[cell] = Arrays.copyOf(cells[cell], cells[cell].length + 1);
            } else {
                all[cell] = Arrays.copyOf(all[cell], all[cell].length + 1);
            }
            all[cell][all[cell].length - 1] = setting;
        }
        for (int cell = 0; cell < all.length; cell++) {
            if (all[cell] != cells[cell]) {
                Arrays.sort(all[cell], RESOLUTION);
            }
        }
        return new Rulebook(all, situation);
    }

    /** The same settings, asked in another situation. */
    public Rulebook in(Situation other) {
        return other == situation ? this : new Rulebook(cells, other);
    }

    public Situation situation() {
        return situation;
    }

    public List<Setting> settings() {
        return Arrays.stream(cells).flatMap(Arrays::stream).toList();
    }

    /** All settings about a rule for a role, in the order of resolution; also those that do not count now. */
    public List<Setting> settings(Rule<?> rule, Role role) {
        return List.of(cells[cell(rule, role)]);
    }

    /** The value alone, where nobody asks why. @throws IllegalArgumentException if the rule does not speak of the role */
    public <V extends Value> V value(Rule<V> rule, Role role, Instant now) {
        return Weighing.value(rule, role, cells[cell(rule, role)], situation, now);
    }

    /** What holds and why. @throws IllegalArgumentException if the rule does not speak of the role */
    public <V extends Value> Ruling<V> ruling(Rule<V> rule, Role role, Instant now) {
        return Weighing.ruling(rule, role, cells[cell(rule, role)], situation, now);
    }

    /** All rules for a role, resolved once, for questions that come by the thousand. */
    public RuleTable table(Role role, Instant now) {
        return RuleTable.of(this, role, now);
    }

    /** The next instant after {@code now} at which the clock alone can change any answer. */
    public Instant nextEdge(Instant now) {
        Instant next = Setting.FOR_EVER;
        for (Setting[] cell : cells) {
            for (Setting setting : cell) {
                next = Edges.next(setting, situation, now, next);
            }
        }
        return next;
    }

    /**
     * The ruling that takes over from that of {@code now}, if the clock alone brings one: what the value is then, and,
     * as its {@link Change#at}, from when on.
     */
    public <V extends Value> Optional<Change<V>> changes(Rule<V> rule, Role role, Instant now) {
        Ruling<V> today = ruling(rule, role, now);
        Instant edge = today.until();
        while (edge.isBefore(Setting.FOR_EVER)) {
            Ruling<V> then = ruling(rule, role, edge);
            if (!then.value().equals(today.value())) {
                return Optional.of(new Change<>(edge, then));
            }
            edge = then.until();
        }
        return Optional.empty();
    }

    /** A ruling that begins at an instant. */
    public record Change<V extends Value>(Instant at, Ruling<V> ruling) {}

    /** Settings in force whose condition does not hold now: what would count in another situation. */
    public Stream<Setting> asleep(Rule<?> rule, Role role, Instant now) {
        return Arrays.stream(cells[cell(rule, role)])
                .filter(one -> one.isInForce(now) && !one.when().holds(situation, now));
    }

    private static int cell(Rule<?> rule, Role role) {
        return rule.index() * ROLES + role.ordinal();
    }

    /** The settings of one cell, for those who weigh many books against each other. */
    static Setting[] sorted(List<Setting> settings) {
        var sorted = new ArrayList<>(settings);
        sorted.sort(RESOLUTION);
        return sorted.toArray(NONE);
    }
}
