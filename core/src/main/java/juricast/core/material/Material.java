package juricast.core.material;

import java.time.Instant;
import juricast.core.identity.PersonId;

/** Something handed out, which latecomers find too (need F9). @param number the number of its event */
public record Material(int number, PersonId by, String title, String body, Instant at) {}
