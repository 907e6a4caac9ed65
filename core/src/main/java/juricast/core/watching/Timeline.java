package juricast.core.watching;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.time.Span;

/**
 * The one time line of a recording: its segments put end to end. What lay between them is not in it.
 *
 * @param segments in order, without overlaps
 */
public record Timeline(List<Span> segments) {
    public Timeline {
        segments = List.copyOf(segments);
    }

    public Duration length() {
        return segments.stream().map(Span::length).reduce(Duration.ZERO, Duration::plus);
    }

    /** Where in the recording an instant is; nothing if it was not recorded. The end of a segment is not in it. */
    public Optional<Duration> at(Instant instant) {
        Duration before = Duration.ZERO;
        for (Span segment : segments) {
            if (instant.isBefore(segment.from())) {
                return Optional.empty();
            }
            if (instant.isBefore(segment.until())) {
                return Optional.of(before.plus(Duration.between(segment.from(), instant)));
            }
            before = before.plus(segment.length());
        }
        return Optional.empty();
    }

    /** Where in the recording one is at the first recorded instant that is not before this one; its end if there is none. */
    public Duration from(Instant instant) {
        Duration before = Duration.ZERO;
        for (Span segment : segments) {
            if (instant.isBefore(segment.until())) {
                return instant.isBefore(segment.from())
                        ? before
                        : before.plus(Duration.between(segment.from(), instant));
            }
            before = before.plus(segment.length());
        }
        return before;
    }

    /** What of a stretch of time was recorded, as pieces of the recording; pieces that meet are one. */
    public List<Piece> pieces(Span time) {
        return Piece.united(segments.stream()
                .flatMap(segment -> segment.within(time).stream())
                .map(part -> new Piece(from(part.from()), from(part.from()).plus(part.length())))
                .toList());
    }
}
