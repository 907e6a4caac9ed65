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
 * @param outside where they come from, if neither by the school's account nor by a name alone
 */
public record Arrival(
        VisitId visit,
        DeviceId device,
        String claimedName,
        Optional<PersonId> account,
        Link link,
        boolean agreed,
        Optional<Outside> outside) {
    /** A way in that is not the school's. */
    public enum Way {
        /** An ordinary call: a number, and no name. */
        TELEPHONE,
        /** Signed in at another place, which vouches for the address and nothing else. */
        ACCOUNT
    }

    /** @param address the number that calls, or the address of the account, as the other side says it */
    public record Outside(Way way, String address) {}

    /** How good the link was; unknown links never become arrivals. */
    public enum Link {
        CURRENT,
        RETIRED,
        /** A link that was made for one person and one lesson: it names who comes, and is no account of the school. */
        OWN
    }

    /** Somebody who comes by the school's own page. */
    public static Arrival of(
            VisitId visit, DeviceId device, String claimedName, Optional<PersonId> account, Link link, boolean agreed) {
        return new Arrival(visit, device, claimedName, account, link, agreed, Optional.empty());
    }

    /** The address they come from, if they come this way. */
    public Optional<String> from(Way way) {
        return outside.filter(one -> one.way == way).map(Outside::address);
    }

    /** Whether they are signed in with an account of the school. */
    public boolean hasAccount() {
        return account.isPresent() && link != Link.OWN;
    }
}
