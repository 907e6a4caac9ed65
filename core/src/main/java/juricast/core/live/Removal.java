package juricast.core.live;

import java.time.Instant;
import java.util.Set;
import juricast.core.identity.DeviceId;
import juricast.core.identity.PersonId;

/** Somebody who was removed, with the devices they used. */
public record Removal(PersonId person, Set<DeviceId> devices, String why, PersonId by, Instant at) {}
