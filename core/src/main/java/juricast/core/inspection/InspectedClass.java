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
 * @param unrecorded pupils who are not known to have agreed to be recorded, in the order of their ids
 * @param apart whoever is to stay apart in groups and is not: in prepared ones, or in those of the last weeks
 */
public record InspectedClass(
        ClassId id,
        String title,
        int year,
        List<PersonId> adults,
        Set<PersonId> pupils,
        JoinWord word,
        int link,
        List<PersonId> unrecorded,
        List<KeptApart> apart) {
    /** Pupils who are to stay apart. @param minutes how long they were in one group; 0 where it is only prepared */
    public record KeptApart(List<PersonId> people, int minutes) {
        public KeptApart {
            people = List.copyOf(people);
        }
    }

    public InspectedClass(
            ClassId id, String title, int year, List<PersonId> adults, Set<PersonId> pupils, JoinWord word, int link) {
        this(id, title, year, adults, pupils, word, link, List.of(), List.of());
    }

    /** The same with whoever is not kept apart. */
    public InspectedClass notApart(List<KeptApart> who) {
        return new InspectedClass(id, title, year, adults, pupils, word, link, unrecorded, who);
    }

    /** The same with those who are not known to have agreed to be recorded. */
    public InspectedClass unrecorded(List<PersonId> who) {
        return new InspectedClass(id, title, year, adults, pupils, word, link, who, apart);
    }

    public InspectedClass {
        adults = List.copyOf(adults);
        pupils = Set.copyOf(pupils);
        unrecorded = List.copyOf(unrecorded);
        apart = List.copyOf(apart);
    }

    PlannedClass forRules() {
        return new PlannedClass(id, year, pupils.size());
    }
}
