package juricast.core.grouping;

import java.util.List;
import juricast.core.identity.PersonId;

/**
 * Groups as they are proposed.
 *
 * @param groups everybody in exactly one of them
 * @param contradictions wishes that cannot all be kept with groups of this number and size; the groups break as little of them
 *     as was found
 * @param metAgain how many pairs of them were together lately
 * @param metAtLeast a number that no groups of these sizes come below; where it is {@code metAgain}, there are none better
 * @param withoutTrusted groups without a trusted pupil, where one was wanted in each
 * @param even whether sizes differ by one at most; binding wishes come before even groups
 */
public record Proposal(
        List<List<PersonId>> groups,
        List<Contradiction> contradictions,
        int metAgain,
        int metAtLeast,
        int withoutTrusted,
        boolean even) {
    public Proposal {
        groups = groups.stream().map(List::copyOf).toList();
        contradictions = List.copyOf(contradictions);
    }
}
