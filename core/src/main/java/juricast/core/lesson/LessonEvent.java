package juricast.core.lesson;

import java.time.Instant;
import java.util.Optional;
import juricast.core.entry.Arrival;
import juricast.core.entry.Verdict;
import juricast.core.identity.DeviceId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;

/** What has happened in a lesson. Stored for ever and never edited: a new shape is a new event. */
public sealed interface LessonEvent {
    <R> R match(Cases<R> cases);

    /** When it happened. */
    Instant at();

    /** Whether an arrival that waits may have to be judged again after it. */
    default boolean changesTheDoorway() {
        return false;
    }

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R opened(Opened event);

        R adultJoined(AdultJoined event);

        R knocked(Knocked event);

        R judged(Judged event);

        R admitted(Admitted event);

        R turnedAway(TurnedAway event);

        R left(Left event);

        R connectionLost(ConnectionLost event);

        R cameBack(CameBack event);

        R turnedOn(TurnedOn event);

        R turnedOff(TurnedOff event);

        R handRaised(HandRaised event);

        R handLowered(HandLowered event);

        R said(Said event);

        R liveSet(LiveSet event);

        R passGiven(PassGiven event);

        R curbGiven(CurbGiven event);

        R loanEnded(LoanEnded event);

        R renamed(Renamed event);

        R removed(Removed event);

        R allowedBack(AllowedBack event);

        R dismissed(Dismissed event);
    }

    /** An adult took charge. */
    record Opened(PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.opened(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** An adult came in on a device. */
    record AdultJoined(VisitId visit, DeviceId device, PersonId person, Role role, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.adultJoined(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** Somebody knocked and was judged; {@code person} is who on the list is meant, if that is clear enough. */
    record Knocked(Arrival arrival, Optional<PersonId> person, Role role, Verdict verdict, Instant at)
            implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.knocked(this);
        }
    }

    /** A waiting arrival was judged again, because something had changed. */
    record Judged(VisitId visit, Verdict verdict, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.judged(this);
        }
    }

    /** An arrival came in as {@code person}. */
    record Admitted(VisitId visit, PersonId person, Role role, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.admitted(this);
        }
    }

    /** An adult turned an arrival away. */
    record TurnedAway(VisitId visit, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.turnedAway(this);
        }
    }

    /** A visit ended by itself. */
    record Left(VisitId visit, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.left(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** A device fell silent; its visit may go on. */
    record ConnectionLost(VisitId visit, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.connectionLost(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** A lost device was heard again. */
    record CameBack(VisitId visit, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.cameBack(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** A person switched something on. */
    record TurnedOn(PersonId person, Appliance what, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.turnedOn(this);
        }
    }

    /** Something was switched off, by its owner, an adult or the rules. */
    record TurnedOff(PersonId person, Appliance what, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.turnedOff(this);
        }
    }

    /** A hand went up. */
    record HandRaised(PersonId person, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.handRaised(this);
        }
    }

    /** A hand went down. */
    record HandLowered(PersonId person, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.handLowered(this);
        }
    }

    /** Something was written. */
    record Said(PersonId from, Readers to, String text, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.said(this);
        }
    }

    /** A rule was changed for all pupils of the lesson. */
    record LiveSet(RuleValue set, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.liveSet(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** A right was lent. */
    record PassGiven(PersonId person, Rule<Permission> right, Instant until, PersonId by, Instant at)
            implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.passGiven(this);
        }
    }

    /** A right was closed to one person. */
    record CurbGiven(PersonId person, Rule<Permission> right, Instant until, PersonId by, Instant at)
            implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.curbGiven(this);
        }
    }

    /** A pass or curb ended. */
    record LoanEnded(PersonId person, Rule<Permission> right, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.loanEnded(this);
        }
    }

    /** A person is shown under another name. */
    record Renamed(PersonId person, String name, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.renamed(this);
        }
    }

    /** A person was removed with all their devices. */
    record Removed(PersonId person, String why, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.removed(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** A removed person may come again. */
    record AllowedBack(PersonId person, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.allowedBack(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** The lesson ended for everyone. */
    record Dismissed(PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.dismissed(this);
        }
    }
}
