package juricast.core.rights;

import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import juricast.core.identity.PersonId;
import juricast.core.live.Copies;
import juricast.core.live.Gone;
import juricast.core.live.PlaceId;
import juricast.core.live.Stance;
import juricast.core.live.WhoIsWhere;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.core.rules.Setting;

/**
 * What is on, what was ordered for all, and what was lent to one or closed to one.
 *
 * @param appliances what each person has switched on
 * @param spoken how often each person has switched the microphone on
 */
public record RightsState(
        Map<PersonId, Set<Appliance>> appliances, Map<PersonId, Integer> spoken, Lent lent, Ordered ordered) {
    static final RightsState NEW = new RightsState(Map.of(), Map.of(), Lent.NOTHING, Ordered.NOTHING);

    public Set<Appliance> on(PersonId person) {
        return appliances.getOrDefault(person, Set.of());
    }

    /** Everyone who has something switched on. */
    public Set<PersonId> withSomethingOn() {
        return appliances.keySet();
    }

    /** How often this person has switched the microphone on. */
    public int timesSpoken(PersonId person) {
        return spoken.getOrDefault(person, 0);
    }

    /** Who shows something to everybody in a place. */
    public Optional<PersonId> showing(WhoIsWhere where, PlaceId in) {
        return appliances.entrySet().stream()
                .filter(one -> where.placeOf(one.getKey()).equals(in))
                .filter(one -> one.getValue().stream().anyMatch(Appliance::isShowing))
                .map(Map.Entry::getKey)
                .findFirst();
    }

    /** Passes and curbs of a person that have not been ended yet. */
    public List<Setting> loans(PersonId person) {
        return lent.to(person);
    }

    /** Passes and curbs of everybody that have not been ended yet. */
    public Map<PersonId, List<Setting>> allLoans() {
        return lent.all();
    }

    /** The pass or curb of one person on one right, if it is in force. */
    public Optional<Setting> loan(PersonId person, Rule<?> right, Instant now) {
        return lent.to(person, right).filter(loan -> loan.isInForce(now));
    }

    /** The stance the lesson is in, if one was switched on. */
    public Optional<Stance> stance() {
        return ordered.stance();
    }

    public Optional<Instant> stanceSince() {
        return ordered.stanceSince();
    }

    /** Live orders that are in force, the latest word on each rule. */
    public List<Setting> liveOrders() {
        return ordered.live();
    }

    public boolean isLight() {
        return !ordered.light().isEmpty();
    }

    RightsState with(Lent next) {
        return next == lent ? this : new RightsState(appliances, spoken, next, ordered);
    }

    RightsState with(Ordered next) {
        return next == ordered ? this : new RightsState(appliances, spoken, lent, next);
    }

    RightsState turnedOn(PersonId person, Appliance what) {
        Set<Appliance> now = EnumSet.of(what);
        now.addAll(on(person));
        return new RightsState(
                Copies.with(appliances, person, now),
                what == Appliance.MICROPHONE ? Copies.with(spoken, person, timesSpoken(person) + 1) : spoken,
                lent,
                ordered);
    }

    RightsState turnedOff(PersonId person, Appliance what) {
        Set<Appliance> rest = EnumSet.noneOf(Appliance.class);
        rest.addAll(on(person));
        rest.remove(what);
        return off(rest.isEmpty() ? Copies.without(appliances, person) : Copies.with(appliances, person, rest));
    }

    private RightsState off(Map<PersonId, Set<Appliance>> rest) {
        return rest == appliances ? this : new RightsState(rest, spoken, lent, ordered);
    }

    /** Nothing stays on of who is gone; what was lent stays lent as long as they may be back in a moment. */
    RightsState without(Gone gone) {
        if (gone.isEverybody()) {
            return new RightsState(Map.of(), spoken, Lent.NOTHING, ordered.over());
        }
        RightsState off = off(Copies.without(appliances, gone.who()));
        return gone.how() == Gone.How.OUT ? off.with(off.lent.without(gone.who())) : off;
    }

    /** A pass to speak that somebody ends may be given back with those that were ended in the same moment. */
    RightsState ended(RightsEvent.LoanEnded event) {
        Lent rest = lent.ended(event.person(), event.right());
        if (!event.right().equals(Catalogue.SPEAK)) {
            return with(rest);
        }
        List<Lent.EndedPass> sameMoment =
                lent.ended().stream().filter(one -> one.at().equals(event.at())).toList();
        return with(rest.remembering(lent.to(event.person(), event.right())
                .filter(loan -> loan.force() == Setting.Force.PASS)
                .map(loan -> Copies.plus(sameMoment, new Lent.EndedPass(event.person(), loan, event.by(), event.at())))
                .orElse(sameMoment)));
    }
}
