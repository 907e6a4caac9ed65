package juricast.core.ladder;

import java.util.Map;
import java.util.Set;
import juricast.core.identity.PersonId;

/**
 * What a lesson knows before it begins of how its pupils are met.
 *
 * @param ladder as the year of the class has it
 * @param past what its pupils bring along
 * @param out pupils who are not let into lessons of this class until somebody has talked
 */
public record Conduct(Ladder ladder, Map<PersonId, Past> past, Set<PersonId> out) {
    public static final Conduct USUAL = new Conduct(Ladder.USUAL, Map.of(), Set.of());

    public Conduct {
        past = Map.copyOf(past);
        out = Set.copyOf(out);
    }

    public Past past(PersonId person) {
        return past.getOrDefault(person, Past.NOTHING);
    }
}
