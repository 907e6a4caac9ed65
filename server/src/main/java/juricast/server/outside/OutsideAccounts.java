package juricast.server.outside;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import juricast.server.data.Ids;
import org.springframework.stereotype.Component;

/**
 * A stand-in for the sign-in of another place: it asks for no password, and vouches for an address by a ticket that counts for
 * some minutes. What such an account is worth at a door is a rule of the school.
 */
@Component
public class OutsideAccounts {
    private static final Duration COUNTS = Duration.ofMinutes(10);
    private static final int AT_ONCE = 2000;
    private static final Pattern ADDRESS = Pattern.compile("[^@\\s]{1,60}@[a-z0-9.-]{3,60}");

    private final Clock clock;
    private final Map<String, Vouched> vouched = new LinkedHashMap<>();

    OutsideAccounts(Clock clock) {
        this.clock = clock;
    }

    private record Vouched(String address, Instant until) {}

    /** Whether something may be an address of an account. */
    static boolean isAddress(String text) {
        return ADDRESS.matcher(text).matches();
    }

    /** Vouches for an address. @return the ticket */
    synchronized String vouch(String address) {
        Instant now = clock.instant();
        vouched.values().removeIf(one -> !now.isBefore(one.until));
        if (vouched.size() >= AT_ONCE) {
            vouched.remove(vouched.keySet().iterator().next());
        }
        String ticket = Ids.next();
        vouched.put(ticket, new Vouched(address, now.plus(COUNTS)));
        return ticket;
    }

    /** The address for which a ticket vouches, as long as it counts. */
    public synchronized Optional<String> address(String ticket) {
        return Optional.ofNullable(vouched.get(ticket))
                .filter(one -> clock.instant().isBefore(one.until))
                .map(Vouched::address);
    }
}
