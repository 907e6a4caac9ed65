package juricast.core.grouping;

import java.util.List;
import juricast.core.identity.PersonId;

/**
 * Groups prepared for a class before a lesson, under a name.
 *
 * @param task what is to be done in them
 */
public record Prepared(String id, String name, String task, List<Named> groups) {
    /** One of them. */
    public record Named(String name, List<PersonId> people) {
        public Named {
            people = List.copyOf(people);
        }
    }

    public Prepared {
        groups = List.copyOf(groups);
    }

    /** Who is meant to be in each. */
    public List<List<PersonId>> people() {
        return groups.stream().map(Named::people).toList();
    }
}
