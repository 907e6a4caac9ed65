package juricast.core.supervision;

import java.time.Instant;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;

/** What an adult, or the want of one, imposes on everybody. */
public sealed interface SupervisionEvent extends LessonEvent {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R stopped(Stopped event);

        R stopExplained(StopExplained event);

        R resumed(Resumed event);

        R wentQuiet(WentQuiet event);

        R supervised(Supervised event);
    }

    /** Everything was stopped. */
    record Stopped(String why, PersonId by, Instant at) implements SupervisionEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.stopped(this);
        }
    }

    /** An adult wrote down why everything was stopped. */
    record StopExplained(String why, PersonId by, Instant at) implements SupervisionEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.stopExplained(this);
        }
    }

    /** What was before the stop is back. */
    record Resumed(PersonId by, Instant at) implements SupervisionEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.resumed(this);
        }
    }

    /** The room went quiet by itself: pupils were without an adult for longer than the rule allows (need E5). */
    record WentQuiet(Instant aloneSince, Instant at) implements SupervisionEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.wentQuiet(this);
        }
    }

    /** An adult is back in a room that had gone quiet. */
    record Supervised(PersonId by, Instant at) implements SupervisionEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.supervised(this);
        }
    }
}
