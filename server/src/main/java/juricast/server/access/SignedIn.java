package juricast.server.access;

import java.util.Optional;
import juricast.core.identity.PersonId;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;

/**
 * Who is calling.
 *
 * @param session names the sign-in; not the secret in the cookie
 * @param missing what must be done before anything else may be
 */
public record SignedIn(PersonId person, String name, Position position, String session, Missing missing) {
    /** What an account still lacks. */
    public enum Missing {
        NOTHING,
        /** It was reached by a code that counts once. */
        OWN_PASSWORD,
        /** The school asks for one of those in this position. */
        SECOND_FACTOR
    }

    /** Who calls in the request that this thread answers, if anybody is signed in. */
    public static Optional<SignedIn> calling() {
        return Optional.ofNullable(SecurityContextHolder.getContext().getAuthentication())
                .map(Authentication::getPrincipal)
                .filter(SignedIn.class::isInstance)
                .map(SignedIn.class::cast);
    }

    public boolean isLead() {
        return position == Position.LEAD;
    }
}
