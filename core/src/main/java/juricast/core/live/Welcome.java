package juricast.core.live;

import java.time.Instant;
import juricast.core.identity.PersonId;

/** How arriving people are welcomed, as prepared before the lesson (need J7). */
public record Welcome(String text, PersonId by, Instant at) {}
