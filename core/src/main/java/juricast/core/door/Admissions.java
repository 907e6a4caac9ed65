package juricast.core.door;

import static juricast.core.live.Refusal.Common.NOT_AN_ADULT_HERE;
import static juricast.core.live.Refusal.Common.RULE_CLOSED;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import juricast.core.entry.Arrival;
import juricast.core.entry.Entry;
import juricast.core.entry.Entry.Judgement;
import juricast.core.entry.Outcome;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.limits.Limits;
import juricast.core.live.Decision;
import juricast.core.live.LessonEvent;
import juricast.core.live.Refusal;
import juricast.core.live.Room;
import juricast.core.live.Visit;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Fact;
import juricast.core.rules.LiveRules;
import juricast.core.rules.Permission;
import juricast.core.rules.ReEntry;
import juricast.core.rules.Rule;
import juricast.core.rules.YesNo;

/** Who stands at the door and is let in: by the rules, by an adult, by a trusted pupil (needs E1 to E4). */
record Admissions(DoorState is, Room room) {
    Decision knock(DoorOrder.Knock order) {
        // Those of the class who are signed in find a door that strangers have crowded.
        boolean isOfClass = order.arrival().account().filter(this::isListed).isPresent();
        if (is.visits().size() >= (isOfClass ? 2 : 1) * Limits.ARRIVALS) {
            return Refusal.of(DoorRefusal.TOO_MANY_ARRIVALS);
        }
        var events = new ArrayList<LessonEvent>();
        // Who waits and knocks again, with another name perhaps, stands at the door once, not twice.
        is.visitOf(order.arrival().device())
                .ifPresent(before -> events.add(new DoorEvent.Left(before.id(), room.now())));
        Judgement judged = after(events).judge(order.arrival());
        Role role = judged.person().map(room.plan()::roleOf).orElse(Role.PUPIL);
        events.add(new DoorEvent.Knocked(order.arrival(), judged.person(), role, judged.verdict(), room.now()));
        if (judged.verdict().outcome() == Outcome.ADMIT) {
            events.addAll(admission(order.arrival(), judged.person().orElseThrow(), PersonId.RULES));
        }
        return new Decision.Done(events);
    }

    Decision admit(DoorOrder.Admit order) {
        return room.who()
                .helper(order.by(), Catalogue.HELP_DOOR)
                .orElseGet(() -> waiting(order.visit(), visit -> {
                    if (!room.who().isAdult(order.by())) {
                        return admittedByPupil(visit, order);
                    }
                    Optional<PersonId> as = order.as().or(visit::person);
                    return as.isEmpty() ? Refusal.of(DoorRefusal.WHO_IS_IT) : admitted(visit, as.get(), order.by());
                }));
    }

    Decision admitGuest(DoorOrder.AdmitGuest order) {
        String note = order.note().strip();
        return Refusal.ofText(note, Limits.REASON)
                .or(() -> room.who().adult(order.by(), Catalogue.HELP_DOOR))
                .orElseGet(() -> waiting(order.visit(), visit -> admitted(visit, order.as(), order.by())
                        .after(new DoorEvent.GuestLetIn(
                                visit.id(),
                                order.as(),
                                room.plan().nameOf(order.as()),
                                note,
                                order.by(),
                                room.now()))));
    }

    Decision admitAllListed(DoorOrder.AdmitAllListed order) {
        return oneByOne()
                .or(() -> room.who().adult(order.by(), Catalogue.HELP_DOOR))
                .orElseGet(() -> {
                    var events = new ArrayList<LessonEvent>();
                    for (Visit visit : is.waiting()) {
                        // Judged now, not when they knocked, and after those before them in the row: nobody comes in
                        // twice.
                        Judgement judged = after(events).judge(visit.arrival());
                        if (visit.connected() && judged.verdict().onlyTheDoorIsBetween()) {
                            events.addAll(
                                    admission(visit.arrival(), judged.person().orElseThrow(), order.by()));
                        }
                    }
                    return new Decision.Done(events);
                });
    }

    /** Where everyone is looked at before they come in, no key lets the list in at once. */
    private Optional<Decision> oneByOne() {
        var ruling = room.rules().ruling(Catalogue.ONE_BY_ONE, Rule.ANSWERS, room.now());
        return refusedIf(ruling.value() == YesNo.YES, Refusal.by(DoorRefusal.ONE_BY_ONE, ruling));
    }

    /** A trusted pupil lets in who is surely on the class list, under that name and no other. */
    private Decision admittedByPupil(Visit visit, DoorOrder.Admit order) {
        Judgement judged = judge(visit.arrival());
        Optional<PersonId> person = judged.person()
                .filter(one -> visit.connected() && judged.verdict().onlyTheDoorIsBetween())
                .filter(one -> order.as().map(one::equals).orElse(true));
        return person.<Decision>map(one -> new Decision.Done(admission(visit.arrival(), one, order.by())))
                .orElseGet(() -> Refusal.of(NOT_AN_ADULT_HERE));
    }

    /** What an adult's word lets in, and what it does not. */
    private Decision admitted(Visit visit, PersonId as, PersonId by) {
        if (!isListed(as)) {
            return Refusal.of(DoorRefusal.NOT_ON_LIST);
        }
        LiveRules here = room.rules().atDoor(visit.arrival().hasAccount());
        return tooEarly(as, here)
                .or(() -> noVisitors(as, here))
                .or(() -> noPlace(as, here))
                .or(() -> noHelp(as, here))
                .or(() -> notThisWay(visit.arrival(), as, here))
                .or(() -> noSecondDevice(visit.arrival(), as, here))
                .orElseGet(() -> allowedBack(visit, as, by, here));
    }

    private Optional<Decision> tooEarly(PersonId as, LiveRules here) {
        var early = here.ruling(Catalogue.EARLY_MINUTES, room.plan().roleOf(as), room.now());
        boolean isEarly = room.now()
                .isBefore(room.plan().time().from().minus(early.value().length()));
        return refusedIf(isEarly, Refusal.by(DoorRefusal.TOO_EARLY_TO_ADMIT, early));
    }

    private Optional<Decision> noVisitors(PersonId as, LiveRules here) {
        var visitors = here.ruling(Catalogue.VISITORS, Role.VISITOR, room.now());
        boolean isClosed = room.plan().roleOf(as) == Role.VISITOR && visitors.value() == Permission.CLOSED;
        return refusedIf(isClosed, Refusal.by(RULE_CLOSED, visitors));
    }

    private Optional<Decision> noPlace(PersonId as, LiveRules here) {
        var capacity = here.ruling(Catalogue.CAPACITY, Rule.ANSWERS, room.now());
        boolean isFull = is.occupants() >= capacity.value().number() && !is.isPresent(as);
        return refusedIf(isFull, Refusal.by(DoorRefusal.ROOM_IS_FULL, capacity));
    }

    /** In a help hour not more than the rules say at once, and nobody to be alone with one adult where they forbid it. */
    private Optional<Decision> noHelp(PersonId as, LiveRules here) {
        if (!here.situation().is(Fact.HELP_HOUR) || is.isPresent(as)) {
            return Optional.empty();
        }
        var atOnce = here.ruling(Catalogue.HELP_AT_ONCE, Rule.ANSWERS, room.now());
        if (is.occupants() >= atOnce.value().number()) {
            return Optional.of(Refusal.by(DoorRefusal.HELP_IS_FULL, atOnce));
        }
        boolean hasCompany = is.occupants() > 0 || is.ready().stream().anyMatch(one -> !one.equals(as));
        return hasCompany ? Optional.empty() : LastWord.aloneWithOne(room);
    }

    /** By telephone, or with an account from elsewhere, where the rules close that to them. */
    private Optional<Decision> notThisWay(Arrival arrival, PersonId as, LiveRules here) {
        return arrival.outside().flatMap(from -> {
            Rule<Permission> rule =
                    from.way() == Arrival.Way.TELEPHONE ? Catalogue.TELEPHONE : Catalogue.OUTSIDE_ACCOUNTS;
            Role role = room.plan().roleOf(as);
            return rule.speaksOf(role) && here.value(rule, role, room.now()) == Permission.CLOSED
                    ? Optional.of(Refusal.by(RULE_CLOSED, here.ruling(rule, role, room.now())))
                    : Optional.empty();
        });
    }

    private Optional<Decision> noSecondDevice(Arrival arrival, PersonId as, LiveRules here) {
        var second = here.all()
                .with(here.lent(as))
                .ruling(Catalogue.SECOND_DEVICE, room.plan().roleOf(as), room.now());
        boolean takesThePlace = arrival.hasAccount() && is.claims(as).findAny().isPresent();
        boolean isClosed = is.isPresent(as) && second.value() == Permission.CLOSED && !takesThePlace;
        return refusedIf(isClosed, Refusal.by(RULE_CLOSED, second));
    }

    private static Optional<Decision> refusedIf(boolean holds, Decision refusal) {
        return holds ? Optional.of(refusal) : Optional.empty();
    }

    /** Who was removed, or used a device of somebody who was, comes back by an adult's word unless the rule says never. */
    private Decision allowedBack(Visit visit, PersonId as, PersonId by, LiveRules here) {
        var events = new ArrayList<LessonEvent>();
        for (PersonId removed : removedBehind(visit, as)) {
            var reEntry = here.ruling(Catalogue.RE_ENTRY, room.plan().roleOf(removed), room.now());
            if (reEntry.value() == ReEntry.NEVER) {
                return Refusal.by(RULE_CLOSED, reEntry);
            }
            events.add(new DoorEvent.AllowedBack(removed, by, room.now()));
        }
        events.addAll(admission(visit.arrival(), as, by));
        return new Decision.Done(events);
    }

    /** Removed people whom this arrival may be: the one it is let in as, and any who used its device. */
    private List<PersonId> removedBehind(Visit visit, PersonId as) {
        return room.plan().members().stream()
                .map(Member::person)
                .filter(person -> is.removal(person)
                        .filter(removal -> person.equals(as)
                                || removal.devices().contains(visit.arrival().device()))
                        .isPresent())
                .toList();
    }

    /** What becomes of somebody who waits, if it is something else than before. */
    List<LessonEvent> judgedAgain(Visit visit) {
        Judgement judged = judge(visit.arrival());
        if (judged.verdict().equals(visit.verdict())) {
            return List.of();
        }
        var judgedNow = new DoorEvent.Judged(visit.id(), judged.verdict(), room.now());
        var events = new ArrayList<LessonEvent>(List.of(judgedNow));
        if (judged.verdict().outcome() == Outcome.ADMIT) {
            events.addAll(admission(visit.arrival(), judged.person().orElseThrow(), PersonId.RULES));
        }
        return events;
    }

    /** A decision about somebody who waits. */
    Decision waiting(VisitId id, Function<Visit, Decision> decision) {
        Optional<Visit> visit = is.visit(id);
        if (visit.isEmpty()) {
            return Refusal.of(DoorRefusal.NO_SUCH_VISIT);
        }
        return visit.get().isWaiting()
                ? decision.apply(visit.get())
                : Refusal.of(
                        DoorRefusal.NOT_WAITING, visit.get().person().stream().toArray(PersonId[]::new));
    }

    private Judgement judge(Arrival arrival) {
        return Entry.judge(arrival, is.doorway(room.plan(), room.rules()), room.now());
    }

    private Admissions after(List<LessonEvent> events) {
        Room then = room.after(events);
        return new Admissions(then.of(DoorPart.DOOR), then);
    }

    private boolean isListed(PersonId person) {
        return room.plan().classList().stream().anyMatch(one -> one.person().equals(person));
    }

    /** Who is known by an account of the school takes the place of who is in by the same name alone, and is asked at the door. */
    private List<LessonEvent> admission(Arrival arrival, PersonId person, PersonId by) {
        var events = new ArrayList<LessonEvent>();
        if (arrival.hasAccount()) {
            is.claims(person)
                    .forEach(claim -> events.add(new DoorEvent.TurnedAway(claim.id(), PersonId.RULES, room.now())));
        }
        events.add(new DoorEvent.Admitted(arrival.visit(), person, room.plan().roleOf(person), by, room.now()));
        return events;
    }
}
