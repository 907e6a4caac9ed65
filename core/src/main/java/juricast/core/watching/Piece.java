package juricast.core.watching;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** A piece of a recording, from its beginning counted, {@code from} inclusive, {@code until} exclusive, never empty. */
public record Piece(Duration from, Duration until) {
    /** @throws IllegalArgumentException if it is empty or begins before the recording does */
    public Piece {
        if (from.isNegative() || from.compareTo(until) >= 0) {
            throw new IllegalArgumentException("A piece must end after it begins: %s to %s".formatted(from, until));
        }
    }

    /** The piece between two places, or nothing if it would be empty. */
    public static Optional<Piece> between(Duration from, Duration until) {
        return from.compareTo(until) < 0 ? Optional.of(new Piece(from, until)) : Optional.empty();
    }

    public Duration length() {
        return until.minus(from);
    }

    public boolean has(Duration place) {
        return from.compareTo(place) <= 0 && place.compareTo(until) < 0;
    }

    /** The same pieces in order, without overlaps; what meets is one. Sorts once and sweeps once. */
    public static List<Piece> united(List<Piece> pieces) {
        var result = new ArrayList<Piece>();
        for (Piece next :
                pieces.stream().sorted(Comparator.comparing(Piece::from)).toList()) {
            int last = result.size() - 1;
            if (last >= 0 && next.from.compareTo(result.get(last).until) <= 0) {
                Piece before = result.get(last);
                result.set(
                        last,
                        new Piece(before.from, before.until.compareTo(next.until) > 0 ? before.until : next.until));
            } else {
                result.add(next);
            }
        }
        return List.copyOf(result);
    }
}
