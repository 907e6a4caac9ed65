package juricast.core.help;

import java.time.Instant;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;

/** What happens with a help hour. */
public sealed interface HelpEvent extends LessonEvent {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R begun(Begun event);
    }

    /**
     * From now on it is a help hour.
     *
     * @param until when it is meant to end; it ends when the adult ends it or goes
     * @param stayed whether a lesson went over into it: the lesson is over then
     */
    record Begun(Instant until, boolean stayed, PersonId by, Instant at) implements HelpEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.begun(this);
        }
    }
}
