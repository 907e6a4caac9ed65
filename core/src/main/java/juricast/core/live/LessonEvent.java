package juricast.core.live;

import java.time.Instant;
import java.util.Collection;
import java.util.stream.Stream;

/**
 * What has happened in a lesson. Stored for ever and never edited: a new shape is a new event. Each belongs to exactly one {@link
 * Part}, whose sealed family lists its kinds.
 */
public interface LessonEvent {
    /** When it happened. */
    Instant at();

    /** Those of one family in a record, in order: whoever reads a record names the parts it reads. */
    static <E extends LessonEvent> Stream<E> of(Collection<? extends LessonEvent> record, Class<E> family) {
        return record.stream().filter(family::isInstance).map(family::cast);
    }
}
