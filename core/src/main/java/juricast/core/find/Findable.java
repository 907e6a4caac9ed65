package juricast.core.find;

import java.time.Duration;
import juricast.core.reading.About;
import juricast.core.reading.Matter;
import juricast.core.reading.Reader;

/**
 * Something that can be found by a name.
 *
 * @param name what it is called
 * @param also other words for it, which count for less
 * @param distance how far from now it is, for lessons; zero for what has no time
 * @param matter what one reads of it when one goes there
 * @param about whom it is about
 */
public record Findable(
        Kind kind, String id, String name, String also, When when, Duration distance, Matter matter, About about) {
    /** Where a lesson stands; ANY for what has no time. */
    public enum When {
        PAST,
        NOW,
        TO_COME,
        ANY
    }

    public enum Kind {
        LESSON,
        CLASS,
        PUPIL,
        ADULT,
        RULE
    }

    /** Whether somebody may know of it. */
    public boolean isFor(Reader reader) {
        return reader.mayRead(matter, about);
    }
}
