package juricast.core.chat;

import java.time.Instant;
import java.util.Optional;
import juricast.core.identity.PersonId;

/**
 * Something that was written or sent.
 *
 * @param number the number of its event, which orders all that is written in a lesson
 * @param written the number of the event in which it was written; another where it waited for an adult first
 * @param text the name of the file, where one was sent
 */
public record Words(
        int number, int written, PersonId from, Readers to, String text, Optional<SentFile> file, Instant at) {}
