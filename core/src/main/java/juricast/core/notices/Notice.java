package juricast.core.notices;

import java.time.Instant;
import juricast.core.identity.PersonId;

/** Words that stay in sight. @param number the number of the event by which they were put up; 0 for those of the plan */
public record Notice(int number, String text, PersonId by, Instant at) {}
