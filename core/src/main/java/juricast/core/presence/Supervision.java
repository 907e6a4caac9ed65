package juricast.core.presence;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import juricast.core.lesson.LessonEvent;
import juricast.core.lesson.LessonState;
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
        LessonState state = LessonState.NEW;
        for (LessonEvent event : events) {
            Optional<Instant> since = state.aloneSince();
            state = state.after(event);
            if (state.aloneSince().isEmpty()) {
                since.filter(from -> from.isBefore(event.at()))
                        .ifPresent(from -> alone.add(new Span(from, event.at())));
            }
        }
        state.aloneSince().filter(from -> from.isBefore(now)).ifPresent(from -> alone.add(new Span(from, now)));
        return new Supervision(alone);
    }

    /** All of it together. */
    public Duration total() {
        return alone.stream()
                .map(one -> Duration.between(one.from(), one.until()))
                .reduce(Duration.ZERO, Duration::plus);
    }
}
