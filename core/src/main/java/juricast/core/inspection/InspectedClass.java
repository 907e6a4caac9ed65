package juricast.core.inspection;

import java.util.List;
import java.util.Set;
import juricast.core.charter.PlannedClass;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
import juricast.core.joining.JoinWord;

/**
 * A class as it is inspected.
 *
 * @param year 0 where it has none
 * @param adults those in charge, the lead adult first
 * @param link the number of the link that leads to all its lessons
 */
public record InspectedClass(
        ClassId id, String title, int year, List<PersonId> adults, Set<PersonId> pupils, JoinWord word, int link) {
    public InspectedClass {
        adults = List.copyOf(adults);
        pupils = Set.copyOf(pupils);
    }

    PlannedClass forRules() {
        return new PlannedClass(id, year, pupils.size());
    }
}
