package juricast.core.supervision;

import static juricast.core.live.Decision.done;
import static juricast.core.live.Refusal.Common.LESSON_OVER;
import static juricast.core.live.Refusal.Common.NOT_AN_ADULT_HERE;
import static juricast.core.live.Refusal.Common.NOT_OPEN;
import static juricast.core.live.Refusal.Common.TEXT_TOO_LONG;
import static juricast.core.rights.RightsPart.RIGHTS;

import java.util.ArrayList;
import java.util.List;
import juricast.core.door.DoorEvent;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.limits.Limits;
import juricast.core.live.Decision;
import juricast.core.live.LessonEvent;
import juricast.core.live.Refusal;
import juricast.core.live.Room;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsEvent;
import juricast.core.rights.RightsState;

/** Decides about stopping everything, bringing it back, and taking charge. */
record SupervisionRules(SupervisionState is, Room room) implements SupervisionOrder.Cases<Decision> {
    @Override
    public Decision stopEverything(SupervisionOrder.StopEverything order) {
        return room.who().adult(order.by()).orElseGet(() -> {
            if (order.why().length() > Limits.REASON) {
                return Refusal.of(TEXT_TOO_LONG);
            }
            String why = order.why().strip();
            // First stop, then say why: the reason is added to a stop that lasts.
            if (is.stopped().isPresent()) {
                boolean isNews = !why.isEmpty() && !is.stopped().get().why().equals(why);
                return isNews ? done(new SupervisionEvent.StopExplained(why, order.by(), room.now())) : done();
            }
            var events = new ArrayList<LessonEvent>();
            events.add(new SupervisionEvent.Stopped(why, order.by(), room.now()));
            events.addAll(notPassedOn(order.by()));
            return new Decision.Done(events);
        });
    }

    /** People outside see nothing of what had to be stopped, and see again only when somebody wants it. */
    private List<LessonEvent> notPassedOn(PersonId by) {
        RightsState rights = room.of(RIGHTS);
        return rights.withSomethingOn().stream()
                .filter(person -> rights.on(person).contains(Appliance.PASSING_ON))
                .<LessonEvent>map(person -> new RightsEvent.TurnedOff(person, Appliance.PASSING_ON, by, room.now()))
                .toList();
    }

    @Override
    public Decision resume(SupervisionOrder.Resume order) {
        return room.who()
                .adult(order.by())
                .orElseGet(() -> is.stopped().isEmpty()
                        ? Refusal.of(SupervisionRefusal.NOT_STOPPED)
                        : done(new SupervisionEvent.Resumed(order.by(), room.now())));
    }

    @Override
    public Decision takeCharge(SupervisionOrder.TakeCharge order) {
        if (room.plan()
                .member(order.by())
                .filter(one -> one.role() == Role.OBSERVER)
                .isEmpty()) {
            return Refusal.of(NOT_AN_ADULT_HERE);
        }
        if (!room.there().isOpen()) {
            return Refusal.of(room.there().isOver() ? LESSON_OVER : NOT_OPEN);
        }
        return room.there().anAdultIsIn()
                ? Refusal.of(SupervisionRefusal.AN_ADULT_IS_IN)
                : done(new DoorEvent.ChargeTaken(order.by(), room.now()));
    }
}
