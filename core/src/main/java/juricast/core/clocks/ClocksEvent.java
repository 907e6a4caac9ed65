package juricast.core.clocks;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;

/** Clocks that ran, and who pressed first. */
public sealed interface ClocksEvent extends LessonEvent {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R started(Started event);

        R paused(Paused event);

        R wentOn(WentOn event);

        R lengthened(Lengthened event);

        R ranOut(RanOut event);

        R ended(Ended event);

        R called(Called event);

        R pressed(Pressed event);

        R passedOn(PassedOn event);

        R callEnded(CallEnded event);
    }

    /** @param length how long a count-down runs; nothing for a stopwatch @param tone whether its end is heard */
    record Started(String task, Optional<Duration> length, boolean tone, PersonId by, Instant at)
            implements ClocksEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.started(this);
        }
    }

    record Paused(PersonId by, Instant at) implements ClocksEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.paused(this);
        }
    }

    record WentOn(PersonId by, Instant at) implements ClocksEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.wentOn(this);
        }
    }

    record Lengthened(Duration more, PersonId by, Instant at) implements ClocksEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.lengthened(this);
        }
    }

    /** A count-down came to its end. */
    record RanOut(Instant at) implements ClocksEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.ranOut(this);
        }
    }

    /** The clock is gone from all pages. */
    record Ended(PersonId by, Instant at) implements ClocksEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.ended(this);
        }
    }

    /** Who will be first to answer? @param opens from when on presses count */
    record Called(String task, Instant opens, PersonId by, Instant at) implements ClocksEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.called(this);
        }
    }

    /**
     * Somebody pressed.
     *
     * @param call the number of the event by which it was called
     * @param arrived how long after the opening the press arrived
     * @param delay how long it was on its way, as measured; bounded
     */
    record Pressed(int call, PersonId person, Duration arrived, Duration delay, Instant at) implements ClocksEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.pressed(this);
        }
    }

    /** The next in the row may answer. */
    record PassedOn(int call, PersonId by, Instant at) implements ClocksEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.passedOn(this);
        }
    }

    record CallEnded(int call, PersonId by, Instant at) implements ClocksEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.callEnded(this);
        }
    }
}
