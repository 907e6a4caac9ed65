package juricast.core.groups;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import juricast.core.door.DoorPart;
import juricast.core.grouping.Grouping;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;
import juricast.core.live.PlaceId;
import juricast.core.live.Room;
import juricast.core.live.RunningOrder;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.YesNo;

/** What follows by itself while the class is apart, and what is due to send it out. */
public record Apart(GroupsState is, Room room) {
    /** The time is over, or everybody was to be back by now; a last word with one pupil needs no groups. */
    List<LessonEvent> ended() {
        TimeOut out = is.out().orElseThrow();
        boolean isLastWord = room.of(DoorPart.DOOR).lastWord().isPresent();
        return isLastWord || !room.now().isBefore(out.ends())
                ? List.of(new GroupsEvent.Together(isLastWord ? PersonId.RULES : PersonId.CLOCK, room.now()))
                : List.of();
    }

    /** Who is there and in no group, without having come back by themselves, in the order of the class list (need H4). */
    public List<PersonId> late() {
        return is.out()
                .filter(out -> !out.isCalledBack())
                .map(out -> room.plan().classList().stream()
                        .map(Member::person)
                        .filter(person -> room.there().isPresent(person)
                                && is.placeOf(person).equals(PlaceId.TOGETHER)
                                && !out.invited().contains(person)
                                && !out.cameBack().contains(person))
                        .toList())
                .orElse(List.of());
    }

    /** The group somebody goes to who comes later: theirs if one was drawn up with them, else the one that needs them. */
    public Optional<PlaceId> placeFor(PersonId person) {
        return is.drawn().groupOf(person).map(Group::id).or(() -> {
            Map<PlaceId, List<PersonId>> groups = new LinkedHashMap<>();
            is.groups().stream()
                    .filter(group -> !group.people().isEmpty())
                    .forEach(group -> groups.put(group.id(), group.people()));
            return Grouping.placeFor(person, groups, room.plan().wishes());
        });
    }

    List<LessonEvent> goLate() {
        var all = new ArrayList<LessonEvent>();
        for (PersonId person : late()) {
            if (room.who().ruling(person, Catalogue.GROUP_LATE).value() == Permission.OPEN) {
                Room now = room.after(all);
                new Apart(now.of(GroupsPart.GROUPS), now)
                        .placeFor(person)
                        .ifPresent(place -> all.addAll(going(person, place, PersonId.RULES)));
            }
        }
        return all;
    }

    /** Somebody goes to a group, and belongs to it from now on. */
    List<LessonEvent> going(PersonId person, PlaceId place, PersonId by) {
        var all = new ArrayList<LessonEvent>();
        if (is.drawn().groupOf(person).filter(group -> group.id().equals(place)).isEmpty()) {
            all.add(new GroupsEvent.Moved(person, Optional.of(place), by, room.now()));
        }
        all.add(new GroupsEvent.WentIn(person, place, by, room.now()));
        return all;
    }

    List<LessonEvent> quietAndSeen() {
        var all = new ArrayList<LessonEvent>();
        boolean isRuled = goesQuiet();
        for (Group group : is.groups()) {
            Optional<Instant> since = is.standing(group.id()).aloneSince();
            boolean isQuiet = is.quiet().containsKey(group.id());
            if (isQuiet && (since.isEmpty() || !isRuled)) {
                all.add(new GroupsEvent.SeenAgain(group.id(), room.now()));
            }
            since.filter(from -> isRuled && !isQuiet && !room.now().isBefore(from.plus(mayBeAlone())))
                    .ifPresent(from -> all.add(new GroupsEvent.WentQuiet(group.id(), from, room.now())));
        }
        return all;
    }

    /** How long a group may be without an adult's eye. */
    public Duration mayBeAlone() {
        return room.rules()
                .value(Catalogue.GROUP_ALONE, Rule.ANSWERS, room.now())
                .length();
    }

    private boolean goesQuiet() {
        return room.rules().value(Catalogue.GROUP_QUIET, Rule.ANSWERS, room.now()) == YesNo.YES;
    }

    /** The step of the running order that has groups for now, if the class has not been sent out since it began. */
    public Optional<RunningOrder.Planned> dueStep() {
        return room.plan()
                .order()
                .at(room.now(), room.plan().time())
                .filter(step -> !is.isApart()
                        && step.groups().isPresent()
                        && !room.now().isBefore(step.time().from())
                        && is.drawn()
                                .sentAt()
                                .map(sent -> sent.isBefore(step.time().from()))
                                .orElse(true));
    }

    List<LessonEvent> sentByTheClock() {
        return dueStep()
                .map(step -> new GroupsRules(is, room)
                        .sentAsPlanned(step)
                        .either(events -> events, refused -> List.<LessonEvent>of()))
                .orElse(List.of());
    }

    /** When groups go quiet, or are sent by the clock. */
    Stream<Instant> dueTimes() {
        Stream<Instant> quiet = is.isApart() && goesQuiet()
                ? is.groups().stream()
                        .filter(group -> !is.quiet().containsKey(group.id()))
                        .flatMap(group -> is.standing(group.id()).aloneSince().stream())
                        .map(since -> since.plus(mayBeAlone()))
                : Stream.empty();
        boolean isNow = room.plan().order().byTheClock() && !sentByTheClock().isEmpty();
        return Stream.concat(quiet, isNow ? Stream.of(room.now()) : Stream.empty());
    }
}
