package juricast.core.grouping;

import java.util.Collection;
import java.util.Set;
import juricast.core.identity.PersonId;

/**
 * What a class keeps for all its groups: some people stay apart, or together.
 *
 * @param people whom it is about, at least two
 * @param binding set by the safeguarding lead: what breaks it is not sent out
 * @param reason why, for adults only
 * @param by who set it
 */
public record Wish(Kind kind, Set<PersonId> people, boolean binding, String reason, PersonId by) {
    /** The two ways to wish. */
    public enum Kind {
        /** No two of them in one group. */
        APART,
        /** All of them in one group. */
        TOGETHER
    }

    /** @throws IllegalArgumentException if it is about fewer than two people */
    public Wish {
        people = Set.copyOf(people);
        if (people.size() < 2) {
            throw new IllegalArgumentException("A wish is about two people or more");
        }
    }

    /** Whether groups break it. Who is in none of them breaks nothing. */
    public boolean isBrokenBy(Collection<? extends Collection<PersonId>> groups) {
        int holding = 0;
        for (Collection<PersonId> group : groups) {
            long here = group.stream().filter(people::contains).count();
            if (kind == Kind.APART && here > 1) {
                return true;
            }
            holding += here > 0 ? 1 : 0;
        }
        return kind == Kind.TOGETHER && holding > 1;
    }
}
