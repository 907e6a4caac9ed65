package juricast.core.lesson;

import java.time.Instant;
import juricast.core.identity.PersonId;

/** Something that was written. @param number the number of its event, which orders all that is written in a lesson */
public record Words(int number, PersonId from, Readers to, String text, Instant at) {}
