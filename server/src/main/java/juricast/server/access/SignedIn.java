package juricast.server.access;

import java.util.Optional;
import java.util.Set;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.reading.Reader;
import juricast.core.reading.Reader.Post;
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

    /**
     * Who they are when they read something.
     *
     * @param adultOf classes of which they are in charge at this moment
     * @param covers lessons in which they are in charge without being an adult of the class
     * @param headOf years whose head they are
     */
    public Reader reader(Set<ClassId> adultOf, Set<LessonId> covers, Set<Integer> headOf) {
        Post post =
                switch (position) {
                    case LEAD -> Post.LEAD;
                    case TEACHER -> Post.STAFF;
                    case PUPIL -> Post.PUPIL;
                };
        return new Reader(person, post, adultOf, covers, headOf);
    }

    public boolean isLead() {
        return position == Position.LEAD;
    }
}
