package juricast.core.entry;

import java.util.List;
import java.util.Map;
import java.util.Set;
import juricast.core.identity.DeviceId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.rules.Fact;
import juricast.core.rules.Rulebook;
import juricast.core.time.Span;

/**
 * What the checks know about the lesson an arrival wants to enter.
 *
 * @param planned the planned time
 * @param list the members of the class who come in by the door, that is all but its adults
 * @param rules the rules with the lesson's live orders
 * @param adultIsIn whether an adult in charge is in the room
 * @param present who is in, with the devices they use
 * @param occupants how many pupils and visitors have a place in the room
 * @param removed who was removed and not allowed back, with the devices they used
 * @param turnedAway devices that an adult turned away
 * @param sweeping devices that went from door to door of the school
 */
public record Doorway(
        Span planned,
        List<Member> list,
        Rulebook rules,
        boolean adultIsIn,
        boolean over,
        Map<PersonId, Set<DeviceId>> present,
        int occupants,
        Map<PersonId, Set<DeviceId>> removed,
        Set<DeviceId> turnedAway,
        Set<DeviceId> sweeping) {
    /** The same with the rules as they are for who arrives: some count only with, or without, an account of the school. */
    Doorway asFor(Arrival arrival) {
        return new Doorway(
                planned,
                list,
                rules.in(rules.situation().with(Fact.SCHOOL_ACCOUNT, arrival.hasAccount())),
                adultIsIn,
                over,
                present,
                occupants,
                removed,
                turnedAway,
                sweeping);
    }
}
