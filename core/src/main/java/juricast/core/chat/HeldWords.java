package juricast.core.chat;

import java.time.Instant;
import java.util.Optional;
import juricast.core.identity.PersonId;

/** A message that waits for an adult. @param number the number of its event */
public record HeldWords(
        int number, PersonId from, Readers to, String text, Optional<SentFile> file, Hold why, Instant at) {}
