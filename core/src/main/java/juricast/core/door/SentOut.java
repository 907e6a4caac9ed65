package juricast.core.door;

import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import juricast.core.identity.DeviceId;
import juricast.core.identity.PersonId;

/**
 * Somebody who was sent back to the door and has not come in since.
 *
 * @param devices they were on
 * @param until when they come in again by themselves, if they do
 */
public record SentOut(PersonId person, Set<DeviceId> devices, Optional<Instant> until) {
    public SentOut {
        devices = Set.copyOf(devices);
    }
}
