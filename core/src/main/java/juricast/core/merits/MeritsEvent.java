package juricast.core.merits;

import java.time.Instant;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;

/** Praise that was given. */
public sealed interface MeritsEvent extends LessonEvent {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R given(Given event);

        R takenBack(TakenBack event);
    }

    /** A pupil got a merit. */
    record Given(PersonId person, String reason, PersonId by, Instant at) implements MeritsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.given(this);
        }
    }

    /** A merit does not count any more. @param merit the number of the event by which it was given */
    record TakenBack(int merit, PersonId by, Instant at) implements MeritsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.takenBack(this);
        }
    }
}
