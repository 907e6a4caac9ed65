package juricast.core.watching;

import java.time.Duration;
import java.util.List;
import java.util.stream.Stream;

/**
 * What somebody has watched of a recording: the union of what the player told. What is watched twice counts once, and what is
 * skipped does not count (need I6).
 *
 * @param pieces in order, without overlaps, within the recording
 */
public record Watched(List<Piece> pieces) {
    public static final Watched NOTHING = new Watched(List.of());

    /** The fastest that a player plays. */
    public static final int FASTEST = 2;

    /** How much more than the time that went by a report may tell: clocks, and a line that was slow. */
    private static final Duration SLACK = Duration.ofSeconds(5);

    public Watched {
        pieces = Piece.united(pieces);
    }

    /** With another report, of which only what is within the recording counts. @param length of the recording */
    public Watched and(List<Piece> told, Duration length) {
        return new Watched(Stream.concat(
                        pieces.stream(),
                        told.stream()
                                .flatMap(one -> Piece.between(
                                        one.from(), one.until().compareTo(length) > 0 ? length : one.until())
                                        .stream()))
                .toList());
    }

    /** How much was watched, without what was watched again. */
    public Duration length() {
        return pieces.stream().map(Piece::length).reduce(Duration.ZERO, Duration::plus);
    }

    /** The share of a recording that was watched, from 0 to 1; 0 of a recording of no length. */
    public double share(Duration whole) {
        return whole.isZero() ? 0 : Math.min(1, (double) length().toMillis() / whole.toMillis());
    }

    /** Whether so much can have been played since the last report, or since the recording was opened. */
    public static boolean isPossible(List<Piece> told, Duration wentBy) {
        Duration all = told.stream().map(Piece::length).reduce(Duration.ZERO, Duration::plus);
        return all.compareTo(wentBy.multipliedBy(FASTEST).plus(SLACK)) <= 0;
    }
}
