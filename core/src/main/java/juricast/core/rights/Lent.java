package juricast.core.rights;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.Copies;
import juricast.core.rules.Rule;
import juricast.core.rules.Setting;

/**
 * Passes and curbs that have not been ended, of each person.
 *
 * @param ended the passes to speak that were ended together with the last one
 */
record Lent(Map<PersonId, List<Setting>> all, List<EndedPass> ended) {
    static final Lent NOTHING = new Lent(Map.of(), List.of());

    /** A pass that somebody ended before its time. */
    record EndedPass(PersonId person, Setting pass, PersonId by, Instant at) {}

    List<Setting> to(PersonId person) {
        return all.getOrDefault(person, List.of());
    }

    Optional<Setting> to(PersonId person, Rule<?> right) {
        return to(person).stream().filter(one -> one.set().rule().equals(right)).findFirst();
    }

    Lent with(PersonId person, Setting loan) {
        return new Lent(
                Copies.with(all, person, Copies.plus(without(person, loan.set().rule()), loan)), ended);
    }

    Lent ended(PersonId person, Rule<?> right) {
        List<Setting> rest = without(person, right);
        return new Lent(rest.isEmpty() ? Copies.without(all, person) : Copies.with(all, person, rest), ended);
    }

    Lent remembering(List<EndedPass> passes) {
        return new Lent(all, passes);
    }

    Lent without(Iterable<PersonId> people) {
        Map<PersonId, List<Setting>> rest = Copies.without(all, people);
        return rest == all ? this : new Lent(rest, ended);
    }

    private List<Setting> without(PersonId person, Rule<?> right) {
        return to(person).stream()
                .filter(loan -> !loan.set().rule().equals(right))
                .toList();
    }
}
