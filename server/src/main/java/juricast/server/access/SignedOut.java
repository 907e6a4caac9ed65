package juricast.server.access;

import juricast.core.identity.DeviceId;
import juricast.core.identity.PersonId;

/** Somebody signed out on a device that others may use next. */
public record SignedOut(PersonId person, DeviceId device) {}
