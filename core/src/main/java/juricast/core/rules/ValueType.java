package juricast.core.rules;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The values a rule can have and their order from strict to loose.
 *
 * @param <V> the values
 */
public final class ValueType<V extends Value> {
    public static final ValueType<Permission> PERMISSION =
            new ValueType<>(List.of(Permission.values()), Permission.class);
    public static final ValueType<Door> DOOR = new ValueType<>(List.of(Door.values()), Door.class);
    public static final ValueType<ReEntry> RE_ENTRY = new ValueType<>(List.of(ReEntry.values()), ReEntry.class);
    /** A switch whose strict side is yes. */
    public static final ValueType<YesNo> YES_IS_STRICT = new ValueType<>(List.of(YesNo.values()), YesNo.class);

    private final List<V> choices;
    private final Class<V> kind;
    private final int min;
    private final int max;

    private ValueType(List<V> strictToLoose, Class<V> kind) {
        this(strictToLoose, kind, 0, 0);
    }

    private ValueType(List<V> strictToLoose, Class<V> kind, int min, int max) {
        this.choices = strictToLoose;
        this.kind = kind;
        this.min = min;
        this.max = max;
    }

    /** Minutes from {@code min} to {@code max}, both included, of which fewer are stricter. */
    public static ValueType<Minutes> fewerMinutesAreStricter(int min, int max) {
        return new ValueType<>(List.of(), Minutes.class, min, max);
    }

    /** The values to choose from, strict to loose; empty for a number. */
    public List<V> choices() {
        return choices;
    }

    /** The smallest number of minutes; 0 where there are choices. */
    public int min() {
        return min;
    }

    /** The largest number of minutes; 0 where there are choices. */
    public int max() {
        return max;
    }

    /** Negative if {@code a} is stricter than {@code b}, 0 if equal, positive if looser. */
    public int compareStrictFirst(V a, V b) {
        return order().compare(a, b);
    }

    /** Whether the value is one of this type, and inside its range. */
    public boolean has(Value value) {
        return kind.isInstance(value)
                && (choices.isEmpty()
                        ? ((Minutes) value).count() >= min && ((Minutes) value).count() <= max
                        : choices.contains(value));
    }

    /** The value written as {@code text}, if it is one of this type. */
    public Optional<V> parse(String text) {
        if (!choices.isEmpty()) {
            return choices.stream().filter(value -> value.text().equals(text)).findFirst();
        }
        if (!text.matches("\\d{1,4}") || Integer.parseInt(text) > max || Integer.parseInt(text) < min) {
            return Optional.empty();
        }
        return Optional.of(kind.cast(new Minutes(Integer.parseInt(text))));
    }

    /** A value known to be of this type. @throws ClassCastException if it is not */
    public V cast(Value value) {
        return kind.cast(value);
    }

    private Comparator<V> order() {
        return choices.isEmpty()
                ? Comparator.comparingInt(value -> ((Minutes) value).count())
                : Comparator.comparingInt(choices::indexOf);
    }
}
