package juricast.core.material;

import java.time.Instant;
import juricast.core.identity.PersonId;

/** One line of captions (need F13). @param number the number of its event */
public record Caption(int number, PersonId by, String text, Instant at) {}
