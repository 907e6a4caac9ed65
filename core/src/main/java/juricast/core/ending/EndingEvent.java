package juricast.core.ending;

import java.time.Instant;
import juricast.core.live.LessonEvent;

/** What was done by itself when the lesson had ended. */
public sealed interface EndingEvent extends LessonEvent {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R closed(Closed event);
    }

    /** One closing step after the dismissal (need K2). @param count how many of what it is about there were */
    record Closed(ClosingStep step, int count, Instant at) implements EndingEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.closed(this);
        }
    }
}
