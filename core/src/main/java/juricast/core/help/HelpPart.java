package juricast.core.help;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.door.DoorEvent;
import juricast.core.door.LastWord;
import juricast.core.groups.GroupsPart;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.Decision;
import juricast.core.live.LessonEvent;
import juricast.core.live.News;
import juricast.core.live.Part;
import juricast.core.live.PlaceId;
import juricast.core.live.Refusal;
import juricast.core.live.Room;
import juricast.core.live.Visit;
import juricast.core.live.WhoIsThere;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Fact;
import juricast.core.rules.Rule;
import juricast.core.rules.Situation;
import juricast.core.signals.SignalsPart;

/**
 * A help hour: planned as one, or a lesson that goes over into one (need B10). Who comes in is decided at the door, which knows of
 * it by the situation; here stands when it begins, when it must end, and that nobody stays alone with one adult.
 */
public final class HelpPart implements Part<HelpState, HelpOrder, HelpEvent> {
    public static final HelpPart HELP = new HelpPart();

    /** From so long before its planned end on a lesson can go over into one. */
    public static final Duration BEFORE_THE_END = Duration.ofMinutes(10);

    /** How long one pupil may be alone with one adult while another goes and the next comes. */
    public static final Duration ALONE = Duration.ofMinutes(1);

    public static final int SHORTEST = 5;
    public static final int LONGEST = 120;

    private HelpPart() {}

    @Override
    public String name() {
        return "help";
    }

    @Override
    public Class<HelpOrder> orders() {
        return HelpOrder.class;
    }

    @Override
    public Class<HelpEvent> events() {
        return HelpEvent.class;
    }

    @Override
    public HelpState begin() {
        return HelpState.NEW;
    }

    @Override
    public HelpState after(HelpState was, HelpEvent event, int number) {
        return event.match(was::begun);
    }

    @Override
    public HelpState counted(HelpState was, WhoIsThere there, Instant at) {
        return was.counted(there, at);
    }

    @Override
    public Situation situation(HelpState is, PlaceId in, Situation before) {
        return is.isOn() ? before.with(Fact.HELP_HOUR, true) : before;
    }

    @Override
    public Decision decide(HelpState is, HelpOrder order, Room room) {
        return order.match(stay -> stay(is, stay, room));
    }

    private static Decision stay(HelpState is, HelpOrder.Stay order, Room room) {
        return room.who().adult(order.by(), Catalogue.HELP_DISMISS).orElseGet(() -> {
            if (is.isOn()) {
                return Refusal.of(HelpRefusal.IS_ONE_ALREADY);
            }
            if (order.minutes() < SHORTEST || order.minutes() > LONGEST) {
                return Refusal.of(HelpRefusal.WRONG_LENGTH);
            }
            if (room.now().isBefore(room.plan().time().until().minus(BEFORE_THE_END))) {
                return Refusal.of(HelpRefusal.LESSON_GOES_ON);
            }
            if (room.of(GroupsPart.GROUPS).isApart()) {
                return Refusal.of(HelpRefusal.IN_GROUPS);
            }
            var begun = new HelpEvent.Begun(
                    room.now().plus(Duration.ofMinutes(order.minutes())), true, order.by(), room.now());
            Set<PersonId> staying = staying(room.after(List.of(begun)));
            // Who goes has gone before it begins: to it came only those who stay.
            var events = new ArrayList<LessonEvent>();
            pupils(room)
                    .filter(visit -> !staying.contains(visit.person().orElseThrow()))
                    .forEach(visit -> events.add(new DoorEvent.Left(visit.id(), room.now())));
            events.add(begun);
            return new Decision.Done(events);
        });
    }

    /** Who has a hand up has a question, the longest first; as many as may be in at once, and not one alone where it must not be. */
    private static Set<PersonId> staying(Room room) {
        int places = room.rules()
                .value(Catalogue.HELP_AT_ONCE, Rule.ANSWERS, room.now())
                .number();
        Set<PersonId> staying = room.of(SignalsPart.SIGNALS).hands().entrySet().stream()
                .filter(one -> room.there().isPresent(one.getKey()))
                .sorted(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .limit(places)
                .collect(Collectors.toSet());
        return staying.size() == 1 && LastWord.aloneWithOne(room).isPresent() ? Set.of() : staying;
    }

    private static Stream<Visit> pupils(Room room) {
        return room.there().visits().stream()
                .filter(visit -> visit.status() == Visit.Status.IN
                        && !visit.role().isAdultInCharge()
                        && visit.role() != Role.OBSERVER);
    }

    @Override
    public List<LessonEvent> follows(HelpState is, Room room, News news) {
        if (room.there().isOver()) {
            return List.of();
        }
        if (!is.isOn()) {
            boolean begins = room.plan().helpHour() && room.there().isOpen();
            return begins
                    ? List.of(new HelpEvent.Begun(room.plan().time().until(), false, PersonId.RULES, room.now()))
                    : List.of();
        }
        if (is.hadAdult() && hasNoAdult(is, room)) {
            return List.of(new DoorEvent.Dismissed(PersonId.RULES, room.now()));
        }
        boolean isAlone = is.oneSince()
                        .filter(since -> !room.now().isBefore(since.plus(ALONE)))
                        .isPresent()
                && LastWord.aloneWithOne(room).isPresent();
        return isAlone
                ? pupils(room)
                        .<LessonEvent>map(visit -> new DoorEvent.Left(visit.id(), room.now()))
                        .toList()
                : List.of();
    }

    /** It ends with the adult: at once when they go, and when a lost line has not come back in the time that the rules give. */
    private static boolean hasNoAdult(HelpState is, Room room) {
        boolean isThere = room.there().visits().stream()
                .anyMatch(visit ->
                        visit.status() == Visit.Status.IN && visit.role().isAdultInCharge());
        return !isThere
                || is.noAdultSince()
                        .filter(since -> !room.now().isBefore(since.plus(grace(room))))
                        .isPresent();
    }

    private static Duration grace(Room room) {
        return room.rules()
                .value(Catalogue.ALONE_MINUTES, Rule.ANSWERS, room.now())
                .length();
    }

    @Override
    public Optional<Instant> due(HelpState is, Room room) {
        if (!is.isOn() || room.there().isOver()) {
            return Optional.empty();
        }
        Stream<Instant> line =
                is.hadAdult() ? is.noAdultSince().map(since -> since.plus(grace(room))).stream() : Stream.of();
        Stream<Instant> one = LastWord.aloneWithOne(room).isPresent()
                ? is.oneSince().map(since -> since.plus(ALONE)).stream()
                : Stream.of();
        return Stream.concat(line, one).min(Instant::compareTo);
    }
}
