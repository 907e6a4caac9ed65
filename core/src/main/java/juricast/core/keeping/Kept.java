package juricast.core.keeping;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;

/**
 * How one lesson that is over kept to its plan.
 *
 * @param length from its opening to its end
 * @param alone in which pupils were without an adult
 */
public record Kept(
        LessonId lesson, ClassId ofClass, Instant at, Duration length, Duration alone, List<Departure> departures) {
    public Kept {
        departures = List.copyOf(departures);
    }
}
