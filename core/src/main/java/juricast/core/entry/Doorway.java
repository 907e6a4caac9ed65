package juricast.core.entry;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import juricast.core.identity.DeviceId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.rules.LiveRules;
import juricast.core.time.Span;

/**
 * What the checks know about the lesson an arrival wants to enter.
 *
 * @param planned the planned time
 * @param list the members of the class who come in by the door, that is all but its adults
 * @param rules the rules as they are in the lesson
 * @param named whom an adult let in at this lesson for a caller, by the number that called
 */
public record Doorway(
        Span planned, List<Member> list, LiveRules rules, Inside inside, Refused refused, Map<String, PersonId> named) {
    /**
     * The room behind the door.
     *
     * @param adults how many adults in charge are in the room
     * @param watching how many look on, who see as an adult does
     * @param present who is in, with the devices they use
     * @param claimed who of those is in by a name alone, which nobody vouches for
     * @param occupants how many pupils and visitors have a place in the room
     * @param ready who waits and would come in but for the door, or for want of company
     */
    public record Inside(
            int adults,
            int watching,
            boolean over,
            Map<PersonId, Set<DeviceId>> present,
            Set<PersonId> claimed,
            int occupants,
            Set<PersonId> ready) {
        boolean adultIsIn() {
            return adults > 0;
        }
    }

    /**
     * Who was not let in, or not let stay.
     *
     * @param removed who was removed and not allowed back, with the devices they used
     * @param turnedAway devices that an adult turned away
     * @param sweeping devices that went from door to door of the school
     * @param sent who was sent back to the door
     * @param outOfSeries who is not let in until somebody has talked
     */
    public record Refused(
            Map<PersonId, Set<DeviceId>> removed,
            Set<DeviceId> turnedAway,
            Set<DeviceId> sweeping,
            List<Sent> sent,
            Set<PersonId> outOfSeries) {
        public static final Refused NOBODY = new Refused(Map.of(), Set.of(), Set.of(), List.of(), Set.of());
    }

    /** Somebody sent back to the door. @param until when they come in again by themselves, if they do */
    public record Sent(PersonId person, Set<DeviceId> devices, Optional<Instant> until) {
        boolean isOver(Instant now) {
            return until.filter(end -> !now.isBefore(end)).isPresent();
        }
    }

    /** The same with the rules as they are for who arrives: some count only with, or without, an account of the school. */
    Doorway asFor(Arrival arrival) {
        return new Doorway(planned, list, rules.atDoor(arrival.hasAccount()), inside, refused, named);
    }
}
