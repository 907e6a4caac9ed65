package juricast.core.door;

import static juricast.core.live.Decision.done;
import static juricast.core.live.Refusal.Common.LESSON_OVER;
import static juricast.core.live.Refusal.Common.NOT_AN_ADULT_HERE;
import static juricast.core.live.Refusal.Common.NOT_OPEN;
import static juricast.core.live.Refusal.Common.NOT_PRESENT;
import static juricast.core.live.Refusal.Common.RULE_CLOSED;
import static juricast.core.live.Refusal.Common.TEXT_TOO_LONG;

import java.util.List;
import java.util.Optional;
import juricast.core.identity.PlainName;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.limits.Limits;
import juricast.core.live.Decision;
import juricast.core.live.Refusal;
import juricast.core.live.Room;
import juricast.core.live.Visit;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Fact;
import juricast.core.rules.ReEntry;

/** Decides who opens, comes in, goes, and is put out. Letting in is decided in {@link Admissions}. */
record DoorRules(DoorState is, Room room) implements DoorOrder.Cases<Decision> {
    @Override
    public Decision open(DoorOrder.Open order) {
        if (!room.who().isAdult(order.by())) {
            return Refusal.of(NOT_AN_ADULT_HERE);
        }
        if (is.isOver()) {
            return Refusal.of(LESSON_OVER);
        }
        if (is.isOpen()) {
            return Refusal.of(
                    DoorRefusal.ALREADY_OPEN,
                    is.opened().map(DoorEvent.Opened::by).orElseThrow());
        }
        var early = room.who().ruling(order.by(), Catalogue.EARLY_MINUTES);
        if (room.now().isBefore(room.plan().time().from().minus(early.value().length()))) {
            return Refusal.by(DoorRefusal.TOO_EARLY_TO_OPEN, early);
        }
        return done(new DoorEvent.Opened(order.by(), room.now()));
    }

    @Override
    public Decision join(DoorOrder.Join order) {
        boolean observes = room.plan()
                .member(order.by())
                .filter(one -> one.role() == Role.OBSERVER)
                .isPresent();
        if (!room.who().isAdult(order.by()) && !observes) {
            return Refusal.of(NOT_AN_ADULT_HERE);
        }
        if (!is.isOpen()) {
            return Refusal.of(is.isOver() ? LESSON_OVER : NOT_OPEN);
        }
        if (is.removal(order.by()).isPresent()) {
            return Refusal.of(DoorRefusal.REMOVED_HERE, order.by());
        }
        return done(new DoorEvent.AdultJoined(
                order.visit(), order.device(), order.by(), room.who().roleOf(order.by()), room.now()));
    }

    @Override
    public Decision knock(DoorOrder.Knock order) {
        return admissions().knock(order);
    }

    @Override
    public Decision admit(DoorOrder.Admit order) {
        return admissions().admit(order);
    }

    @Override
    public Decision admitGuest(DoorOrder.AdmitGuest order) {
        return admissions().admitGuest(order);
    }

    @Override
    public Decision admitAllListed(DoorOrder.AdmitAllListed order) {
        return admissions().admitAllListed(order);
    }

    private Admissions admissions() {
        return new Admissions(is, room);
    }

    @Override
    public Decision turnAway(DoorOrder.TurnAway order) {
        return room.who().adult(order.by(), Catalogue.HELP_DOOR).orElseGet(() -> admissions()
                .waiting(order.visit(), visit -> done(new DoorEvent.TurnedAway(visit.id(), order.by(), room.now()))));
    }

    @Override
    public Decision leave(DoorOrder.Leave order) {
        Optional<Visit> visit = is.visit(order.visit()).filter(Visit::goesOn);
        if (visit.isEmpty()) {
            return seenOut(order.visit());
        }
        var left = new DoorEvent.Left(order.visit(), room.now());
        if (!visit.get().role().isAdultInCharge()) {
            return done(left);
        }
        if (visit.get().isPresent() && isLastAdult(order.visit()) && pupilsAreIn() && !isHelpHour()) {
            return Refusal.of(DoorRefusal.LAST_ADULT);
        }
        Optional<Decision> alone =
                is.lastWord().isPresent() ? LastWord.aloneWithOne(room.after(List.of(left))) : Optional.empty();
        return alone.orElseGet(() -> done(left));
    }

    /** A help hour ends with its adult: nobody is left in it. */
    private boolean isHelpHour() {
        return room.rules().situation().is(Fact.HELP_HOUR);
    }

    private boolean isLastAdult(VisitId visit) {
        return is.visits().stream()
                .noneMatch(one -> one.isPresent()
                        && one.role().isAdultInCharge()
                        && !one.id().equals(visit));
    }

    private boolean pupilsAreIn() {
        return is.visits().stream()
                .anyMatch(one -> one.isPresent() && !one.role().isAdultInCharge() && one.role() != Role.OBSERVER);
    }

    @Override
    public Decision loseConnection(DoorOrder.LoseConnection order) {
        boolean isNews = is.visit(order.visit())
                .filter(visit -> visit.goesOn() && visit.connected())
                .isPresent();
        return isNews ? done(new DoorEvent.ConnectionLost(order.visit(), room.now())) : seenOut(order.visit());
    }

    /** For whom the lesson is over, leaving means that they have really gone. */
    private Decision seenOut(VisitId id) {
        boolean isNews = is.visit(id)
                .filter(visit -> visit.status() == Visit.Status.DISMISSED && visit.connected())
                .isPresent();
        return isNews ? done(new DoorEvent.SeenOut(id, room.now())) : done();
    }

    @Override
    public Decision comeBack(DoorOrder.ComeBack order) {
        boolean isNews = is.visit(order.visit())
                .filter(visit -> visit.goesOn() && !visit.connected())
                .isPresent();
        return isNews ? done(new DoorEvent.CameBack(order.visit(), room.now())) : done();
    }

    @Override
    public Decision rename(DoorOrder.Rename order) {
        String name = order.name().length() > Limits.MESSAGE ? order.name() : PlainName.of(order.name());
        return Refusal.ofText(name, Limits.NAME)
                .orElseGet(() -> Acting.present(room, order.visit(), person -> room.who()
                        .right(person, Catalogue.RENAME)
                        .orElseGet(() -> done(new DoorEvent.Renamed(person, name, room.now())))));
    }

    @Override
    public Decision remove(DoorOrder.Remove order) {
        return room.who().adult(order.by()).orElseGet(() -> {
            // Adults are not put out by each other; whoever keeps children safe puts out anybody.
            boolean mayNot = room.who().isAdult(order.person())
                    && (!room.plan().isLead(order.by()) || room.plan().isLead(order.person()));
            boolean isIn = is.visitsOf(order.person()).stream().anyMatch(visit -> visit.status() == Visit.Status.IN);
            if (mayNot || !isIn) {
                return Refusal.of(NOT_PRESENT, order.person());
            }
            if (order.why().length() > Limits.REASON) {
                return Refusal.of(TEXT_TOO_LONG);
            }
            return done(new DoorEvent.Removed(order.person(), order.why().strip(), order.by(), room.now()));
        });
    }

    @Override
    public Decision sendToDoor(DoorOrder.SendToDoor order) {
        return room.who().adult(order.by(), Catalogue.TAKE_STEPS).orElseGet(() -> {
            boolean isIn = is.visitsOf(order.person()).stream().anyMatch(visit -> visit.status() == Visit.Status.IN);
            if (room.who().isAdult(order.person()) || !isIn) {
                return Refusal.of(NOT_PRESENT, order.person());
            }
            return done(SendingOut.toDoor(room, order.person(), order.by()));
        });
    }

    @Override
    public Decision allowBack(DoorOrder.AllowBack order) {
        return room.who().adult(order.by(), Catalogue.HELP_DOOR).orElseGet(() -> {
            if (is.removal(order.person()).isEmpty()) {
                return Refusal.of(DoorRefusal.NOT_REMOVED, order.person());
            }
            var reEntry = room.who().ruling(order.person(), Catalogue.RE_ENTRY);
            if (reEntry.value() == ReEntry.NEVER) {
                return Refusal.by(RULE_CLOSED, reEntry);
            }
            return done(new DoorEvent.AllowedBack(order.person(), order.by(), room.now()));
        });
    }

    @Override
    public Decision noticeSweep(DoorOrder.NoticeSweep order) {
        var sweep = order.sweep();
        return !is.isOpen() || is.sweeps().containsKey(sweep.device())
                ? done()
                : done(new DoorEvent.SweepNoticed(
                        sweep.device(), sweep.name(), sweep.doors().size(), room.now()));
    }
}
