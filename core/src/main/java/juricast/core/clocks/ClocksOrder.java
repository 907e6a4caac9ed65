package juricast.core.clocks;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonOrder;

/** Clocks, and being first. */
public sealed interface ClocksOrder extends LessonOrder {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R start(Start order);

        R pause(Pause order);

        R goOn(GoOn order);

        R lengthen(Lengthen order);

        R end(End order);

        R call(Call order);

        R press(Press order);

        R passOn(PassOn order);

        R endCall(EndCall order);
    }

    /** A clock for all; one that runs makes room. @param length of a count-down; nothing: a stopwatch */
    record Start(String task, Optional<Duration> length, boolean tone, PersonId by) implements ClocksOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.start(this);
        }
    }

    record Pause(PersonId by) implements ClocksOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.pause(this);
        }
    }

    record GoOn(PersonId by) implements ClocksOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.goOn(this);
        }
    }

    record Lengthen(Duration more, PersonId by) implements ClocksOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.lengthen(this);
        }
    }

    record End(PersonId by) implements ClocksOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.end(this);
        }
    }

    /** An adult calls for the first to answer. @param after how long before presses count */
    record Call(String task, Duration after, PersonId by) implements ClocksOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.call(this);
        }
    }

    /** Somebody presses. @param arrived by the server's clock @param delay how long it was on its way, as the server measured */
    record Press(VisitId visit, Instant arrived, Duration delay) implements ClocksOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.press(this);
        }
    }

    /** The next in the row has the word. */
    record PassOn(PersonId by) implements ClocksOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.passOn(this);
        }
    }

    record EndCall(PersonId by) implements ClocksOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.endCall(this);
        }
    }
}
