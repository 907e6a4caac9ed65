package juricast.core.door;

import java.time.Instant;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.Room;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;

/** How somebody is sent back to the door, as the rules are now. */
public final class SendingOut {
    private SendingOut() {}

    public static DoorEvent.SentToDoor toDoor(Room room, PersonId person, PersonId by) {
        boolean byThemselves = room.rules()
                .value(Catalogue.BACK_FROM_DOOR, Rule.ANSWERS, room.now())
                .text()
                .equals("minutes");
        Instant until = room.now()
                .plus(room.rules()
                        .value(Catalogue.DOOR_MINUTES, Rule.ANSWERS, room.now())
                        .length());
        return new DoorEvent.SentToDoor(person, byThemselves ? Optional.of(until) : Optional.empty(), by, room.now());
    }
}
