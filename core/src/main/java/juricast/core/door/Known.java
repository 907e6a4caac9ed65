package juricast.core.door;

import static juricast.core.live.Copies.plus;
import static juricast.core.live.Copies.with;
import static juricast.core.live.Copies.without;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import juricast.core.identity.DeviceId;
import juricast.core.identity.PersonId;
import juricast.core.live.Removal;

/**
 * What is known of people besides their visits.
 *
 * @param names under which some are shown
 * @param inCharge who took charge though not planned as an adult of the lesson
 * @param wereIn who was let in at any time
 * @param guests those on no list whom an adult let in
 * @param sweeps devices that went from door to door of the school
 * @param sent who was sent back to the door and has not come in since
 */
record Known(
        Map<PersonId, Removal> removals,
        Map<PersonId, String> names,
        Set<PersonId> inCharge,
        Set<PersonId> wereIn,
        List<DoorEvent.GuestLetIn> guests,
        Map<DeviceId, DoorEvent.SweepNoticed> sweeps,
        Map<PersonId, SentOut> sent) {
    static final Known NOTHING = new Known(Map.of(), Map.of(), Set.of(), Set.of(), List.of(), Map.of(), Map.of());

    Known removed(Removal removal) {
        return new Known(with(removals, removal.person(), removal), names, inCharge, wereIn, guests, sweeps, sent);
    }

    Known allowedBack(PersonId person) {
        return new Known(without(removals, person), names, inCharge, wereIn, guests, sweeps, sent);
    }

    Known named(PersonId person, String name) {
        return new Known(removals, with(names, person, name), inCharge, wereIn, guests, sweeps, sent);
    }

    Known inCharge(PersonId person) {
        return new Known(removals, names, and(inCharge, person), wereIn, guests, sweeps, sent);
    }

    Known wasIn(PersonId person) {
        return wereIn.contains(person)
                ? this
                : new Known(removals, names, inCharge, and(wereIn, person), guests, sweeps, sent);
    }

    Known guest(DoorEvent.GuestLetIn event) {
        return new Known(removals, names, inCharge, wereIn, plus(guests, event), sweeps, sent);
    }

    Known swept(DoorEvent.SweepNoticed event) {
        return new Known(removals, names, inCharge, wereIn, guests, with(sweeps, event.device(), event), sent);
    }

    Known sent(SentOut one) {
        return new Known(removals, names, inCharge, wereIn, guests, sweeps, with(sent, one.person(), one));
    }

    Known inAgain(PersonId person) {
        return sent.containsKey(person)
                ? new Known(removals, names, inCharge, wereIn, guests, sweeps, without(sent, person))
                : this;
    }

    private static Set<PersonId> and(Set<PersonId> some, PersonId one) {
        var all = new HashSet<>(some);
        all.add(one);
        return Set.copyOf(all);
    }
}
