package juricast.core.inspection;

import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;

/** Which classes have pupils in common, worked out once: a year of lessons asks some million times. */
final class SharedPupils {
    private final Map<ClassId, Integer> places = new HashMap<>();
    private final BitSet[] neighbours;

    SharedPupils(Map<ClassId, InspectedClass> classes) {
        var pupils = new HashMap<PersonId, BitSet>();
        for (InspectedClass one : classes.values()) {
            int place = places.size();
            places.put(one.id(), place);
            one.pupils().forEach(pupil -> pupils.computeIfAbsent(pupil, who -> new BitSet())
                    .set(place));
        }
        neighbours = new BitSet[places.size()];
        for (int i = 0; i < neighbours.length; i++) {
            neighbours[i] = new BitSet();
        }
        // Each pupil makes all of their classes neighbours of each other.
        pupils.values().forEach(of -> of.stream().forEach(place -> neighbours[place].or(of)));
    }

    /** Where a class stands in the questions below. */
    int place(ClassId id) {
        return places.get(id);
    }

    /** Whether two classes have pupils in common. */
    boolean areSome(int one, int other) {
        return neighbours[one].get(other);
    }

    /** Those who are in both, in a fixed order. */
    List<PersonId> of(InspectedClass one, InspectedClass other) {
        return one.pupils().stream()
                .filter(other.pupils()::contains)
                .sorted(java.util.Comparator.comparing(PersonId::value))
                .toList();
    }
}
