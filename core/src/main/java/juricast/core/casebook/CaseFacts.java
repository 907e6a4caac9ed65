package juricast.core.casebook;

import java.time.Instant;
import java.util.List;
import java.util.Set;
import juricast.core.identity.PersonId;
import juricast.core.ladder.Severity;

/**
 * What patterns and fairness are worked out from: one incident without its words.
 *
 * @param ofClass the title of the class, empty where it was in none
 * @param year of the class, 0 where it was in none
 * @param steps those that count, each against one pupil
 */
public record CaseFacts(
        IncidentId id,
        CaseEvent.Origin origin,
        String title,
        Instant moment,
        String ofClass,
        int year,
        String act,
        Severity severity,
        Set<PersonId> did,
        Set<PersonId> suffered,
        List<Met> steps) {
    public CaseFacts {
        did = Set.copyOf(did);
        suffered = Set.copyOf(suffered);
        steps = List.copyOf(steps);
    }

    /**
     * A step against one pupil.
     *
     * @param level which step was taken, from 1 @param proposed which was proposed
     * @param outside whether it put the pupil out of the lesson
     */
    public record Met(PersonId person, String act, int level, int proposed, boolean outside, PersonId by, Instant at) {}
}
