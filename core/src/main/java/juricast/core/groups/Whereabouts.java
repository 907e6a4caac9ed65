package juricast.core.groups;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.Copies;
import juricast.core.live.PlaceId;

/**
 * Where people are, and were.
 *
 * @param in who is in a group now
 * @param looks which adult looks into which
 * @param been who was in which group, by the numbers of events
 */
public record Whereabouts(Map<PersonId, PlaceId> in, Map<PersonId, PlaceId> looks, Map<PersonId, List<Been>> been) {
    static final Whereabouts TOGETHER = new Whereabouts(Map.of(), Map.of(), Map.of());

    /** A stay in a group. @param from the event that began it @param until the event that ended it; the largest number while it lasts */
    public record Been(PlaceId place, int from, int until) {}

    PlaceId placeOf(PersonId person) {
        return in.getOrDefault(person, PlaceId.TOGETHER);
    }

    public Optional<PlaceId> looksInto(PersonId adult) {
        return Optional.ofNullable(looks.get(adult));
    }

    /** Whether somebody was in a place when an event happened: what was written there then is theirs to read. */
    public boolean wasIn(PersonId person, PlaceId place, int number) {
        for (Been one : been.getOrDefault(person, List.of())) {
            if (one.from <= number && number < one.until) {
                // Who was removed, or sent home, from a group is out of it without an event of groups, and reads
                // nothing of it any more.
                boolean isLeft = one.until == Integer.MAX_VALUE && !one.place.equals(in.get(person));
                return !isLeft && one.place.equals(place);
            }
        }
        return place.equals(PlaceId.TOGETHER);
    }

    Whereabouts inGroup(PersonId person, PlaceId place, int number) {
        return inGroups(Map.of(person, place), number);
    }

    /** Many at once: a class that is sent out is one step. */
    Whereabouts inGroups(Map<PersonId, PlaceId> went, int number) {
        var nowIn = new LinkedHashMap<>(in);
        nowIn.putAll(went);
        var nowBeen = new HashMap<>(been);
        went.forEach((person, place) -> {
            List<Been> stays = new ArrayList<>(ended(been.getOrDefault(person, List.of()), number));
            stays.add(new Been(place, number, Integer.MAX_VALUE));
            nowBeen.put(person, stays);
        });
        return new Whereabouts(
                Collections.unmodifiableMap(nowIn),
                Copies.without(looks, went.keySet()),
                Collections.unmodifiableMap(nowBeen));
    }

    Whereabouts out(PersonId person, int number) {
        return in.containsKey(person)
                ? new Whereabouts(
                        Copies.without(in, person),
                        looks,
                        Copies.with(been, person, ended(been.getOrDefault(person, List.of()), number)))
                : this;
    }

    /** Removed or dismissed: in no group any more, and what they may read stays what they have read. */
    Whereabouts lost(PersonId person) {
        return in.containsKey(person) ? new Whereabouts(Copies.without(in, person), looks, been) : this;
    }

    Whereabouts together(int number) {
        var next = new HashMap<>(been);
        in.keySet().forEach(person -> next.put(person, ended(next.getOrDefault(person, List.of()), number)));
        return new Whereabouts(Map.of(), Map.of(), Map.copyOf(next));
    }

    Whereabouts looking(PersonId adult, PlaceId place) {
        return new Whereabouts(in, Copies.with(looks, adult, place), been);
    }

    Whereabouts lookingAway(Collection<PersonId> adults) {
        Map<PersonId, PlaceId> next = Copies.without(looks, adults);
        return next == looks ? this : new Whereabouts(in, next, been);
    }

    private static List<Been> ended(List<Been> stays, int number) {
        return stays.stream()
                .map(one -> one.until == Integer.MAX_VALUE ? new Been(one.place, one.from, number) : one)
                .toList();
    }
}
