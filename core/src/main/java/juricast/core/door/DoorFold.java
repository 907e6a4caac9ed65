package juricast.core.door;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.entry.Arrival;
import juricast.core.entry.Outcome;
import juricast.core.entry.Reason;
import juricast.core.entry.ReasonCode;
import juricast.core.entry.Verdict;
import juricast.core.identity.DeviceId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.live.Removal;
import juricast.core.live.Visit;

/** One step of the fold. @param was the state before it */
record DoorFold(DoorState was) implements DoorEvent.Cases<DoorState> {
    @Override
    public DoorState opened(DoorEvent.Opened event) {
        return was.with(was.course().openedBy(event));
    }

    @Override
    public DoorState adultJoined(DoorEvent.AdultJoined event) {
        var arrival = Arrival.of(
                event.visit(),
                event.device(),
                event.person().value(),
                Optional.of(event.person()),
                Arrival.Link.CURRENT,
                true);
        var verdict =
                new Verdict(Outcome.ADMIT, List.of(new Reason(ReasonCode.ON_CLASS_LIST, List.of(event.person()))));
        return with(new Visit(
                arrival, Optional.of(event.person()), event.role(), Visit.Status.IN, verdict, event.at(), true));
    }

    @Override
    public DoorState knocked(DoorEvent.Knocked event) {
        return with(new Visit(
                event.arrival(),
                event.person(),
                event.role(),
                status(event.verdict()),
                event.verdict(),
                event.at(),
                true));
    }

    @Override
    public DoorState judged(DoorEvent.Judged event) {
        return was.with(was.all()
                .changed(event.visit(), visit -> visit.with(event.verdict()).with(status(event.verdict()))));
    }

    private static Visit.Status status(Verdict verdict) {
        return verdict.outcome() == Outcome.TURN_AWAY ? Visit.Status.TURNED_AWAY : Visit.Status.WAITING;
    }

    @Override
    public DoorState admitted(DoorEvent.Admitted event) {
        return was.with(was.all().changed(event.visit(), visit -> visit.admitted(event.person(), event.role())))
                .with(was.known().wasIn(event.person()).inAgain(event.person()));
    }

    @Override
    public DoorState turnedAway(DoorEvent.TurnedAway event) {
        return ended(event.visit(), Visit.Status.TURNED_AWAY);
    }

    @Override
    public DoorState left(DoorEvent.Left event) {
        return ended(event.visit(), Visit.Status.LEFT);
    }

    @Override
    public DoorState takenOff(DoorEvent.TakenOff event) {
        return ended(event.visit(), Visit.Status.LEFT);
    }

    @Override
    public DoorState guestLetIn(DoorEvent.GuestLetIn event) {
        return was.with(was.known().guest(event));
    }

    @Override
    public DoorState connectionLost(DoorEvent.ConnectionLost event) {
        return was.with(was.all().changed(event.visit(), visit -> visit.connected(false)));
    }

    @Override
    public DoorState cameBack(DoorEvent.CameBack event) {
        return was.with(was.all().changed(event.visit(), visit -> visit.connected(true)));
    }

    @Override
    public DoorState renamed(DoorEvent.Renamed event) {
        return was.with(was.known().named(event.person(), event.name()));
    }

    @Override
    public DoorState removed(DoorEvent.Removed event) {
        var removal = new Removal(event.person(), devicesIn(event.person()), event.why(), event.by(), event.at());
        return was.with(was.all()
                        .each(visit -> visit.status() == Visit.Status.IN && visit.isOf(event.person())
                                ? visit.with(Visit.Status.REMOVED)
                                : visit))
                .with(was.known().removed(removal).inAgain(event.person()));
    }

    @Override
    public DoorState sentToDoor(DoorEvent.SentToDoor event) {
        var sent = new SentOut(event.person(), devicesIn(event.person()), event.until());
        var verdict = new Verdict(Outcome.WAIT, List.of(new Reason(ReasonCode.SENT_TO_DOOR, List.of(event.person()))));
        return was.with(was.all()
                        .each(visit -> visit.status() == Visit.Status.IN && visit.isOf(event.person())
                                ? visit.with(verdict).with(Visit.Status.WAITING)
                                : visit))
                .with(was.known().sent(sent));
    }

    private Set<DeviceId> devicesIn(PersonId person) {
        return was.visitsOf(person).stream()
                .filter(visit -> visit.status() == Visit.Status.IN)
                .map(visit -> visit.arrival().device())
                .collect(Collectors.toSet());
    }

    @Override
    public DoorState allowedBack(DoorEvent.AllowedBack event) {
        return was.with(was.known().allowedBack(event.person()));
    }

    @Override
    public DoorState sweepNoticed(DoorEvent.SweepNoticed event) {
        return was.with(was.known().swept(event));
    }

    @Override
    public DoorState chargeTaken(DoorEvent.ChargeTaken event) {
        return was.with(was.all()
                        .each(visit -> visit.isOf(event.by()) && visit.status() == Visit.Status.IN
                                ? visit.admitted(event.by(), Role.SECOND_ADULT)
                                : visit))
                .with(was.known().inCharge(event.by()));
    }

    @Override
    public DoorState dismissed(DoorEvent.Dismissed event) {
        return was.with(was.course().endedAt(event.at()))
                .with(was.all().each(visit -> visit.goesOn() ? visit.with(Visit.Status.DISMISSED) : visit));
    }

    @Override
    public DoorState keptBack(DoorEvent.KeptBack event) {
        Visits next = was.all();
        for (VisitId id : event.gone()) {
            next = next.changed(id, visit -> visit.with(Visit.Status.DISMISSED));
        }
        return was.with(was.course().butForOne(event)).with(next);
    }

    @Override
    public DoorState seenOut(DoorEvent.SeenOut event) {
        return was.with(was.all().changed(event.visit(), visit -> visit.connected(false)));
    }

    private DoorState with(Visit visit) {
        return was.with(was.all().with(visit));
    }

    private DoorState ended(VisitId id, Visit.Status how) {
        return was.with(was.all().changed(id, visit -> visit.with(how)));
    }
}
