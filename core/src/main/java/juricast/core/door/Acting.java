package juricast.core.door;

import static juricast.core.live.Refusal.Common.LESSON_OVER;
import static juricast.core.live.Refusal.Common.NOT_PRESENT;

import java.util.Optional;
import java.util.function.Function;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.Decision;
import juricast.core.live.Refusal;
import juricast.core.live.Room;
import juricast.core.live.Visit;

/** Decisions for somebody who acts from inside the room. */
public final class Acting {
    private Acting() {}

    /** By their visit. Who acts is heard of again, even if their own line has not come back yet. */
    public static Decision present(Room room, VisitId id, Function<PersonId, Decision> decision) {
        Optional<Visit> visit = room.there().visit(id).filter(one -> one.status() == Visit.Status.IN);
        if (visit.isEmpty()) {
            return Refusal.of(room.there().isOver() ? LESSON_OVER : NOT_PRESENT);
        }
        Decision decided = decision.apply(visit.get().person().orElseThrow());
        return visit.get().connected() ? decided : decided.after(new DoorEvent.CameBack(id, room.now()));
    }
}
