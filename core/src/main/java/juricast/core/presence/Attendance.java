package juricast.core.presence;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import juricast.core.identity.PersonId;
import juricast.core.time.Span;

/**
 * One person's time in a lesson, over all devices.
 *
 * @param stays unbroken times in the room, in order, short drops not yet bridged
 * @param waits times at the door that ended inside or still last, in order
 * @param cameAt when the first visit that got in began, that is its knock; the wait that follows is not lateness
 */
public record Attendance(PersonId person, List<Span> stays, List<Span> waits, Optional<Instant> cameAt) {
    /** Drops up to this long count as presence: a link that comes back at once was no absence. */
    public static final Duration GRACE = Duration.ofSeconds(90);

    public Attendance {
        stays = Span.united(stays, Duration.ZERO);
        waits = Span.united(waits, Duration.ZERO);
    }

    public static Attendance none(PersonId person) {
        return new Attendance(person, List.of(), List.of(), Optional.empty());
    }

    public Optional<Instant> firstIn() {
        return stays.stream().map(Span::from).findFirst();
    }

    public Optional<Instant> lastOut() {
        return stays.isEmpty()
                ? Optional.empty()
                : Optional.of(stays.get(stays.size() - 1).until());
    }

    /** Time in the room within {@code window}, drops of up to {@link #GRACE} bridged. */
    public Duration timeWithin(Span window) {
        return sum(Span.united(stays, GRACE).stream()
                .flatMap(stay -> stay.within(window).stream())
                .toList());
    }

    public Duration waited() {
        return sum(waits);
    }

    /** The longest time away between two stays, zero if there was none longer than {@link #GRACE}. */
    public Duration longestGap() {
        List<Span> bridged = Span.united(stays, GRACE);
        return IntStream.range(1, bridged.size())
                .mapToObj(i -> Duration.between(
                        bridged.get(i - 1).until(), bridged.get(i).from()))
                .max(Duration::compareTo)
                .orElse(Duration.ZERO);
    }

    private static Duration sum(List<Span> spans) {
        return spans.stream().map(Span::length).reduce(Duration.ZERO, Duration::plus);
    }
}
