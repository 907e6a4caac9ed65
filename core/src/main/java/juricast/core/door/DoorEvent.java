package juricast.core.door;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.entry.Arrival;
import juricast.core.entry.Verdict;
import juricast.core.identity.DeviceId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonEvent;

/** Who came, was let in, went or was put out, and how the lesson began and ended. */
public sealed interface DoorEvent extends LessonEvent {
    <R> R match(Cases<R> cases);

    /** Somebody came, went, was let in or put out: all that a register is made of. */
    sealed interface Visiting extends DoorEvent {
        <R> R visiting(Visits<R> cases);

        @Override
        default <R> R match(Cases<R> cases) {
            return visiting(cases);
        }
    }

    /** Somebody is out with all their devices, and what they had is let go of. */
    sealed interface PutOut extends Visiting {
        PersonId person();
    }

    /** One method for each kind that brings somebody in or out. */
    interface Visits<R> {
        R knocked(Knocked event);

        R judged(Judged event);

        R adultJoined(AdultJoined event);

        R admitted(Admitted event);

        R turnedAway(TurnedAway event);

        R left(Left event);

        R takenOff(TakenOff event);

        R connectionLost(ConnectionLost event);

        R cameBack(CameBack event);

        R removed(Removed event);

        R sentToDoor(SentToDoor event);

        R keptBack(KeptBack event);

        R dismissed(Dismissed event);
    }

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> extends Visits<R> {
        R opened(Opened event);

        R guestLetIn(GuestLetIn event);

        R renamed(Renamed event);

        R allowedBack(AllowedBack event);

        R sweepNoticed(SweepNoticed event);

        R chargeTaken(ChargeTaken event);

        R seenOut(SeenOut event);
    }

    /** An adult took charge. */
    record Opened(PersonId by, Instant at) implements DoorEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.opened(this);
        }
    }

    /** An adult came in on a device. */
    record AdultJoined(VisitId visit, DeviceId device, PersonId person, Role role, Instant at) implements Visiting {
        @Override
        public <R> R visiting(Visits<R> cases) {
            return cases.adultJoined(this);
        }
    }

    /** Somebody knocked and was judged; {@code person} is who on the list is meant, if that is clear enough. */
    record Knocked(Arrival arrival, Optional<PersonId> person, Role role, Verdict verdict, Instant at)
            implements Visiting {
        @Override
        public <R> R visiting(Visits<R> cases) {
            return cases.knocked(this);
        }
    }

    /** A waiting arrival was judged again, because something had changed. */
    record Judged(VisitId visit, Verdict verdict, Instant at) implements Visiting {
        @Override
        public <R> R visiting(Visits<R> cases) {
            return cases.judged(this);
        }
    }

    /** An arrival came in as {@code person}. */
    record Admitted(VisitId visit, PersonId person, Role role, PersonId by, Instant at) implements Visiting {
        @Override
        public <R> R visiting(Visits<R> cases) {
            return cases.admitted(this);
        }
    }

    /** An adult turned an arrival away. */
    record TurnedAway(VisitId visit, PersonId by, Instant at) implements Visiting {
        @Override
        public <R> R visiting(Visits<R> cases) {
            return cases.turnedAway(this);
        }
    }

    /** A visit ended by itself. */
    record Left(VisitId visit, Instant at) implements Visiting {
        @Override
        public <R> R visiting(Visits<R> cases) {
            return cases.left(this);
        }
    }

    /** Somebody who was in charge here, or visited, is neither any more, and is out at once. */
    record TakenOff(VisitId visit, PersonId person, Instant at) implements PutOut {
        @Override
        public <R> R visiting(Visits<R> cases) {
            return cases.takenOff(this);
        }
    }

    /** An adult vouched for somebody on no list, for this lesson; the safeguarding lead is told the note. */
    record GuestLetIn(VisitId visit, PersonId person, String name, String note, PersonId by, Instant at)
            implements DoorEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.guestLetIn(this);
        }
    }

    /** A device fell silent; its visit may go on. */
    record ConnectionLost(VisitId visit, Instant at) implements Visiting {
        @Override
        public <R> R visiting(Visits<R> cases) {
            return cases.connectionLost(this);
        }
    }

    /** A lost device was heard again. */
    record CameBack(VisitId visit, Instant at) implements Visiting {
        @Override
        public <R> R visiting(Visits<R> cases) {
            return cases.cameBack(this);
        }
    }

    /** A person is shown under another name. */
    record Renamed(PersonId person, String name, Instant at) implements DoorEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.renamed(this);
        }
    }

    /** A person was removed with all their devices. */
    record Removed(PersonId person, String why, PersonId by, Instant at) implements PutOut {
        @Override
        public <R> R visiting(Visits<R> cases) {
            return cases.removed(this);
        }
    }

    /** A person was put out of the room, to wait at the door. @param until when they come in again by themselves, if they do */
    record SentToDoor(PersonId person, Optional<Instant> until, PersonId by, Instant at) implements Visiting {
        @Override
        public <R> R visiting(Visits<R> cases) {
            return cases.sentToDoor(this);
        }
    }

    /** A removed person may come again. */
    record AllowedBack(PersonId person, PersonId by, Instant at) implements DoorEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.allowedBack(this);
        }
    }

    /** A device went from door to door of the school; it waits at every one from now on (need E7). */
    record SweepNoticed(DeviceId device, String name, int doors, Instant at) implements DoorEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.sweepNoticed(this);
        }
    }

    /** An observer took charge of a room without an adult. */
    record ChargeTaken(PersonId by, Instant at) implements DoorEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.chargeTaken(this);
        }
    }

    /** The lesson ended for everyone. */
    record Dismissed(PersonId by, Instant at) implements Visiting {
        @Override
        public <R> R visiting(Visits<R> cases) {
            return cases.dismissed(this);
        }
    }

    /** The lesson ended for everyone but one pupil and the adults (need K3). @param gone the visits it ended for */
    record KeptBack(PersonId person, List<VisitId> gone, PersonId by, Instant at) implements Visiting {
        @Override
        public <R> R visiting(Visits<R> cases) {
            return cases.keptBack(this);
        }
    }

    /** Somebody for whom the lesson is over has really gone. */
    record SeenOut(VisitId visit, Instant at) implements DoorEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.seenOut(this);
        }
    }
}
