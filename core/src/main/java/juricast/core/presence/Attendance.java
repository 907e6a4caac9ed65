package juricast.core.presence;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
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
    public Attendance {
        stays = Span.united(stays, Duration.ZERO);
        waits = Span.united(waits, Duration.ZERO);
    }

    public static Attendance none(PersonId person) {
        return new Attendance(person, List.of(), List.of(), Optional.empty());
    }

    /** The same with further stays, such as another service has written down. */
    public Attendance with(List<Span> more) {
        Optional<Instant> came =
                Stream.concat(cameAt.stream(), more.stream().map(Span::from)).min(Instant::compareTo);
        return new Attendance(
                person, Stream.concat(stays.stream(), more.stream()).toList(), waits, came);
    }

    public Optional<Instant> firstIn() {
        return stays.stream().map(Span::from).findFirst();
    }

    public Optional<Instant> lastOut() {
        return stays.isEmpty()
                ? Optional.empty()
                : Optional.of(stays.get(stays.size() - 1).until());
    }

    /** Time in the room within {@code window}. @param grace drops up to this long count as presence */
    public Duration timeWithin(Span window, Duration grace) {
        return within(window, stays, grace);
    }

    /** The same with the time at the door, which is not the person's fault. */
    public Duration timeThereWithin(Span window, Duration grace) {
        return within(window, there(), grace);
    }

    /** When somebody was last in the room or at its door. */
    public Optional<Instant> lastThere() {
        return there().stream().map(Span::until).max(Instant::compareTo);
    }

    private List<Span> there() {
        return Stream.concat(stays.stream(), waits.stream()).toList();
    }

    private static Duration within(Span window, List<Span> spans, Duration grace) {
        return sum(Span.united(spans, grace).stream()
                .flatMap(stay -> stay.within(window).stream())
                .toList());
    }

    /** How often the person was away for longer than the grace and came back. */
    public int drops(Duration grace) {
        return Math.max(0, Span.united(stays, grace).size() - 1);
    }

    public Duration waited() {
        return sum(waits);
    }

    /** The longest time away between two stays, zero if there was none longer than the grace. */
    public Duration longestGap(Duration grace) {
        List<Span> bridged = Span.united(stays, grace);
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
