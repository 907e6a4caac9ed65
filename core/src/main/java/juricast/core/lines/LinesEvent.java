package juricast.core.lines;

import java.time.Instant;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;

/** Lines that became weak, and carry again. */
public sealed interface LinesEvent extends LessonEvent {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R weakened(Weakened event);

        R recovered(Recovered event);

        R left(Left event);
    }

    /** Somebody's line became weak. */
    record Weakened(PersonId person, Instant at) implements LinesEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.weakened(this);
        }
    }

    /** It carries again. */
    record Recovered(PersonId person, Instant at) implements LinesEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.recovered(this);
        }
    }

    /** An adult saw it and left the lesson as it was. */
    record Left(PersonId by, Instant at) implements LinesEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.left(this);
        }
    }
}
