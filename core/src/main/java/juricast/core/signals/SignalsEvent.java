package juricast.core.signals;

import java.time.Instant;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;

/** Hands, signals, and who stands before everybody. */
public sealed interface SignalsEvent extends LessonEvent {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R handRaised(HandRaised event);

        R handLowered(HandLowered event);

        R signShown(SignShown event);

        R signsCleared(SignsCleared event);

        R focused(Focused event);

        R focusAsked(FocusAsked event);

        R focusDeclined(FocusDeclined event);
    }

    /** A hand went up. */
    record HandRaised(PersonId person, Instant at) implements SignalsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.handRaised(this);
        }
    }

    /** A hand went down. */
    record HandLowered(PersonId person, PersonId by, Instant at) implements SignalsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.handLowered(this);
        }
    }

    /** A signal was shown, or taken back. */
    record SignShown(PersonId person, Optional<Sign> sign, Instant at) implements SignalsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.signShown(this);
        }
    }

    /** All signals were cleared. */
    record SignsCleared(PersonId by, Instant at) implements SignalsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.signsCleared(this);
        }
    }

    /** One person stands before everybody, or nobody any more. */
    record Focused(Optional<PersonId> on, PersonId by, Instant at) implements SignalsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.focused(this);
        }
    }

    /** Somebody is asked whether they would stand before everybody: the rules leave it to them. */
    record FocusAsked(PersonId person, PersonId by, Instant at) implements SignalsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.focusAsked(this);
        }
    }

    /** They would rather not. */
    record FocusDeclined(PersonId person, Instant at) implements SignalsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.focusDeclined(this);
        }
    }
}
