package juricast.core.rules;

import java.time.Instant;
import java.util.AbstractList;
import java.util.Objects;
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
    private static final int WIDTH = 3;

    private final Rule<V> rule;
    private final ValueType<V> type;
    private V value;
    private V floor;
    private Setting floorSetting;
    private Setting last;
    private int deciding = USUAL;
    private int floorStep;
    /** What was weighed: for each step its setting, what became of it and what held then; null where nobody asks. */
    private final Object[] weighed;

    private int steps;

    /** @param most how many settings may come; -1 where nobody asks for the chain */
    private Weighing(Rule<V> rule, Role role, int most) {
        this.rule = rule;
        this.type = rule.type();
        this.value = rule.usualFor(role);
        this.weighed = most < 0 ? null : new Object[WIDTH * (most + 1)];
        note(null, Effect.DECIDES);
    }

    static <V extends Value> V value(Rule<V> rule, Role role, Setting[] settings, Situation situation, Instant now) {
        var weighing = new Weighing<>(rule, role, -1);
        for (Setting setting : settings) {
            if (setting.isInForce(now) && setting.when().holds(situation, now)) {
                weighing.weigh(setting);
            }
        }
        return weighing.value;
    }

    static <V extends Value> Ruling<V> ruling(
            Rule<V> rule, Role role, Setting[] settings, Situation situation, Instant now) {
        var weighing = new Weighing<>(rule, role, settings.length);
        Instant until = Setting.FOR_EVER;
        for (Setting setting : settings) {
            if (setting.isInForce(now)) {
                until = Edges.whileInForce(setting, situation, now, until);
                if (setting.when().holds(situation, now)) {
                    weighing.weigh(setting);
                }
            } else {
                until = Edges.next(setting, situation, now, until);
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
        if (weighed != null) {
            if (counts) {
                decides(steps);
            } else if (!then.equals(value)) {
                decides(floorStep);
            }
        }
        value = then;
        note(setting, counts ? Effect.DECIDES : within ? Effect.REPLACED : Effect.OVERRULED);
    }

    private void decides(int step) {
        weighed[WIDTH * deciding + 1] = Effect.REPLACED;
        weighed[WIDTH * step + 1] = Effect.DECIDES;
        deciding = step;
    }

    private void note(Setting setting, Effect effect) {
        if (weighed != null) {
            weighed[WIDTH * steps] = setting;
            weighed[WIDTH * steps + 1] = effect;
            weighed[WIDTH * steps + 2] = value;
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
        return new Ruling<>(
                rule,
                role,
                value,
                new Chain(weighed, steps, rule.usualFor(role)),
                Optional.ofNullable(floorSetting),
                until);
    }

    /** The steps of a ruling as they were written down; each is made when it is read, for most are never read. */
    private static final class Chain extends AbstractList<Step> {
        private final Object[] weighed;
        private final int steps;
        private final Value usual;

        Chain(Object[] weighed, int steps, Value usual) {
            this.weighed = weighed;
            this.steps = steps;
            this.usual = usual;
        }

        @Override
        public Step get(int index) {
            int at = WIDTH * Objects.checkIndex(index, steps);
            var setting = (Setting) weighed[at];
            Value wanted = setting == null ? usual : setting.set().value();
            return new Step(wanted, Optional.ofNullable(setting), (Effect) weighed[at + 1], (Value) weighed[at + 2]);
        }

        @Override
        public int size() {
            return steps;
        }
    }
}
