package juricast.core.rules;

import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/** Some of the kinds a rule knows, or none; fewer are stricter. Which there are stands at the rule. */
public record Kinds(List<String> names) implements Value {
    /** How "none of them" is written. */
    static final String NONE = "none";

    /** Sorted and each once, so that equal sets are equal. */
    public Kinds {
        names = List.copyOf(new TreeSet<>(names));
    }

    static Kinds of(String... names) {
        return new Kinds(List.of(names));
    }

    /** Those that are also in {@code others}. */
    Kinds and(Kinds others) {
        return new Kinds(names.stream().filter(others.names::contains).toList());
    }

    boolean isPartOf(Collection<String> others) {
        return Set.copyOf(others).containsAll(names);
    }

    @Override
    public String text() {
        return names.isEmpty() ? NONE : String.join("+", names);
    }
}
