package juricast.core.material;

import java.time.Instant;
import juricast.core.identity.PersonId;

/**
 * One line of captions (need F13).
 *
 * @param number the number of its event
 * @param by who wrote it, or who was heard
 * @param heard whether the caption service wrote down what it heard, which it may have misheard
 */
public record Caption(int number, PersonId by, String text, boolean heard, Instant at) {}
