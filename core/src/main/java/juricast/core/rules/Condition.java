package juricast.core.rules;

import java.time.Instant;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.time.Span;

/**
 * When a setting counts: all its circumstances must hold together (need A4). For "either, or" a rule is set twice. Sorted
 * and each once, so that equal conditions are equal.
 */
public record Condition(List<Circumstance> all) {
    public static final Condition ALWAYS = new Condition(List.of());
    /** How many circumstances one condition may combine. */
    public static final int MOST = 5;

    private static final String AND = " & ";

    /** @throws IllegalArgumentException if there are more than {@link #MOST} */
    public Condition {
        all = all.stream()
                .distinct()
                .sorted(Comparator.comparing(Circumstance::text))
                .toList();
        if (all.size() > MOST) {
            throw new IllegalArgumentException("A condition combines at most %d circumstances".formatted(MOST));
        }
    }

    public static Condition of(Circumstance... all) {
        return new Condition(List.of(all));
    }

    /** While a fact is so. */
    public static Condition during(Fact fact) {
        return of(new Circumstance.Is(fact, true));
    }

    public boolean isAlways() {
        return all.isEmpty();
    }

    /** How many circumstances it asks for: of two settings of one layer, the one that asks for more is more specific. */
    public int specificity() {
        return all.size();
    }

    public boolean holds(Situation situation, Instant now) {
        // By index: this is asked for every setting of every question, and an iterator each time would show.
        for (int n = 0; n < all.size(); n++) {
            if (!all.get(n).holds(situation, now)) {
                return false;
            }
        }
        return true;
    }

    /** The instants at which the clock alone can make it hold or cease to. */
    public Stream<Instant> edges(Span lesson) {
        return all.stream().flatMap(one -> one.edges(lesson));
    }

    /** In files and on the wire; empty for always. */
    public String text() {
        return all.stream().map(Circumstance::text).collect(Collectors.joining(AND));
    }

    /** The condition written as {@code text}, or nothing if it cannot be read. */
    public static Optional<Condition> parse(String text) {
        if (text.isBlank()) {
            return Optional.of(ALWAYS);
        }
        List<Optional<Circumstance>> found = Arrays.stream(text.split(AND, MOST + 1))
                .map(Circumstance::parse)
                .toList();
        return found.size() > MOST || found.stream().anyMatch(Optional::isEmpty)
                ? Optional.empty()
                : Optional.of(new Condition(found.stream().map(Optional::get).toList()));
    }
}
