package juricast.core.charter;

import java.time.Instant;
import juricast.core.identity.ClassId;

/** A class uses a ready-made set by reference, from an instant until another, exclusive. */
public record SetUse(ClassId byClass, String set, Instant from, Instant until) {}
