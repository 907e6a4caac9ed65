package juricast.core.conduct;

import java.time.Instant;
import java.util.Optional;
import juricast.core.identity.PersonId;

/**
 * What a pupil raised quietly.
 *
 * @param number of its event
 * @param settledBy the adult who saw to it
 */
public record Worry(int number, ConductEvent.WorryRaised raised, Optional<PersonId> settledBy) {
    /** What it is about, as the pupil says. */
    public enum About {
        NOTHING_SAID,
        A_PUPIL,
        AN_ADULT
    }

    public Instant since() {
        return raised.at();
    }

    /** Whether the adults of the lesson may know of it. */
    public boolean isForAdults() {
        return !raised.leadOnly();
    }
}
