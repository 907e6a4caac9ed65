package juricast.core.rights;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import juricast.core.door.DoorEvent;
import juricast.core.entry.Arrival;
import juricast.core.groups.GroupsEvent;
import juricast.core.identity.PersonId;
import juricast.core.live.Decision;
import juricast.core.live.Gone;
import juricast.core.live.LessonEvent;
import juricast.core.live.News;
import juricast.core.live.Part;
import juricast.core.live.PlaceId;
import juricast.core.live.Room;
import juricast.core.live.RunningOrder;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.core.rules.Setting;
import juricast.core.rules.YesNo;

/** Voice, camera and what is shown; stances and live orders; what is lent to one and closed to one (needs F1, F5, F7, F10, F11). */
public final class RightsPart implements Part<RightsState, RightsOrder, RightsEvent> {
    public static final RightsPart RIGHTS = new RightsPart();

    private RightsPart() {}

    @Override
    public String name() {
        return "rights";
    }

    @Override
    public Class<RightsOrder> orders() {
        return RightsOrder.class;
    }

    @Override
    public Class<RightsEvent> events() {
        return RightsEvent.class;
    }

    @Override
    public RightsState begin() {
        return RightsState.NEW;
    }

    @Override
    public RightsState after(RightsState was, RightsEvent event, int number) {
        return event.match(new RightsFold(was));
    }

    @Override
    public Decision decide(RightsState is, RightsOrder order, Room room) {
        return order.match(new RightsRules(is, room));
    }

    @Override
    public RightsState gone(RightsState was, Gone gone) {
        return was.without(gone);
    }

    @Override
    public List<Setting> imposes(RightsState is, PlaceId in) {
        return is.ordered().all();
    }

    @Override
    public List<Setting> lent(RightsState is, PersonId to) {
        return is.loans(to);
    }

    /** What ends with its time, the stance that is due, microphones of who just came in, and what nobody may have on any more. */
    @Override
    public List<LessonEvent> follows(RightsState is, Room room, News news) {
        var all = new ArrayList<LessonEvent>(ended(is, room));
        overLive(is, room)
                .map(rule -> new RightsEvent.LiveEnded(rule, PersonId.CLOCK, room.now()))
                .forEach(all::add);
        if (room.plan().order().byTheClock() && room.there().isOpen()) {
            dueStance(is, room)
                    .map(due -> new RightsEvent.StanceSwitched(due.stance(), true, PersonId.CLOCK, room.now()))
                    .ifPresent(all::add);
        }
        news.events().stream().flatMap(event -> heardAtOnce(event, is, room)).forEach(all::add);
        news.events().stream().flatMap(event -> shownElsewhere(event, is, room)).forEach(all::add);
        return all.isEmpty() ? switchedOff(is, room) : all;
    }

    private static Stream<Rule<?>> overLive(RightsState is, Room room) {
        return is.liveOrders().stream()
                .filter(one -> !room.now().isBefore(one.until()))
                .<Rule<?>>map(one -> one.set().rule())
                .distinct();
    }

    private static List<RightsEvent> ended(RightsState is, Room room) {
        var all = new ArrayList<RightsEvent>();
        is.lent().all().forEach((person, loans) -> loans.stream()
                .filter(loan -> !room.now().isBefore(loan.until()))
                .forEach(loan -> Catalogue.rightByKey(loan.set().rule().key())
                        .map(right -> new RightsEvent.LoanEnded(person, right, PersonId.CLOCK, room.now()))
                        .ifPresent(all::add)));
        return all;
    }

    /** The stance that the running order has for now, if the lesson has not been switched since that step began. */
    public static Optional<RunningOrder.Planned> dueStance(RightsState is, Room room) {
        return room.plan()
                .order()
                .at(room.now(), room.plan().time())
                .filter(planned -> !room.now().isBefore(planned.time().from()))
                .filter(planned -> is.stanceSince()
                        .map(since -> since.isBefore(planned.time().from()))
                        .orElse(true));
    }

    private static Stream<RightsEvent> heardAtOnce(LessonEvent event, RightsState is, Room room) {
        if (!(event instanceof DoorEvent.Admitted admitted)) {
            return Stream.empty();
        }
        return Stream.concat(
                onArrival(admitted, Appliance.MICROPHONE, Catalogue.ARRIVE_MUTED, is, room),
                isByTelephone(admitted, room)
                        ? Stream.empty()
                        : onArrival(admitted, Appliance.CAMERA, Catalogue.ARRIVE_UNSEEN, is, room));
    }

    private static boolean isByTelephone(DoorEvent.Admitted admitted, Room room) {
        return room.there()
                .visit(admitted.visit())
                .flatMap(visit -> visit.arrival().from(Arrival.Way.TELEPHONE))
                .isPresent();
    }

    /** What is on when somebody comes in, unless the rule says that it is off then, or they may not have it on. */
    private static Stream<RightsEvent> onArrival(
            DoorEvent.Admitted admitted, Appliance what, Rule<YesNo> offRule, RightsState is, Room room) {
        boolean off = room.rules().value(offRule, admitted.role(), room.now()) == YesNo.YES;
        PersonId person = admitted.person();
        return off
                        || is.on(person).contains(what)
                        || !room.there().isPresent(person)
                        || room.who().right(person, what.right()).isPresent()
                ? Stream.empty()
                : Stream.of(new RightsEvent.TurnedOn(person, what, room.now()));
    }

    /** What was shown in one place is not shown in another by walking there. */
    private static Stream<RightsEvent> shownElsewhere(LessonEvent event, RightsState is, Room room) {
        return event instanceof GroupsEvent.Moving moving
                ? is.withSomethingOn().stream()
                        .filter(person -> moving.moves(person))
                        .flatMap(person -> is.on(person).stream()
                                .filter(Appliance::isShowing)
                                .map(what -> new RightsEvent.TurnedOff(person, what, PersonId.RULES, room.now())))
                : Stream.empty();
    }

    private static List<LessonEvent> switchedOff(RightsState is, Room room) {
        var all = new ArrayList<LessonEvent>();
        for (PersonId person : is.withSomethingOn()) {
            for (Appliance what : is.on(person)) {
                if (RightsRules.mayHaveOn(room, person, what).isPresent()) {
                    all.add(new RightsEvent.TurnedOff(person, what, PersonId.RULES, room.now()));
                }
            }
        }
        return all;
    }

    /** When a loan ends or a planned stance begins: by the clock it is switched then; else it is proposed, and shown. */
    @Override
    public Optional<Instant> due(RightsState is, Room room) {
        Stream<Instant> loans = Stream.concat(
                is.lent().all().values().stream().flatMap(List::stream).map(Setting::until),
                is.liveOrders().stream().map(Setting::until).filter(until -> until.isBefore(Setting.FOR_EVER)));
        if (!room.there().isOpen()) {
            return loans.min(Instant::compareTo);
        }
        RunningOrder order = room.plan().order();
        Stream<Instant> steps = order.over(room.plan().time()).stream()
                .map(step -> step.time().from())
                .filter(room.now()::isBefore);
        Stream<Instant> now =
                order.byTheClock() && dueStance(is, room).isPresent() ? Stream.of(room.now()) : Stream.empty();
        return Stream.of(loans, steps, now).flatMap(all -> all).min(Instant::compareTo);
    }
}
