package juricast.core.rights;

import static juricast.core.live.Decision.done;
import static juricast.core.live.Refusal.Common.NOT_PRESENT;
import static juricast.core.live.Refusal.Common.RULE_BOUND;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import juricast.core.door.Acting;
import juricast.core.entry.Arrival;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.limits.Limits;
import juricast.core.live.Decision;
import juricast.core.live.LessonEvent;
import juricast.core.live.Refusal;
import juricast.core.live.Room;
import juricast.core.live.Visit;
import juricast.core.rules.Area;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Ruling;
import juricast.core.rules.Setting;
import juricast.core.signals.SignalsEvent;
import juricast.core.signals.SignalsPart;

/** Decides what is switched on and off, ordered for all, lent to one and closed to one. */
public record RightsRules(RightsState is, Room room) implements RightsOrder.Cases<Decision> {
    /** How long passes that "mute all" ended can be given back by one action. */
    public static final Duration MUTE_UNDONE_WITHIN = Duration.ofSeconds(15);

    /** How long who only helps may let somebody speak whose hand is up. */
    private static final Duration CALLED_ON = Duration.ofMinutes(2);

    private static final Duration USUALLY = Duration.ofMinutes(5);

    /** How long a right is lent when nobody says for how long: to speak as long as an answer takes, else some minutes more. */
    public static Duration usual(Rule<?> right) {
        return right.equals(Catalogue.SPEAK) ? CALLED_ON : USUALLY;
    }

    /** Why somebody may not have it on, if so. */
    static Optional<Decision> mayHaveOn(Room room, PersonId person, Appliance what) {
        return what.needs().stream()
                .flatMap(right -> room.who().right(person, right).stream())
                .findFirst();
    }

    @Override
    public Decision turnOn(RightsOrder.TurnOn order) {
        return Acting.present(room, order.visit(), person -> notByTelephone(order)
                .or(() -> mayHaveOn(room, person, order.what()))
                .orElseGet(() -> is.on(person).contains(order.what())
                        ? done()
                        : order.what().isShowing()
                                ? showing(person, order.what())
                                : done(new RightsEvent.TurnedOn(person, order.what(), room.now()))));
    }

    /** A telephone has a voice, and nothing to be seen by. */
    private Optional<Decision> notByTelephone(RightsOrder.TurnOn order) {
        return order.what() == Appliance.MICROPHONE
                ? Optional.empty()
                : room.there()
                        .visit(order.visit())
                        .filter(visit ->
                                visit.arrival().from(Arrival.Way.TELEPHONE).isPresent())
                        .flatMap(Visit::person)
                        .map(person -> Refusal.of(RightsRefusal.NOT_FOR_THEM, person));
    }

    /** One person at a time shows something; whoever shows already is pushed out only by the right to do so. */
    private Decision showing(PersonId person, Appliance what) {
        Optional<PersonId> before = is.showing(room.where(), room.where().placeOf(person));
        if (before.isPresent()
                && !before.get().equals(person)
                && room.who().right(person, Catalogue.TAKE_OVER).isPresent()) {
            return new Decision.Refused(new Refusal(
                    RightsRefusal.SOMEBODY_SHOWS,
                    List.of(before.get()),
                    Optional.of(room.who().ruling(person, Catalogue.TAKE_OVER))));
        }
        var events = new ArrayList<LessonEvent>();
        before.ifPresent(other -> is.on(other).stream()
                .filter(Appliance::isShowing)
                .forEach(shown -> events.add(new RightsEvent.TurnedOff(other, shown, person, room.now()))));
        events.add(new RightsEvent.TurnedOn(person, what, room.now()));
        return new Decision.Done(events);
    }

    @Override
    public Decision turnOff(RightsOrder.TurnOff order) {
        Optional<Decision> no = order.by().equals(order.person())
                ? Optional.empty()
                : room.who().adult(order.by());
        // "Stop sharing" means whatever is shown, a window or a whole screen.
        return no.orElseGet(() -> new Decision.Done(is.on(order.person()).stream()
                .filter(what ->
                        what == order.what() || what.isShowing() && order.what().isShowing())
                .<LessonEvent>map(what -> new RightsEvent.TurnedOff(order.person(), what, order.by(), room.now()))
                .toList()));
    }

    @Override
    public Decision muteAll(RightsOrder.MuteAll order) {
        return room.who().adult(order.by(), Catalogue.HELP_STEER).orElseGet(() -> {
            var events = new ArrayList<LessonEvent>();
            if (order.keepMuted() && room.rules().value(Catalogue.SPEAK, Role.PUPIL, room.now()) == Permission.OPEN) {
                events.add(new RightsEvent.LiveSet(
                        new RuleValue(Catalogue.SPEAK, Permission.ON_REQUEST),
                        Optional.empty(),
                        order.by(),
                        room.now()));
            }
            room.plan().classList().stream()
                    .map(Member::person)
                    .filter(person -> is.on(person).contains(Appliance.MICROPHONE))
                    .forEach(person -> events.add(
                            new RightsEvent.TurnedOff(person, Appliance.MICROPHONE, order.by(), room.now())));
            // Who was called on a moment ago would unmute at once.
            is.lent().all().keySet().stream()
                    .filter(person -> is.loan(person, Catalogue.SPEAK, room.now())
                            .filter(loan -> loan.force() == Setting.Force.PASS)
                            .isPresent())
                    .forEach(person ->
                            events.add(new RightsEvent.LoanEnded(person, Catalogue.SPEAK, order.by(), room.now())));
            return new Decision.Done(events);
        });
    }

    @Override
    public Decision undoMuteAll(RightsOrder.UndoMuteAll order) {
        return room.who().adult(order.by(), Catalogue.HELP_STEER).orElseGet(() -> {
            List<LessonEvent> again = is.lent().ended().stream()
                    .filter(one -> one.by().equals(order.by()) && maySpeakAgain(one))
                    .<LessonEvent>map(one -> new RightsEvent.PassGiven(
                            one.person(), Catalogue.SPEAK, one.pass().until(), order.by(), room.now()))
                    .toList();
            return again.isEmpty() ? Refusal.of(RightsRefusal.NOTHING_TO_UNDO) : new Decision.Done(again);
        });
    }

    private boolean maySpeakAgain(Lent.EndedPass one) {
        return room.now().isBefore(one.at().plus(MUTE_UNDONE_WITHIN))
                && room.now().isBefore(one.pass().until())
                && room.there().isPresent(one.person())
                && is.lent().to(one.person(), Catalogue.SPEAK).isEmpty();
    }

    @Override
    public Decision setLive(RightsOrder.SetLive order) {
        boolean isWrong = order.length()
                .filter(length -> length.isNegative() || length.isZero() || length.compareTo(Limits.LOAN) > 0)
                .isPresent();
        if (isWrong) {
            return Refusal.of(RightsRefusal.WRONG_LENGTH);
        }
        return mayTurn(order).orElseGet(() -> {
            Ruling<?> today = room.rules().ruling(order.set().rule(), Role.PUPIL, room.now());
            return today.allows(order.set().value())
                    ? done(new RightsEvent.LiveSet(
                            order.set(), order.length().map(room.now()::plus), order.by(), room.now()))
                    : Refusal.by(RULE_BOUND, today);
        });
    }

    /** Each kind of live order is another help: the door, the chat, all else. A trusted pupil only pauses the class chat. */
    private Optional<Decision> mayTurn(RightsOrder.SetLive order) {
        Rule<?> rule = order.set().rule();
        if (rule.equals(Catalogue.DOOR)) {
            return room.who().adult(order.by(), Catalogue.HELP_DOOR);
        }
        boolean ownPause = is.liveOrders().stream()
                .filter(one -> one.set().rule().equals(rule))
                .allMatch(one -> one.by().equals(order.by()));
        if (rule.equals(Catalogue.CLASS_CHAT)
                && !room.who().isAdult(order.by())
                && (order.set().value() == Permission.CLOSED || ownPause)) {
            return room.who().helper(order.by(), Catalogue.HELP_CHAT);
        }
        return room.who().adult(order.by(), rule.area() == Area.CHAT ? Catalogue.HELP_CHAT : Catalogue.HELP_STEER);
    }

    @Override
    public Decision givePass(RightsOrder.GivePass order) {
        return mayLend(order)
                .or(() -> cannotBeLent(order.person(), order.right(), order.length()))
                .orElseGet(() -> {
                    var ruling = room.who().ruling(order.person(), order.right());
                    if (ruling.isBoundClosed()) {
                        return Refusal.by(RULE_BOUND, ruling);
                    }
                    if (ruling.isOpen()
                            && is.lent().to(order.person(), order.right()).isEmpty()) {
                        return Refusal.by(RightsRefusal.ALREADY_ALLOWED, ruling);
                    }
                    var given = new RightsEvent.PassGiven(
                            order.person(), order.right(), room.now().plus(order.length()), order.by(), room.now());
                    return handIsUp(order.person())
                            ? done(given, new SignalsEvent.HandLowered(order.person(), order.by(), room.now()))
                            : done(given);
                });
    }

    private boolean handIsUp(PersonId person) {
        return room.of(SignalsPart.SIGNALS).hands().containsKey(person);
    }

    /** Rights to help are lent by who leads alone; whoever helps with hands calls on those whose hand is up. */
    private Optional<Decision> mayLend(RightsOrder.GivePass order) {
        if (Catalogue.HELP.contains(order.right())) {
            return room.who().leading(order.by());
        }
        boolean calls = order.right().equals(Catalogue.SPEAK)
                && handIsUp(order.person())
                && order.length().compareTo(CALLED_ON) <= 0;
        return room.who()
                .adult(order.by(), Catalogue.LEND)
                .flatMap(no -> calls ? room.who().helper(order.by(), Catalogue.HELP_HANDS) : Optional.of(no));
    }

    private Optional<Decision> mayLend(PersonId by, Rule<Permission> right) {
        return Catalogue.HELP.contains(right)
                ? room.who().leading(by)
                : room.who().adult(by, Catalogue.LEND);
    }

    private Optional<Decision> cannotBeLent(PersonId person, Rule<Permission> right, Duration length) {
        if (!room.there().isPresent(person)) {
            return Optional.of(Refusal.of(NOT_PRESENT, person));
        }
        if (length.isNegative() || length.isZero() || length.compareTo(Limits.LOAN) > 0) {
            return Optional.of(Refusal.of(RightsRefusal.WRONG_LENGTH));
        }
        return right.speaksOf(room.who().roleOf(person))
                ? Optional.empty()
                : Optional.of(Refusal.of(RightsRefusal.NOT_FOR_THEM, person));
    }

    @Override
    public Decision giveCurb(RightsOrder.GiveCurb order) {
        return mayLend(order.by(), order.right())
                .or(() -> cannotBeLent(order.person(), order.right(), order.length()))
                .orElseGet(() -> done(new RightsEvent.CurbGiven(
                        order.person(), order.right(), room.now().plus(order.length()), order.by(), room.now())));
    }

    @Override
    public Decision endLoan(RightsOrder.EndLoan order) {
        return mayLend(order.by(), order.right())
                .orElseGet(() -> is.lent().to(order.person(), order.right()).isEmpty()
                        ? done()
                        : done(new RightsEvent.LoanEnded(order.person(), order.right(), order.by(), room.now())));
    }

    @Override
    public Decision switchStance(RightsOrder.SwitchStance order) {
        return room.who()
                .adult(order.by(), Catalogue.HELP_STEER)
                .orElseGet(() -> is.stance().equals(Optional.of(order.to()))
                                && (order.keepLive() || is.liveOrders().isEmpty())
                        ? done()
                        : done(new RightsEvent.StanceSwitched(order.to(), order.keepLive(), order.by(), room.now())));
    }

    @Override
    public Decision lighten(RightsOrder.Lighten order) {
        return room.who()
                .adult(order.by(), Catalogue.HELP_STEER)
                .orElseGet(() -> is.isLight() == order.on()
                        ? done()
                        : done(new RightsEvent.Lightened(order.on(), order.by(), room.now())));
    }
}
