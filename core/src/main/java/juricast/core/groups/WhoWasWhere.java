package juricast.core.groups;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import juricast.core.door.DoorEvent;
import juricast.core.door.DoorPart;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.Erased;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonState;
import juricast.core.live.PlaceId;
import juricast.core.live.Visit;
import juricast.core.time.Span;

/**
 * Who was in which place of a lesson, worked out from its events (need L1): each stay of each person, their times together, and how
 * long each group was without an adult's eye.
 *
 * @param stays all stays, by when they began; those of one person do not overlap, and together they are their presence
 * @param alone for each group that was out, the seconds pupils were in it with no adult's eye on them
 */
public record WhoWasWhere(List<Stay> stays, Map<PlaceId, Duration> alone) {
    /** Somebody in one place. @param name of the group; empty for the class together @param round which time out it was, from 1; 0 together */
    public record Stay(PersonId person, PlaceId place, String name, int round, Span time) {
        public boolean isInGroup() {
            return !place.equals(PlaceId.TOGETHER);
        }
    }

    /** Two people in one group. */
    public record Meeting(PersonId one, PersonId other, Stay where, Span time) {}

    public WhoWasWhere {
        stays = List.copyOf(stays);
        alone = Map.copyOf(alone);
    }

    /** @param until where the lesson goes on, up to when it is counted */
    public static WhoWasWhere of(List<LessonEvent> events, Instant until) {
        var walk = new Walk();
        for (LessonEvent event : events) {
            if (event instanceof DoorEvent || event instanceof GroupsEvent || event instanceof Erased) {
                walk.step(event);
            }
        }
        return walk.upTo(until);
    }

    /** Stays in groups of one person, in order. */
    public List<Stay> inGroups(PersonId person) {
        return stays.stream()
                .filter(stay -> stay.isInGroup() && stay.person.equals(person))
                .toList();
    }

    /** The groups of each time out as they were filled, the first time first. */
    public List<List<Set<PersonId>>> rounds() {
        var all = new LinkedHashMap<Integer, Map<PlaceId, Set<PersonId>>>();
        stays.stream().filter(Stay::isInGroup).forEach(stay -> all.computeIfAbsent(
                        stay.round, round -> new LinkedHashMap<>())
                .computeIfAbsent(stay.place, place -> new HashSet<>())
                .add(stay.person));
        return all.entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(round -> List.copyOf(round.getValue().values()))
                .toList();
    }

    /** When these people were in one group, two by two. */
    public List<Meeting> meetings(Set<PersonId> people) {
        var all = new ArrayList<Meeting>();
        List<Stay> theirs = stays.stream()
                .filter(stay -> stay.isInGroup() && people.contains(stay.person))
                .toList();
        for (int i = 0; i < theirs.size(); i++) {
            for (int j = i + 1; j < theirs.size(); j++) {
                Stay one = theirs.get(i);
                Stay other = theirs.get(j);
                if (one.place.equals(other.place) && !one.person.equals(other.person)) {
                    one.time
                            .within(other.time)
                            .ifPresent(time -> all.add(new Meeting(one.person, other.person, one, time)));
                }
            }
        }
        return all;
    }

    /** Goes from event to event and notes who goes where. */
    private static final class Walk {
        private LessonState state = LessonState.begin(List.of(DoorPart.DOOR, GroupsPart.GROUPS));
        private final Map<PersonId, Stay> open = new HashMap<>();
        private final List<Stay> closed = new ArrayList<>();
        private final Map<PlaceId, Duration> alone = new HashMap<>();
        private int round;

        void step(LessonEvent event) {
            LessonState next = state.after(event);
            if (event instanceof GroupsEvent.SentOut) {
                round++;
            }
            if (state.of(GroupsPart.GROUPS).isApart()
                    && !next.of(GroupsPart.GROUPS).isApart()) {
                countAlone(event.at());
            }
            state = next;
            note(event.at());
        }

        private void countAlone(Instant at) {
            GroupsState groups = state.of(GroupsPart.GROUPS);
            groups.groups().stream()
                    .filter(group -> groups.standing().containsKey(group.id()))
                    .forEach(group ->
                            alone.merge(group.id(), groups.standing(group.id()).alone(at), Duration::plus));
        }

        private void note(Instant at) {
            Map<PersonId, PlaceId> now = new HashMap<>();
            for (Visit visit : state.there().visits()) {
                if (visit.isPresent()
                        && visit.role() != Role.OBSERVER
                        && !visit.role().isAdultInCharge()) {
                    PersonId person = visit.person().orElseThrow();
                    now.put(person, state.where().placeOf(person));
                }
            }
            for (PersonId person : Set.copyOf(open.keySet())) {
                Stay stay = open.get(person);
                boolean isNewRound = stay.isInGroup() && stay.round != round;
                if (!stay.place.equals(now.get(person)) || isNewRound) {
                    close(open.remove(person), at);
                }
            }
            now.forEach((person, place) -> open.computeIfAbsent(person, one -> begun(one, place, at)));
        }

        /** Its time is a moment only, until it is closed. */
        private Stay begun(PersonId person, PlaceId place, Instant at) {
            boolean isGroup = !place.equals(PlaceId.TOGETHER);
            String name =
                    state.of(GroupsPart.GROUPS).group(place).map(Group::name).orElse("");
            return new Stay(person, place, name, isGroup ? round : 0, new Span(at, at.plusNanos(1)));
        }

        private void close(Stay stay, Instant at) {
            Instant from = stay.time.from();
            if (from.isBefore(at)) {
                closed.add(new Stay(stay.person, stay.place, stay.name, stay.round, new Span(from, at)));
            }
        }

        WhoWasWhere upTo(Instant until) {
            if (state.of(GroupsPart.GROUPS).isApart()) {
                countAlone(until);
            }
            open.values().forEach(stay -> close(stay, until));
            closed.sort((one, other) -> one.time.from().compareTo(other.time.from()));
            return new WhoWasWhere(closed, alone);
        }
    }
}
