package juricast.core.grouping;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import juricast.core.identity.PersonId;

/** Who was in a group with whom lately. @param lessons the groups of each time out, latest first */
public record Met(List<List<Set<PersonId>>> lessons) {
    public static final Met NOBODY = new Met(List.of());

    public Met {
        lessons = lessons.stream()
                .map(groups -> groups.stream().map(Set::copyOf).toList())
                .toList();
    }

    /** The last {@code n} of them. */
    public Met last(int n) {
        return new Met(lessons.subList(0, Math.min(n, lessons.size())));
    }

    /** Of these people, by their places in the list: whether two of them were in one group. */
    boolean[][] among(List<PersonId> people) {
        var met = new boolean[people.size()][people.size()];
        for (List<Integer> group : groupsOf(people)) {
            for (int one : group) {
                for (int other : group) {
                    met[one][other] = one != other;
                }
            }
        }
        return met;
    }

    /** Earlier groups, as places in the list of those who are here, largest first. */
    List<List<Integer>> groupsOf(List<PersonId> people) {
        var all = new ArrayList<List<Integer>>();
        var known = new HashSet<List<Integer>>();
        for (List<Set<PersonId>> groups : lessons) {
            for (Set<PersonId> group : groups) {
                var here = new ArrayList<Integer>();
                for (int i = 0; i < people.size(); i++) {
                    if (group.contains(people.get(i))) {
                        here.add(i);
                    }
                }
                if (here.size() > 1 && known.add(here)) {
                    all.add(here);
                }
            }
        }
        all.sort((one, other) -> other.size() - one.size());
        return all;
    }
}
