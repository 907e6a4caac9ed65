package juricast.core.entry;

import java.util.Optional;
import juricast.core.identity.DeviceId;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;

/**
 * Somebody at the door.
 *
 * @param claimedName what the person, or the device, calls itself
 * @param account who is signed in, or whose own link it is, which goes before any name
 * @param link whether the link that was used still counts
 * @param agreed whether the house rules were read and agreed to (need D3)
 */
public record Arrival(
        VisitId visit, DeviceId device, String claimedName, Optional<PersonId> account, Link link, boolean agreed) {
    /** How good the link was; unknown links never become arrivals. */
    public enum Link {
        CURRENT,
        RETIRED,
        /** A link that was made for one person and one lesson: it names who comes, and is no account of the school. */
        OWN
    }

    /** Whether they are signed in with an account of the school. */
    public boolean hasAccount() {
        return account.isPresent() && link != Link.OWN;
    }
}
