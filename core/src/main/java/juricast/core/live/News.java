package juricast.core.live;

import java.util.List;
import java.util.function.Predicate;

/**
 * What a part is asked about when it works out what follows by itself.
 *
 * @param events what has just happened; nothing where only the clock went on
 * @param otherRules whether the rules for everybody changed by it
 */
public record News(List<LessonEvent> events, boolean otherRules) {
    public News {
        events = List.copyOf(events);
    }

    /** Whether nobody did anything and only time went by. */
    public boolean isOnlyTheClock() {
        return events.isEmpty();
    }

    /** Whether something happened of which this is so. */
    public boolean has(Predicate<LessonEvent> what) {
        return events.stream().anyMatch(what);
    }
}
