package juricast.core.rules;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;
import java.util.function.ToIntFunction;

/**
 * The values a rule can have, and what strictness means among them. Two questions are enough for resolving: is a value
 * within a bound, and what is left of a value that is not.
 *
 * @param <V> the values
 */
public abstract class ValueType<V extends Value> {
    public static final ValueType<Permission> PERMISSION =
            new OneOf<>(List.of(Permission.values()), true, Permission.class);
    public static final ValueType<Door> DOOR = new OneOf<>(List.of(Door.values()), true, Door.class);
    public static final ValueType<ReEntry> RE_ENTRY = new OneOf<>(List.of(ReEntry.values()), true, ReEntry.class);
    /** A switch whose strict side is yes. */
    public static final ValueType<YesNo> YES_IS_STRICT = new OneOf<>(List.of(YesNo.values()), true, YesNo.class);
    /** What there is to choose from, and how it is entered. */
    public enum Form {
        CHOICE,
        NUMBER,
        KINDS
    }

    /** What a number counts. */
    public enum Unit {
        NONE,
        MINUTES,
        DAYS,
        PEOPLE,
        MESSAGES,
        BITS,
        LETTERS,
        PERCENT,
        STEPS
    }

    private final Class<V> kind;

    private ValueType(Class<V> kind) {
        this.kind = kind;
    }

    /** Named possibilities, from strict to loose. */
    static ValueType<Choice> strictToLoose(String... names) {
        return new OneOf<>(Arrays.stream(names).map(Choice::new).toList(), true, Choice.class);
    }

    /** Named possibilities of which none is stricter than another: a binding one fixes the rule. */
    static ValueType<Choice> withoutOrder(String... names) {
        return new OneOf<>(Arrays.stream(names).map(Choice::new).toList(), false, Choice.class);
    }

    /** Minutes from {@code min} to {@code max}, both included, of which fewer are stricter. */
    static ValueType<Minutes> fewerMinutesAreStricter(int min, int max) {
        return new Range<>(Minutes.class, Minutes::new, Minutes::count, min, max, true, Unit.MINUTES);
    }

    /** Minutes from {@code min} to {@code max}, both included, of which more are stricter. */
    static ValueType<Minutes> moreMinutesAreStricter(int min, int max) {
        return new Range<>(Minutes.class, Minutes::new, Minutes::count, min, max, false, Unit.MINUTES);
    }

    /** A number from {@code min} to {@code max}, both included, of which fewer are stricter. */
    static ValueType<Count> fewerAreStricter(int min, int max, Unit unit) {
        return new Range<>(Count.class, Count::new, Count::number, min, max, true, unit);
    }

    /** A number from {@code min} to {@code max}, both included, of which more are stricter. */
    static ValueType<Count> moreAreStricter(int min, int max, Unit unit) {
        return new Range<>(Count.class, Count::new, Count::number, min, max, false, unit);
    }

    /** Any of these kinds, of which fewer are stricter. */
    static ValueType<Kinds> anyOf(String... names) {
        return new Some(Kinds.of(names));
    }

    public abstract Form form();

    /** The values to choose from, strict to loose where there is an order; for kinds, each alone; empty for a number. */
    public abstract List<V> choices();

    /** Whether one value can be stricter than another. */
    public boolean isOrdered() {
        return true;
    }

    /** The smallest number; 0 where there are choices. */
    public int min() {
        return 0;
    }

    /** The largest number; 0 where there are choices. */
    public int max() {
        return 0;
    }

    public Unit unit() {
        return Unit.NONE;
    }

    /** Whether the value is one of this type, and inside its range. */
    public abstract boolean has(Value value);

    /** The value written as {@code text}, if it is one of this type. */
    public abstract Optional<V> parse(String text);

    /** Whether {@code value} is the bound or stricter. */
    public abstract boolean isWithin(V value, V bound);

    /** What a bound leaves of a value: the value itself if it is within the bound, else something that is. */
    public V clip(V value, V bound) {
        return isWithin(value, bound) ? value : bound;
    }

    /** A value known to be of this type. @throws ClassCastException if it is not */
    public V cast(Value value) {
        return kind.cast(value);
    }

    private static final class OneOf<V extends Value> extends ValueType<V> {
        private final List<V> choices;
        private final boolean ordered;

        OneOf(List<V> choices, boolean ordered, Class<V> kind) {
            super(kind);
            this.choices = choices;
            this.ordered = ordered;
        }

        @Override
        public Form form() {
            return Form.CHOICE;
        }

        @Override
        public List<V> choices() {
            return choices;
        }

        @Override
        public boolean isOrdered() {
            return ordered;
        }

        @Override
        public boolean has(Value value) {
            return choices.contains(value);
        }

        @Override
        public Optional<V> parse(String text) {
            return choices.stream().filter(value -> value.text().equals(text)).findFirst();
        }

        @Override
        public boolean isWithin(V value, V bound) {
            return value.equals(bound) || ordered && isStricter(value, bound);
        }

        /** Whether the one stands before the other: found in one walk, for this is asked for every setting of a question. */
        private boolean isStricter(V value, V bound) {
            for (V choice : choices) {
                if (choice.equals(bound)) {
                    return false;
                }
                if (choice.equals(value)) {
                    return true;
                }
            }
            return false;
        }
    }

    private static final class Range<V extends Value> extends ValueType<V> {
        private final IntFunction<V> make;
        private final ToIntFunction<V> number;
        private final int min;
        private final int max;
        private final boolean fewerAreStricter;
        private final Unit unit;

        Range(
                Class<V> kind,
                IntFunction<V> make,
                ToIntFunction<V> number,
                int min,
                int max,
                boolean fewerAreStricter,
                Unit unit) {
            super(kind);
            this.make = make;
            this.number = number;
            this.min = min;
            this.max = max;
            this.fewerAreStricter = fewerAreStricter;
            this.unit = unit;
        }

        @Override
        public Form form() {
            return Form.NUMBER;
        }

        @Override
        public List<V> choices() {
            return List.of();
        }

        @Override
        public int min() {
            return min;
        }

        @Override
        public int max() {
            return max;
        }

        @Override
        public Unit unit() {
            return unit;
        }

        @Override
        public boolean has(Value value) {
            return value.getClass() == make.apply(min).getClass() && isInside(number.applyAsInt(cast(value)));
        }

        @Override
        public Optional<V> parse(String text) {
            // The length is checked first: a number too long for an int is outside every range anyway.
            boolean fits = text.matches("0|[1-9]\\d{0,5}") && isInside(Integer.parseInt(text));
            return fits ? Optional.of(make.apply(Integer.parseInt(text))) : Optional.empty();
        }

        @Override
        public boolean isWithin(V value, V bound) {
            int a = number.applyAsInt(value);
            int b = number.applyAsInt(bound);
            return fewerAreStricter ? a <= b : a >= b;
        }

        private boolean isInside(int wanted) {
            return wanted >= min && wanted <= max;
        }
    }

    private static final class Some extends ValueType<Kinds> {
        private final Kinds all;

        Some(Kinds all) {
            super(Kinds.class);
            this.all = all;
        }

        @Override
        public Form form() {
            return Form.KINDS;
        }

        @Override
        public List<Kinds> choices() {
            return all.names().stream().map(Kinds::of).toList();
        }

        @Override
        public boolean has(Value value) {
            return value instanceof Kinds kinds && kinds.isPartOf(all.names());
        }

        @Override
        public Optional<Kinds> parse(String text) {
            Kinds found = text.equals(Kinds.NONE) ? Kinds.of() : Kinds.of(text.split("\\+"));
            return has(found) && found.text().equals(text) ? Optional.of(found) : Optional.empty();
        }

        @Override
        public boolean isWithin(Kinds value, Kinds bound) {
            return value.isPartOf(bound.names());
        }

        @Override
        public Kinds clip(Kinds value, Kinds bound) {
            return value.and(bound);
        }
    }
}
