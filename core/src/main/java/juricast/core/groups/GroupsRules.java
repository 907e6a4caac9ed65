package juricast.core.groups;

import static juricast.core.live.Decision.done;
import static juricast.core.live.Refusal.Common.ADULT_NOT_IN;
import static juricast.core.live.Refusal.Common.RULE_CLOSED;
import static juricast.core.live.Refusal.Common.RULE_ON_REQUEST;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import juricast.core.door.Acting;
import juricast.core.grouping.Prepared;
import juricast.core.grouping.Wish;
import juricast.core.identity.PersonId;
import juricast.core.limits.Limits;
import juricast.core.live.Decision;
import juricast.core.live.LessonEvent;
import juricast.core.live.PlaceId;
import juricast.core.live.Refusal;
import juricast.core.live.Room;
import juricast.core.live.RunningOrder;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;

/** Decides about sending out and calling back, and what adults and pupils do while the class is apart. */
record GroupsRules(GroupsState is, Room room) implements GroupsOrder.Cases<Decision> {
    @Override
    public Decision drawing(GroupsOrder.Drawing order) {
        return room.who()
                .adult(order.by(), Catalogue.MAKE_GROUPS)
                .orElseGet(() -> order.drawing(new DrawingUp(is, room)));
    }

    @Override
    public Decision sendOut(GroupsOrder.SendOut order) {
        return room.who().adult(order.by(), Catalogue.MAKE_GROUPS).orElseGet(() -> sentOut(is, order));
    }

    private Decision sentOut(GroupsState groups, GroupsOrder.SendOut order) {
        if (is.isApart()) {
            return Refusal.of(
                    is.out().orElseThrow().isCalledBack() ? GroupsRefusal.CALLED_BACK : GroupsRefusal.ALREADY_OUT);
        }
        var longest = room.rules().ruling(Catalogue.GROUP_MINUTES, Rule.ANSWERS, room.now());
        Duration length = order.length().orElse(longest.value().length());
        if (length.isNegative() || length.isZero()) {
            return Refusal.of(GroupsRefusal.WRONG_LENGTH);
        }
        if (length.compareTo(longest.value().length()) > 0) {
            return Refusal.by(GroupsRefusal.TOO_LONG, longest);
        }
        return cannotGo(groups).orElseGet(() -> {
            List<PersonId> going = groups.groups().stream()
                    .flatMap(group -> group.people().stream())
                    .filter(room.there()::isPresent)
                    .toList();
            return done(new GroupsEvent.SentOut(
                    room.now().plus(length),
                    order.invite() ? List.of() : going,
                    order.invite() ? going : List.of(),
                    order.by(),
                    room.now()));
        });
    }

    /** Nobody alone, no group smaller than the rule, and nobody together whom the lead keeps apart. */
    private Optional<Decision> cannotGo(GroupsState groups) {
        var smallest = room.rules().ruling(Catalogue.GROUP_SIZE, Rule.ANSWERS, room.now());
        List<List<PersonId>> present = groups.groups().stream()
                .map(group ->
                        group.people().stream().filter(room.there()::isPresent).toList())
                .filter(people -> !people.isEmpty())
                .toList();
        if (present.isEmpty()) {
            return Optional.of(Refusal.of(GroupsRefusal.NO_GROUPS));
        }
        return present.stream()
                .filter(people -> people.size() < smallest.value().number())
                .findFirst()
                .<Decision>map(people ->
                        new Decision.Refused(new Refusal(GroupsRefusal.TOO_SMALL, people, Optional.of(smallest))))
                .or(() -> room.plan().wishes().bindingBroken(present).stream()
                        .findFirst()
                        .map(GroupsRules::isBinding));
    }

    static Decision isBinding(Wish wish) {
        return Refusal.of(
                GroupsRefusal.BINDING_WISH,
                wish.people().stream()
                        .sorted((a, b) -> a.value().compareTo(b.value()))
                        .toArray(PersonId[]::new));
    }

    /** Groups as a step of the running order has them: drawn up, unless they stand there already, and sent out until its end. */
    Decision sentAsPlanned(RunningOrder.Planned step) {
        Prepared prepared = step.groups().orElseThrow();
        var wanted = new GroupsOrder.DrawUp(
                prepared.groups().stream()
                        .map(one -> new GroupsOrder.Wanted(
                                one.name(),
                                one.people().stream().filter(this::isListed).toList()))
                        .toList(),
                prepared.name(),
                0,
                PersonId.CLOCK);
        return new DrawingUp(is, room)
                .prepared(wanted, prepared.task())
                .either(
                        drawn -> {
                            Room then = room.after(drawn);
                            var longest = room.rules().value(Catalogue.GROUP_MINUTES, Rule.ANSWERS, room.now());
                            Instant end = step.time().until();
                            Duration left = Duration.between(room.now(), end);
                            Duration length = left.compareTo(longest.length()) < 0 ? left : longest.length();
                            return sentOut(
                                            then.of(GroupsPart.GROUPS),
                                            new GroupsOrder.SendOut(Optional.of(length), false, PersonId.CLOCK))
                                    .after(drawn.toArray(LessonEvent[]::new));
                        },
                        Decision.Refused::new);
    }

    private boolean isListed(PersonId person) {
        return room.plan().classList().stream().anyMatch(one -> one.person().equals(person));
    }

    @Override
    public Decision stayLonger(GroupsOrder.StayLonger order) {
        return room.who()
                .adult(order.by(), Catalogue.MAKE_GROUPS)
                .or(this::notOut)
                .orElseGet(() -> {
                    TimeOut out = is.out().orElseThrow();
                    var longest = room.rules().ruling(Catalogue.GROUP_MINUTES, Rule.ANSWERS, room.now());
                    Instant until = out.until().plus(order.length());
                    if (order.length().isNegative() || order.length().isZero() && !out.isCalledBack()) {
                        return Refusal.of(GroupsRefusal.WRONG_LENGTH);
                    }
                    return until.isAfter(out.since().plus(longest.value().length()))
                            ? Refusal.by(GroupsRefusal.TOO_LONG, longest)
                            : done(new GroupsEvent.Prolonged(until, order.by(), room.now()));
                });
    }

    @Override
    public Decision callBack(GroupsOrder.CallBack order) {
        return room.who().adult(order.by()).or(this::notOut).orElseGet(() -> {
            if (order.after().isNegative() || order.after().compareTo(Limits.CALL_BACK) > 0) {
                return Refusal.of(GroupsRefusal.WRONG_LENGTH);
            }
            Instant back = room.now().plus(order.after());
            if (order.after().isZero()) {
                return done(new GroupsEvent.Together(order.by(), room.now()));
            }
            return is.out().orElseThrow().isCalledBack()
                    ? Refusal.of(GroupsRefusal.CALLED_BACK)
                    : done(new GroupsEvent.CalledBack(back, order.by(), room.now()));
        });
    }

    private Optional<Decision> notOut() {
        return is.isApart() ? Optional.empty() : Optional.of(Refusal.of(GroupsRefusal.NOT_OUT));
    }

    /** An adult who is in the room acts on a group that is out. */
    private Decision inside(PersonId by, PlaceId group, Function<Group, Decision> act) {
        return room.who()
                .adult(by)
                .or(this::notOut)
                .or(() -> room.there().isPresent(by) ? Optional.empty() : Optional.of(Refusal.of(ADULT_NOT_IN)))
                .orElseGet(() -> is.group(group).map(act).orElseGet(() -> Refusal.of(GroupsRefusal.NO_SUCH_GROUP)));
    }

    @Override
    public Decision goIn(GroupsOrder.GoIn order) {
        return inside(order.by(), order.group(), group -> {
            var all = new ArrayList<LessonEvent>();
            if (!is.placeOf(order.by()).equals(group.id())) {
                all.add(new GroupsEvent.WentIn(order.by(), group.id(), order.by(), room.now()));
            }
            if (is.calls().containsKey(group.id())) {
                all.add(new GroupsEvent.HelpSettled(group.id(), order.by(), room.now()));
            }
            return new Decision.Done(all);
        });
    }

    @Override
    public Decision comeOut(GroupsOrder.ComeOut order) {
        return room.who()
                .adult(order.by())
                .orElseGet(() -> is.placeOf(order.by()).equals(PlaceId.TOGETHER)
                        ? done()
                        : done(new GroupsEvent.CameOut(order.by(), order.by(), room.now())));
    }

    @Override
    public Decision lookIn(GroupsOrder.LookIn order) {
        return inside(
                order.by(),
                order.group(),
                group -> is.whereabouts()
                                        .looksInto(order.by())
                                        .filter(group.id()::equals)
                                        .isPresent()
                                || is.placeOf(order.by()).equals(group.id())
                        ? done()
                        : done(new GroupsEvent.LookedIn(order.by(), group.id(), room.now())));
    }

    @Override
    public Decision lookAway(GroupsOrder.LookAway order) {
        return room.who()
                .adult(order.by())
                .orElseGet(() -> is.whereabouts().looksInto(order.by()).isEmpty()
                        ? done()
                        : done(new GroupsEvent.LookedAway(order.by(), room.now())));
    }

    @Override
    public Decision settleHelp(GroupsOrder.SettleHelp order) {
        return room.who()
                .adult(order.by())
                .orElseGet(() -> is.calls().containsKey(order.group())
                        ? done(new GroupsEvent.HelpSettled(order.group(), order.by(), room.now()))
                        : done());
    }

    @Override
    public Decision accept(GroupsOrder.Accept order) {
        return Acting.present(room, order.visit(), person -> notOut().or(
                        () -> is.out().orElseThrow().isCalledBack()
                                ? Optional.of(Refusal.of(GroupsRefusal.CALLED_BACK))
                                : Optional.empty())
                .or(() -> mayNotGo(person))
                .orElseGet(() -> is.placeOf(person).equals(PlaceId.TOGETHER)
                        ? new Apart(is, room)
                                .placeFor(person)
                                .<Decision>map(
                                        place -> new Decision.Done(new Apart(is, room).going(person, place, person)))
                                .orElseGet(() -> Refusal.of(GroupsRefusal.NOT_INVITED))
                        : done()));
    }

    /** Who was asked goes. Whoever was not, or came back, goes as the rule about coming late says. */
    private Optional<Decision> mayNotGo(PersonId person) {
        if (is.out().orElseThrow().invited().contains(person)) {
            return Optional.empty();
        }
        return isListed(person)
                ? room.who().right(person, Catalogue.GROUP_LATE)
                : Optional.of(Refusal.of(GroupsRefusal.NOT_INVITED));
    }

    @Override
    public Decision comeBack(GroupsOrder.ComeBack order) {
        return Acting.present(room, order.visit(), person -> {
            if (is.placeOf(person).equals(PlaceId.TOGETHER)) {
                return done();
            }
            boolean isCalled = is.out().filter(TimeOut::isCalledBack).isPresent();
            var ruling = room.who().ruling(person, Catalogue.GROUP_RETURN);
            if (!isCalled && ruling.value() != Permission.OPEN) {
                return Refusal.by(ruling.value() == Permission.CLOSED ? RULE_CLOSED : RULE_ON_REQUEST, ruling);
            }
            return done(new GroupsEvent.CameOut(person, person, room.now()));
        });
    }

    @Override
    public Decision callForHelp(GroupsOrder.CallForHelp order) {
        return Acting.present(room, order.visit(), person -> {
            PlaceId place = is.placeOf(person);
            if (place.equals(PlaceId.TOGETHER)) {
                return Refusal.of(GroupsRefusal.NOT_IN_A_GROUP);
            }
            return is.calls().containsKey(place) ? done() : done(new GroupsEvent.HelpCalled(place, person, room.now()));
        });
    }
}
