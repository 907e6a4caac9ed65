package juricast.core.rules;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.Role;
import juricast.core.rules.Ruling.Effect;
import juricast.core.rules.Ruling.Step;
import juricast.core.rules.Setting.Force;

/**
 * One question being answered: settings are weighed from the top layer to the person, each against what holds so far and
 * against the floor. One scale for the answer with its chain and for the answer alone, so that they cannot differ.
 */
final class Weighing<V extends Value> {
    private static final int USUAL = 0;

    private final Rule<V> rule;
    private final ValueType<V> type;
    private V value;
    private V floor;
    private Setting floorSetting;
    private Setting last;
    private int deciding = USUAL;
    private int floorStep;
    private final Step[] chain;
    private int steps;

    /** @param steps how many settings may come; 0 where nobody asks for the chain */
    private Weighing(Rule<V> rule, Role role, int steps) {
        this.rule = rule;
        this.type = rule.type();
        this.value = rule.usualFor(role);
        this.chain = steps == 0 ? null : new Step[steps + 1];
        note(value, null, Effect.DECIDES);
    }

    static <V extends Value> V value(Rule<V> rule, Role role, Setting[] settings, Situation situation, Instant now) {
        var weighing = new Weighing<>(rule, role, 0);
        for (Setting setting : settings) {
            if (setting.isInForce(now) && setting.when().holds(situation, now)) {
                weighing.weigh(setting);
            }
        }
        return weighing.value;
    }

    static <V extends Value> Ruling<V> ruling(
            Rule<V> rule, Role role, Setting[] settings, Situation situation, Instant now) {
        var weighing = new Weighing<>(rule, role, Math.max(1, settings.length));
        Instant until = Setting.FOR_EVER;
        for (Setting setting : settings) {
            until = Edges.next(setting, situation, now, until);
            if (setting.isInForce(now) && setting.when().holds(situation, now)) {
                weighing.weigh(setting);
            }
        }
        return weighing.ruling(role, until);
    }

    private void weigh(Setting setting) {
        V wanted = type.cast(setting.set().value());
        switch (setting.force()) {
            case PASS -> lend(setting, wanted);
            case CURB -> take(setting, wanted, type.clip(wanted, value), true);
            case USUAL, BINDING -> set(setting, wanted);
        }
        last = setting;
    }

    /** A pass goes beyond a floor of "on request", because that is what on request means; never beyond "closed". */
    private void lend(Setting setting, V wanted) {
        boolean lent = floor == null || floor != Permission.CLOSED;
        take(setting, wanted, lent ? wanted : value, lent);
    }

    private void set(Setting setting, V wanted) {
        boolean within = floor == null || type.isWithin(wanted, floor);
        V clipped = within ? wanted : type.clip(wanted, floor);
        // Two conditions that hold together, or two settings of one moment: the stricter wins, whichever is stored
        // first.
        boolean beside = last != null && isBeside(last, setting);
        take(setting, wanted, beside ? type.clip(value, clipped) : clipped, within);
        if (setting.isBinding() && !clipped.equals(floor)) {
            floor = clipped;
            floorSetting = setting;
            floorStep = steps - 1;
        }
    }

    private void take(Setting setting, V wanted, V then, boolean within) {
        boolean counts = within && (then.equals(wanted) || !then.equals(value));
        if (chain != null) {
            if (counts) {
                decides(steps);
            } else if (!then.equals(value)) {
                decides(floorStep);
            }
        }
        value = then;
        note(wanted, setting, counts ? Effect.DECIDES : within ? Effect.REPLACED : Effect.OVERRULED);
    }

    private void decides(int step) {
        if (deciding != step) {
            mark(deciding, Effect.REPLACED);
            if (step < steps) {
                mark(step, Effect.DECIDES);
            }
            deciding = step;
        }
    }

    private void mark(int step, Effect effect) {
        Step before = chain[step];
        chain[step] = new Step(before.value(), before.setting(), effect, before.then());
    }

    private void note(V wanted, Setting setting, Effect effect) {
        if (chain != null) {
            chain[steps] = new Step(wanted, Optional.ofNullable(setting), effect, value);
        }
        steps++;
    }

    static boolean isBeside(Setting before, Setting setting) {
        return before.layer() == setting.layer()
                && before.force() != Force.PASS
                && before.force() != Force.CURB
                && before.bundle().equals(setting.bundle())
                && before.when().specificity() == setting.when().specificity()
                && (!setting.when().isAlways() || before.from().equals(setting.from()));
    }

    private Ruling<V> ruling(Role role, Instant until) {
        Step[] all = steps == chain.length ? chain : Arrays.copyOf(chain, steps);
        return new Ruling<>(rule, role, value, List.of(all), Optional.ofNullable(floorSetting), until);
    }
}
