package juricast.core.door;

import java.util.Optional;
import juricast.core.entry.Arrival;
import juricast.core.entry.Sweep;
import juricast.core.identity.DeviceId;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonOrder;

/** What somebody wants at the door, or does about those who are in. */
public sealed interface DoorOrder extends LessonOrder {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R open(Open order);

        R join(Join order);

        R knock(Knock order);

        R admit(Admit order);

        R admitGuest(AdmitGuest order);

        R admitAllListed(AdmitAllListed order);

        R turnAway(TurnAway order);

        R leave(Leave order);

        R loseConnection(LoseConnection order);

        R comeBack(ComeBack order);

        R rename(Rename order);

        R remove(Remove order);

        R sendToDoor(SendToDoor order);

        R allowBack(AllowBack order);

        R noticeSweep(NoticeSweep order);
    }

    /** An adult opens the lesson privately: in charge from now on, before anyone is let in (need D1). */
    record Open(PersonId by) implements DoorOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.open(this);
        }
    }

    /** An adult comes in, or comes in again on another device. */
    record Join(VisitId visit, DeviceId device, PersonId by) implements DoorOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.join(this);
        }
    }

    /** Somebody stands at the door. */
    record Knock(Arrival arrival) implements DoorOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.knock(this);
        }
    }

    /** An adult lets one arrival in, under the name of somebody on the class list. */
    record Admit(VisitId visit, Optional<PersonId> as, PersonId by) implements DoorOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.admit(this);
        }
    }

    /** An adult lets in somebody on no list, as a guest of this lesson. @param as the guest, invited for it just now */
    record AdmitGuest(VisitId visit, PersonId as, String note, PersonId by) implements DoorOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.admitGuest(this);
        }
    }

    /** An adult lets in everyone who is surely on the class list; the rest waits on (need E3). */
    record AdmitAllListed(PersonId by) implements DoorOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.admitAllListed(this);
        }
    }

    /** An adult turns one arrival away. */
    record TurnAway(VisitId visit, PersonId by) implements DoorOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.turnAway(this);
        }
    }

    /** Somebody goes by themselves. */
    record Leave(VisitId visit) implements DoorOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.leave(this);
        }
    }

    /** A device is not heard of any more. */
    record LoseConnection(VisitId visit) implements DoorOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.loseConnection(this);
        }
    }

    /** A device that was lost is heard again. */
    record ComeBack(VisitId visit) implements DoorOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.comeBack(this);
        }
    }

    /** Somebody wants to be shown under another name. */
    record Rename(VisitId visit, String name) implements DoorOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.rename(this);
        }
    }

    /** An adult removes somebody (need G2). */
    record Remove(PersonId person, String why, PersonId by) implements DoorOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.remove(this);
        }
    }

    /** An adult puts a pupil out of the room, to wait at the door; it is no removal (need G7). */
    record SendToDoor(PersonId person, PersonId by) implements DoorOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.sendToDoor(this);
        }
    }

    /** An adult allows somebody who was removed to come back. */
    record AllowBack(PersonId person, PersonId by) implements DoorOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.allowBack(this);
        }
    }

    /** The school noticed somebody who goes from door to door (need E7). */
    record NoticeSweep(Sweep sweep) implements DoorOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.noticeSweep(this);
        }
    }
}
