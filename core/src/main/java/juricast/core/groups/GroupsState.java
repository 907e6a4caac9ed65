package juricast.core.groups;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.Gone;
import juricast.core.live.PlaceId;
import juricast.core.live.Visit;
import juricast.core.live.WhoIsThere;
import juricast.core.live.WhoIsWhere;
import juricast.core.rules.Setting;

/**
 * Groups as they are drawn up, and where everybody is.
 *
 * @param drawn the groups and what is to be done in them
 * @param out the time in groups that goes on, if the class is apart
 * @param whereabouts who is in a group now, looks into one, and was in which
 * @param standing how it stands in each place, the class together among them; empty while it is the only one
 * @param calls groups that need an adult, and since when
 * @param quiet groups that went quiet by themselves, with what that imposes on them
 * @param lastGroups how many groups were out when the lesson ended; 0 while it goes on, and where the class was together
 */
public record GroupsState(
        DrawnGroups drawn,
        Optional<TimeOut> out,
        Whereabouts whereabouts,
        Map<PlaceId, Standing> standing,
        Map<PlaceId, Call> calls,
        Map<PlaceId, List<Setting>> quiet,
        int lastGroups)
        implements WhoIsWhere {
    static final GroupsState NEW =
            new GroupsState(DrawnGroups.NONE, Optional.empty(), Whereabouts.TOGETHER, Map.of(), Map.of(), Map.of(), 0);

    /** A call for help. @param person who pressed */
    public record Call(PersonId person, Instant since) {}

    /** The groups in their order. */
    public List<Group> groups() {
        return drawn.groups();
    }

    public Optional<Group> group(PlaceId id) {
        return drawn.group(id);
    }

    @Override
    public List<PlaceId> places() {
        return List.copyOf(standing.keySet());
    }

    @Override
    public boolean isApart() {
        return out.isPresent();
    }

    @Override
    public PlaceId placeOf(PersonId person) {
        return whereabouts.placeOf(person);
    }

    public Standing standing(PlaceId place) {
        return standing.getOrDefault(place, Standing.EMPTY);
    }

    GroupsState with(DrawnGroups next) {
        return new GroupsState(next, out, whereabouts, standing, calls, quiet, lastGroups);
    }

    GroupsState with(Whereabouts next) {
        return next == whereabouts ? this : new GroupsState(drawn, out, next, standing, calls, quiet, lastGroups);
    }

    GroupsState with(TimeOut next) {
        return new GroupsState(drawn, Optional.of(next), whereabouts, standing, calls, quiet, lastGroups);
    }

    GroupsState calling(Map<PlaceId, Call> next) {
        return next == calls ? this : new GroupsState(drawn, out, whereabouts, standing, next, quiet, lastGroups);
    }

    GroupsState quiet(Map<PlaceId, List<Setting>> next) {
        return new GroupsState(drawn, out, whereabouts, standing, calls, next, lastGroups);
    }

    /** Nobody is in a group any more; the groups stay drawn up, to be sent out again as they were. */
    GroupsState together(int number) {
        return new GroupsState(
                drawn, Optional.empty(), whereabouts.together(number), Map.of(), Map.of(), Map.of(), lastGroups);
    }

    /** A line that is lost and comes back finds the same group again; who is out or dismissed is in none. */
    GroupsState without(Gone gone) {
        if (gone.isEverybody()) {
            int groups = out.isPresent() ? drawn.groups().size() : 0;
            GroupsState over = together(Integer.MAX_VALUE);
            return new GroupsState(drawn, Optional.empty(), over.whereabouts, Map.of(), Map.of(), Map.of(), groups);
        }
        GroupsState next = with(whereabouts.lookingAway(gone.who()));
        if (!gone.isForGood() || out.isEmpty()) {
            return next;
        }
        for (PersonId who : gone.who()) {
            next = next.with(next.whereabouts.lost(who));
        }
        return next;
    }

    /** Counts anew how it stands in each place. */
    GroupsState counted(WhoIsThere there, Instant at) {
        if (out.isEmpty()) {
            return this;
        }
        var counts = new LinkedHashMap<PlaceId, Count>();
        counts.put(PlaceId.TOGETHER, new Count());
        drawn.groups().forEach(group -> counts.put(group.id(), new Count()));
        for (Visit visit : there.visits()) {
            if (visit.isPresent()) {
                PersonId person = visit.person().orElseThrow();
                counts.getOrDefault(placeOf(person), new Count()).add(person, visit.role());
                whereabouts.looksInto(person).ifPresent(place -> counts.getOrDefault(place, new Count()).looks = true);
            }
        }
        var next = new LinkedHashMap<PlaceId, Standing>();
        counts.forEach((place, count) ->
                next.put(place, standing(place).then(count.people.size(), count.visitor, count.eye(), at)));
        return next.equals(standing) ? this : new GroupsState(drawn, out, whereabouts, next, calls, quiet, lastGroups);
    }

    private static final class Count {
        private final List<PersonId> people = new ArrayList<>();
        private boolean visitor;
        private boolean adult;
        private boolean looks;

        Standing.Eye eye() {
            return adult ? Standing.Eye.IN : looks ? Standing.Eye.LOOKS : Standing.Eye.NONE;
        }

        void add(PersonId person, Role role) {
            adult |= role.isAdultInCharge();
            visitor |= role == Role.VISITOR;
            if (!role.isAdultInCharge() && role != Role.OBSERVER && !people.contains(person)) {
                people.add(person);
            }
        }
    }
}
