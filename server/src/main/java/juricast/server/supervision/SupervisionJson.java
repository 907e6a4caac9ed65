package juricast.server.supervision;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.supervision.SupervisionPart.SUPERVISION;

import java.time.Instant;
import java.util.List;
import juricast.core.identity.PersonId;
import juricast.core.supervision.SupervisionEvent;
import juricast.core.supervision.SupervisionState;
import juricast.server.door.DoorJson;
import juricast.server.lesson.Snapshot;
import org.jspecify.annotations.Nullable;

/** Supervision on the wire. */
public final class SupervisionJson {
    private SupervisionJson() {}

    /** @param aloneSince since when pupils are in the room without an adult @param quiet whether the room went quiet by itself */
    public record DeskSupervision(
            @Nullable Instant stoppedAt,
            @Nullable String stoppedBecause,
            @Nullable Instant aloneSince,
            boolean quiet) {}

    public record SeatSupervision(boolean quiet, boolean stopped) {}

    /** @param mayTakeCharge whether the asking person observes and the room has no adult */
    public record DeskMineSupervision(boolean mayTakeCharge) {}

    public static DeskSupervision desk(Snapshot at) {
        return at.piece("supervision desk", "all", List.of(DOOR, SUPERVISION), () -> {
            SupervisionState is = at.state().of(SUPERVISION);
            return new DeskSupervision(
                    is.stopped().map(SupervisionEvent.Stopped::at).orElse(null),
                    is.stopped().map(SupervisionEvent.Stopped::why).orElse(null),
                    at.state().of(DOOR).aloneSince().orElse(null),
                    is.quietSince().isPresent());
        });
    }

    public static DeskMineSupervision deskMine(Snapshot at, PersonId me) {
        return new DeskMineSupervision(DoorJson.deskMine(at, me).observing()
                && at.state().there().isOpen()
                && !at.state().there().anAdultIsIn());
    }

    public static SeatSupervision seat(Snapshot at) {
        return at.piece(
                "supervision seat",
                "all",
                List.of(SUPERVISION),
                () -> new SeatSupervision(
                        at.state().of(SUPERVISION).quietSince().isPresent(),
                        at.state().of(SUPERVISION).stopped().isPresent()));
    }

    /** What is seen from the door: whether the room is quiet, and nothing else of it. */
    public static SeatSupervision fromOutside(Snapshot at) {
        return new SeatSupervision(seat(at).quiet(), false);
    }
}
