package juricast.core.grouping;

import java.util.List;

/**
 * A wish that cannot be kept, and what it stands against: with these wishes and groups of this number and size nobody can make
 * groups. Left out of {@code with} is whatever has no part in it.
 *
 * @param with the others that are kept, none where even groups alone stand against it
 */
public record Contradiction(Wish dropped, List<Wish> with) {
    public Contradiction {
        with = List.copyOf(with);
    }
}
