package juricast.core.presence;

import static juricast.core.door.DoorPart.DOOR;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import juricast.core.door.DoorEvent;
import juricast.core.lesson.Parts;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonState;
import juricast.core.time.Span;

/**
 * Unsupervised time: when pupils were in a room without an adult, counted from events (need E5).
 *
 * @param alone the stretches, oldest first; one that lasts ends at the moment asked for
 */
public record Supervision(List<Span> alone) {
    public Supervision {
        alone = List.copyOf(alone);
    }

    /** What the events say as of {@code now}. */
    public static Supervision of(List<LessonEvent> events, Instant now) {
        var alone = new ArrayList<Span>();
        LessonState state = Parts.NEW;
        for (DoorEvent event : LessonEvent.of(events, DoorEvent.class).toList()) {
            Optional<Instant> since = state.of(DOOR).aloneSince();
            state = state.after(event);
            if (state.of(DOOR).aloneSince().isEmpty()) {
                since.filter(from -> from.isBefore(event.at()))
                        .ifPresent(from -> alone.add(new Span(from, event.at())));
            }
        }
        state.of(DOOR)
                .aloneSince()
                .filter(from -> from.isBefore(now))
                .ifPresent(from -> alone.add(new Span(from, now)));
        return new Supervision(alone);
    }

    /** All of it together. */
    public Duration total() {
        return alone.stream()
                .map(one -> Duration.between(one.from(), one.until()))
                .reduce(Duration.ZERO, Duration::plus);
    }
}
