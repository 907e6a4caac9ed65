package juricast.core.material;

import java.time.Instant;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;

/** What hangs for everybody to find, and what was said in writing. */
public sealed interface MaterialEvent extends LessonEvent {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R handedOut(HandedOut event);

        R takenBack(TakenBack event);

        R captioned(Captioned event);

        R serviceListens(ServiceListens event);
    }

    /** Material was hung up. */
    record HandedOut(PersonId by, String title, String body, Instant at) implements MaterialEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.handedOut(this);
        }
    }

    /** Material was taken back. */
    record TakenBack(int number, PersonId by, Instant at) implements MaterialEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.takenBack(this);
        }
    }

    /** Something that was said, in writing. @param by who wrote it, or who was heard @param heard whether by the caption service */
    record Captioned(PersonId by, String text, boolean heard, Instant at) implements MaterialEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.captioned(this);
        }
    }

    /** From now on the caption service listens and writes along, or not any more. */
    record ServiceListens(boolean on, PersonId by, Instant at) implements MaterialEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.serviceListens(this);
        }
    }
}
