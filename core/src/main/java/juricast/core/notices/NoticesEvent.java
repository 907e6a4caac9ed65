package juricast.core.notices;

import java.time.Instant;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;

/** Words that were put up and taken down. */
public sealed interface NoticesEvent extends LessonEvent {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R welcomed(Welcomed event);

        R putUp(PutUp event);

        R takenDown(TakenDown event);
    }

    /** The welcome is another one. @param text empty: there is none */
    record Welcomed(String text, PersonId by, Instant at) implements NoticesEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.welcomed(this);
        }
    }

    record PutUp(String text, PersonId by, Instant at) implements NoticesEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.putUp(this);
        }
    }

    record TakenDown(int notice, PersonId by, Instant at) implements NoticesEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.takenDown(this);
        }
    }
}
