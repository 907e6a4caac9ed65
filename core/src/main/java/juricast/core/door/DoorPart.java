package juricast.core.door;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import juricast.core.entry.ReasonCode;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.Decision;
import juricast.core.live.Gone;
import juricast.core.live.LessonEvent;
import juricast.core.live.News;
import juricast.core.live.Part;
import juricast.core.live.PlaceId;
import juricast.core.live.Room;
import juricast.core.live.Visit;
import juricast.core.live.WhoIsThere;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Fact;
import juricast.core.rules.Setting;
import juricast.core.rules.Situation;

/** Who is in, waits, or was put out, and whether the lesson goes on (needs D1, E1 to E4, E7, G2, K1). Stands below all others. */
public final class DoorPart implements Part<DoorState, DoorOrder, DoorEvent> {
    public static final DoorPart DOOR = new DoorPart();

    private DoorPart() {}

    @Override
    public String name() {
        return "door";
    }

    @Override
    public Class<DoorOrder> orders() {
        return DoorOrder.class;
    }

    @Override
    public Class<DoorEvent> events() {
        return DoorEvent.class;
    }

    @Override
    public DoorState begin() {
        return DoorState.NEW;
    }

    @Override
    public DoorState after(DoorState was, DoorEvent event, int number) {
        return was.after(event);
    }

    @Override
    public Decision decide(DoorState is, DoorOrder order, Room room) {
        return order.match(new DoorRules(is, room));
    }

    @Override
    public Optional<WhoIsThere> there(DoorState is) {
        return Optional.of(is);
    }

    @Override
    public Optional<Gone> leaves(DoorState was, DoorState is, DoorEvent event) {
        if (event instanceof DoorEvent.Dismissed) {
            return Optional.of(Gone.EVERYBODY);
        }
        if (event instanceof DoorEvent.PutOut out) {
            return Optional.of(new Gone(Set.of(out.person()), Gone.How.OUT));
        }
        Set<PersonId> gone = notThereAnyMore(was, is);
        return gone.isEmpty()
                ? Optional.empty()
                : Optional.of(new Gone(gone, event instanceof DoorEvent.KeptBack ? Gone.How.DISMISSED : Gone.How.AWAY));
    }

    private static Set<PersonId> notThereAnyMore(DoorState was, DoorState is) {
        var gone = new HashSet<PersonId>();
        for (Visit before : was.visits()) {
            if (before.isPresent()) {
                boolean stays = is.visit(before.id()).filter(Visit::isPresent).isPresent();
                before.person()
                        .filter(person -> !stays && !is.isPresent(person))
                        .ifPresent(gone::add);
            }
        }
        return gone;
    }

    @Override
    public List<Setting> imposes(DoorState is, PlaceId in) {
        return is.course().imposed();
    }

    @Override
    public Situation situation(DoorState is, PlaceId in, Situation before) {
        var present = new HashSet<PersonId>();
        boolean visitor = false;
        boolean adult = false;
        for (Visit visit : is.visits()) {
            if (visit.isPresent()) {
                adult |= visit.role().isAdultInCharge();
                visitor |= visit.role() == Role.VISITOR;
                if (!visit.role().isAdultInCharge() && visit.role() != Role.OBSERVER) {
                    present.add(visit.person().orElseThrow());
                }
            }
        }
        return before.withPresent(present.size())
                .with(Fact.VISITOR_PRESENT, visitor)
                .with(Fact.ADULT_PRESENT, adult);
    }

    /** Who is of this lesson no more is out at once; who waits is judged again when anything may have changed for them. */
    @Override
    public List<LessonEvent> follows(DoorState is, Room room, News news) {
        var all = new ArrayList<LessonEvent>(takenOff(is, room));
        if (!all.isEmpty()) {
            return all;
        }
        List<Visit> waiting = is.waiting();
        boolean isEarly = waiting.stream().anyMatch(visit -> visit.verdict().has(ReasonCode.TOO_EARLY));
        if (isEarly
                || news.isOnlyTheClock()
                || news.otherRules()
                || news.has(DoorPart::changesTheDoorway)
                || isHelpHour(room) && news.has(event -> event instanceof DoorEvent.Knocked)) {
            for (Visit visit : waiting) {
                Room now = room.after(all);
                all.addAll(new Admissions(now.of(this), now).judgedAgain(visit));
            }
        }
        return all;
    }

    /** There whoever knocks may be the company that another waits for. */
    private static boolean isHelpHour(Room room) {
        return room.rules().situation().is(Fact.HELP_HOUR);
    }

    /** Events of the door after which nobody else who waits can be judged otherwise. */
    private static final Set<Class<? extends DoorEvent>> ABOUT_ONE_ALONE = Set.of(
            DoorEvent.Knocked.class,
            DoorEvent.Judged.class,
            DoorEvent.TurnedAway.class,
            DoorEvent.GuestLetIn.class,
            DoorEvent.Renamed.class,
            DoorEvent.SeenOut.class);

    private static boolean changesTheDoorway(LessonEvent event) {
        return event instanceof DoorEvent && !ABOUT_ONE_ALONE.contains(event.getClass());
    }

    private static List<LessonEvent> takenOff(DoorState is, Room room) {
        return is.visits().stream()
                .filter(visit -> visit.goesOn()
                        && visit.person().filter(room.plan()::isFormer).isPresent())
                .<LessonEvent>map(visit ->
                        new DoorEvent.TakenOff(visit.id(), visit.person().orElseThrow(), room.now()))
                .toList();
    }

    /** When those who came too early, or were sent to the door for a time, may come in. */
    @Override
    public Optional<Instant> due(DoorState is, Room room) {
        return Stream.concat(tooEarly(is, room), sentUntil(is)).min(Instant::compareTo);
    }

    private static Stream<Instant> sentUntil(DoorState is) {
        return is.waiting().stream()
                .filter(visit -> visit.verdict().has(ReasonCode.SENT_TO_DOOR))
                .flatMap(visit -> is.sentToDoor().values().stream()
                        .filter(one -> visit.isOf(one.person())
                                || one.devices().contains(visit.arrival().device()))
                        .flatMap(one -> one.until().stream()));
    }

    private static Stream<Instant> tooEarly(DoorState is, Room room) {
        return is.waiting().stream()
                .filter(visit -> visit.verdict().has(ReasonCode.TOO_EARLY))
                .map(visit -> room.plan()
                        .time()
                        .from()
                        .minus(room.rules()
                                .atDoor(visit.arrival().hasAccount())
                                .value(Catalogue.EARLY_MINUTES, visit.role(), room.now())
                                .length()));
    }
}
