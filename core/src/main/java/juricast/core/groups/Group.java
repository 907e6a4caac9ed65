package juricast.core.groups;

import java.util.ArrayList;
import java.util.List;
import juricast.core.identity.PersonId;
import juricast.core.live.PlaceId;

/**
 * One group as it is drawn up.
 *
 * @param id its place in the lesson, never used for another group
 * @param people who is meant to be in it
 * @param locked whether it stays as it is when groups are made anew
 */
public record Group(PlaceId id, String name, List<PersonId> people, boolean locked) {
    public Group {
        people = List.copyOf(people);
    }

    Group named(String other) {
        return new Group(id, other, people, locked);
    }

    Group locked(boolean on) {
        return new Group(id, name, people, on);
    }

    Group of(List<PersonId> others) {
        return new Group(id, name, others, locked);
    }

    Group with(PersonId one) {
        var all = new ArrayList<>(people);
        all.add(one);
        return of(all);
    }

    Group without(PersonId one) {
        return people.contains(one)
                ? of(people.stream().filter(other -> !other.equals(one)).toList())
                : this;
    }
}
