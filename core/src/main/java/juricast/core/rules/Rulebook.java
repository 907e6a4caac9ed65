package juricast.core.rules;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import juricast.core.identity.Role;
import juricast.core.rules.Ruling.Effect;
import juricast.core.rules.Ruling.Step;
import juricast.core.rules.Setting.Force;

/**
 * The settings that speak for one class, lesson or person, and what follows from them (need A3).
 *
 * <p>From the top layer to the person: a setting replaces the value, unless it is looser than the floor; then it is
 * overruled. A binding setting lowers the floor to its value. A pass may go beyond a floor of "on request", because
 * that is what on request means; a curb never loosens. Within one layer the later setting wins, so the answer does not
 * depend on the order in which settings are stored.
 */
public final class Rulebook {
    /**
     * A total order, so that equal sets give equal answers: by layer, then by when it began. Of two that began together
     * the stricter comes last and wins.
     */
    private static final Comparator<Setting> RESOLUTION = Comparator.comparing(Setting::layer)
            .thenComparing(Setting::from)
            .thenComparing(setting -> setting.set().rule().key())
            .thenComparing(Rulebook::looseFirst)
            .thenComparing(Setting::force)
            .thenComparing(Setting::until)
            .thenComparing(setting -> setting.by().value());

    private final List<Setting> settings;

    private Rulebook(List<Setting> sorted) {
        this.settings = sorted;
    }

    public static Rulebook of(List<Setting> settings) {
        return new Rulebook(settings.stream().sorted(RESOLUTION).toList());
    }

    /** This rulebook with more settings, as of a lesson's live orders or a person's passes. */
    public Rulebook with(List<Setting> more) {
        return more.isEmpty()
                ? this
                : of(Stream.concat(settings.stream(), more.stream()).toList());
    }

    public List<Setting> settings() {
        return settings;
    }

    /** The value alone, where nobody asks why. */
    public <V extends Value> V value(Rule<V> rule, Role role, Instant now) {
        return ruling(rule, role, now).value();
    }

    /** What holds and why. @throws IllegalArgumentException if the rule does not speak of the role */
    public <V extends Value> Ruling<V> ruling(Rule<V> rule, Role role, Instant now) {
        V value = rule.usualFor(role);
        Optional<Setting> floor = Optional.empty();
        Instant until = Setting.FOR_EVER;
        var chain = new ArrayList<Step>();
        chain.add(new Step(value, Optional.empty(), Effect.DECIDES));
        int deciding = 0;
        for (Setting setting : settings) {
            if (setting.role() != role || !setting.set().rule().equals(rule)) {
                continue;
            }
            until = earlierChange(setting, now, until);
            if (!setting.isInForce(now)) {
                continue;
            }
            V wanted = rule.type().cast(setting.set().value());
            if (counts(setting, rule, wanted, value, floor)) {
                chain.set(deciding, replaced(chain.get(deciding)));
                deciding = chain.size();
                chain.add(new Step(wanted, Optional.of(setting), Effect.DECIDES));
                value = wanted;
                floor = setting.isBinding() ? Optional.of(setting) : floor;
            } else {
                chain.add(new Step(wanted, Optional.of(setting), Effect.OVERRULED));
            }
        }
        return new Ruling<>(rule, role, value, chain, floor, until);
    }

    private static <V extends Value> boolean counts(
            Setting setting, Rule<V> rule, V wanted, V value, Optional<Setting> floor) {
        ValueType<V> type = rule.type();
        if (setting.force() == Force.CURB) {
            return type.compareStrictFirst(wanted, value) <= 0;
        }
        if (floor.isEmpty()) {
            return true;
        }
        V bound = type.cast(floor.get().set().value());
        if (setting.force() == Force.PASS) {
            return bound != Permission.CLOSED;
        }
        return type.compareStrictFirst(wanted, bound) <= 0;
    }

    private static Step replaced(Step step) {
        return new Step(step.value(), step.setting(), Effect.REPLACED);
    }

    private static Instant earlierChange(Setting setting, Instant now, Instant soonest) {
        Instant change = now.isBefore(setting.from()) ? setting.from() : setting.until();
        return change.isAfter(now) && change.isBefore(soonest) ? change : soonest;
    }

    private static int looseFirst(Setting a, Setting b) {
        return a.set().rule().equals(b.set().rule()) ? looseFirst(a.set().rule(), a, b) : 0;
    }

    private static <V extends Value> int looseFirst(Rule<V> rule, Setting a, Setting b) {
        return rule.type()
                .compareStrictFirst(
                        rule.type().cast(b.set().value()),
                        rule.type().cast(a.set().value()));
    }
}
