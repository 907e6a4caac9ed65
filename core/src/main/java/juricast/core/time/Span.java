package juricast.core.time;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** A stretch of time, {@code from} inclusive, {@code until} exclusive, never empty. */
public record Span(Instant from, Instant until) {
    /** @throws IllegalArgumentException if it does not end after it begins */
    public Span {
        if (!from.isBefore(until)) {
            throw new IllegalArgumentException("A span must end after it begins: %s to %s".formatted(from, until));
        }
    }

    /** The span between two instants, or nothing if it would be empty. */
    public static Optional<Span> between(Instant from, Instant until) {
        return from.isBefore(until) ? Optional.of(new Span(from, until)) : Optional.empty();
    }

    public Duration length() {
        return Duration.between(from, until);
    }

    /** What both have in common. */
    public Optional<Span> within(Span window) {
        return between(later(from, window.from), until.isBefore(window.until) ? until : window.until);
    }

    /**
     * The same time as the given spans, in order and without overlaps; gaps of up to {@code grace}, both ends counted,
     * are closed. Sorts once and sweeps once: O(n log n).
     */
    public static List<Span> united(List<Span> spans, Duration grace) {
        var result = new ArrayList<Span>();
        for (Span next : spans.stream().sorted(Comparator.comparing(Span::from)).toList()) {
            int last = result.size() - 1;
            if (last >= 0 && !next.from.isAfter(result.get(last).until.plus(grace))) {
                Span before = result.get(last);
                result.set(last, new Span(before.from, later(before.until, next.until)));
            } else {
                result.add(next);
            }
        }
        return List.copyOf(result);
    }

    private static Instant later(Instant a, Instant b) {
        return a.isAfter(b) ? a : b;
    }
}
