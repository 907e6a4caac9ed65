package juricast.server.door;

import java.util.List;
import juricast.core.door.DoorEvent;
import juricast.core.door.DoorPart;
import juricast.core.live.Part;
import juricast.server.record.StoredKind;
import juricast.server.record.StoredPart;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.BooleanNode;
import tools.jackson.databind.node.NullNode;

/** Under which names events of this part stand on the disk, for ever. */
@Component
class DoorStored implements StoredPart {
    private static final List<StoredKind> KINDS = List.of(
            StoredKind.named("opened", "Opened", DoorEvent.Opened.class),
            StoredKind.named("adult-joined", "AdultJoined", DoorEvent.AdultJoined.class),
            StoredKind.named("knocked", "Knocked", DoorEvent.Knocked.class)
                    // Knocks from before it was noted whether the house rules were agreed to.
                    .missing("/arrival", "agreed", BooleanNode.FALSE)
                    .missing("/arrival", "outside", NullNode.getInstance()),
            StoredKind.named("judged", "Judged", DoorEvent.Judged.class),
            StoredKind.named("admitted", "Admitted", DoorEvent.Admitted.class),
            StoredKind.named("turned-away", "TurnedAway", DoorEvent.TurnedAway.class),
            StoredKind.named("left", "Left", DoorEvent.Left.class),
            StoredKind.named("taken-off", "TakenOff", DoorEvent.TakenOff.class),
            StoredKind.named("guest-let-in", "GuestLetIn", DoorEvent.GuestLetIn.class),
            StoredKind.named("connection-lost", "ConnectionLost", DoorEvent.ConnectionLost.class),
            StoredKind.named("came-back", "CameBack", DoorEvent.CameBack.class),
            StoredKind.named("renamed", "Renamed", DoorEvent.Renamed.class),
            StoredKind.named("removed", "Removed", DoorEvent.Removed.class),
            StoredKind.named("sent-to-door", DoorEvent.SentToDoor.class),
            StoredKind.named("allowed-back", "AllowedBack", DoorEvent.AllowedBack.class),
            StoredKind.named("sweep-noticed", "SweepNoticed", DoorEvent.SweepNoticed.class),
            StoredKind.named("charge-taken", "ChargeTaken", DoorEvent.ChargeTaken.class),
            StoredKind.named("dismissed", "Dismissed", DoorEvent.Dismissed.class),
            StoredKind.named("kept-back", "KeptBack", DoorEvent.KeptBack.class),
            StoredKind.named("seen-out", "SeenOut", DoorEvent.SeenOut.class));

    @Override
    public Part<?, ?, ?> part() {
        return DoorPart.DOOR;
    }

    @Override
    public List<StoredKind> kinds() {
        return KINDS;
    }
}
