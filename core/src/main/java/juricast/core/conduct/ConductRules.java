package juricast.core.conduct;

import static juricast.core.live.Decision.done;
import static juricast.core.live.Refusal.Common.LESSON_OVER;
import static juricast.core.live.Refusal.Common.NOT_AN_ADULT_HERE;
import static juricast.core.live.Refusal.Common.NOT_OPEN;
import static juricast.core.live.Refusal.Common.NOT_PRESENT;
import static juricast.core.live.Refusal.Common.TEXT_TOO_LONG;
import static juricast.core.live.Refusal.Common.TOO_MUCH;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import juricast.core.conduct.ConductEvent.Against;
import juricast.core.door.Acting;
import juricast.core.door.DoorEvent;
import juricast.core.door.SendingOut;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.ladder.ActKind;
import juricast.core.ladder.Ladder;
import juricast.core.ladder.Measure;
import juricast.core.ladder.Proposal;
import juricast.core.ladder.Step;
import juricast.core.limits.Limits;
import juricast.core.live.Decision;
import juricast.core.live.LessonEvent;
import juricast.core.live.Refusal;
import juricast.core.live.Room;
import juricast.core.rights.RightsEvent;
import juricast.core.rights.RightsPart;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;

/** Decides which steps are taken, and what is raised and marked. */
public record ConductRules(ConductState is, Room room) implements ConductOrder.Cases<Decision> {
    /** How long before a step its evidence begins, unless otherwise chosen. */
    public static final Duration EVIDENCE = Duration.ofMinutes(5);
    /** The longest time before a step that its evidence may begin. */
    public static final Duration MOST_EVIDENCE = Duration.ofMinutes(60);
    /** Pupils of one action. */
    public static final int MOST_PEOPLE = 40;

    private static final int MOST_STEPS = 500;
    private static final int MOST_MARKS = 200;
    /** Worries one pupil can raise in a lesson; nobody is drowned in them, and nobody needs more. */
    private static final int MOST_WORRIES = 10;

    /** What is proposed against a pupil now for a kind of act. */
    public Proposal proposal(PersonId person, ActKind act) {
        return Proposal.of(
                ladder(),
                act,
                room.plan().conduct().past(person),
                is.counted(person),
                room.rules().of(person).situation().facts(),
                room.now());
    }

    private Ladder ladder() {
        return room.plan().conduct().ladder();
    }

    @Override
    public Decision takeStep(ConductOrder.TakeStep order) {
        Optional<Step> step = ladder().step(order.step());
        Optional<ActKind> act = ladder().act(order.act());
        return room.who()
                .adult(order.by(), Catalogue.TAKE_STEPS)
                .or(() -> step.isEmpty() ? Optional.of(Refusal.of(ConductRefusal.NO_SUCH_STEP)) : Optional.empty())
                .or(() -> act.isEmpty() ? Optional.of(Refusal.of(ConductRefusal.NO_SUCH_ACT)) : Optional.empty())
                .or(() -> mayTake(step.orElseThrow(), order.by()))
                .or(() -> wrongPeople(order, step.orElseThrow()))
                .or(() -> wrongWords(order))
                .or(() -> step.orElseThrow().measure() == Measure.CURB
                        ? wrongCurb(order, step.orElseThrow())
                        : Optional.empty())
                .orElseGet(() -> taken(order, step.orElseThrow(), act.orElseThrow()));
    }

    private Optional<Decision> mayTake(Step step, PersonId by) {
        return switch (step.who()) {
            case ANY_ADULT -> Optional.empty();
            case LEADING_ADULT -> room.who().leading(by).map(no -> Refusal.of(ConductRefusal.STEP_NOT_YOURS));
            case SAFEGUARDING_LEAD -> room.plan().isLead(by)
                    ? Optional.empty()
                    : Optional.of(Refusal.of(ConductRefusal.STEP_NOT_YOURS));
        };
    }

    private Optional<Decision> wrongPeople(ConductOrder.TakeStep order, Step step) {
        if (order.people().isEmpty()) {
            return Optional.of(Refusal.of(NOT_PRESENT));
        }
        if (order.people().size() > MOST_PEOPLE || is.steps().size() >= MOST_STEPS) {
            return Optional.of(Refusal.of(TOO_MUCH));
        }
        for (PersonId person : order.people()) {
            if (!isPupilOrVisitor(person)) {
                return Optional.of(Refusal.of(ConductRefusal.NOT_A_PUPIL, person));
            }
            if (step.measure().needsPresence() && !room.there().isPresent(person)) {
                return Optional.of(Refusal.of(NOT_PRESENT, person));
            }
            Optional<PersonId> other = is.against(person).stream()
                    .filter(one ->
                            one.number() > order.seen() && !one.event().by().equals(order.by()))
                    .map(one -> one.event().by())
                    .findFirst();
            if (other.isPresent()) {
                return Optional.of(Refusal.of(ConductRefusal.SOMEBODY_ACTED, person, other.get()));
            }
        }
        return Optional.empty();
    }

    private boolean isPupilOrVisitor(PersonId person) {
        return room.plan().member(person).isPresent()
                && !room.who().isAdult(person)
                && room.plan().roleOf(person) != Role.OBSERVER;
    }

    private static Optional<Decision> wrongWords(ConductOrder.TakeStep order) {
        if (order.why().length() > Limits.REASON) {
            return Optional.of(Refusal.of(TEXT_TOO_LONG));
        }
        return order.before().isNegative() || order.before().compareTo(MOST_EVIDENCE) > 0
                ? Optional.of(Refusal.of(ConductRefusal.WRONG_EVIDENCE))
                : Optional.empty();
    }

    private Optional<Decision> wrongCurb(ConductOrder.TakeStep order, Step step) {
        Duration length = length(order, step);
        if (length.isNegative() || length.isZero() || length.compareTo(Limits.LOAN) > 0) {
            return Optional.of(Refusal.of(ConductRefusal.WRONG_LENGTH));
        }
        return order.people().stream()
                .filter(person -> !right(order, step).speaksOf(room.plan().roleOf(person)))
                .findFirst()
                .map(person -> Refusal.of(ConductRefusal.NOT_A_PUPIL, person));
    }

    private static Duration length(ConductOrder.TakeStep order, Step step) {
        return order.how().length().orElse(step.length());
    }

    private static Rule<Permission> right(ConductOrder.TakeStep order, Step step) {
        return order.how().right().or(step::right).orElseThrow();
    }

    private Decision taken(ConductOrder.TakeStep order, Step step, ActKind act) {
        var against = new ArrayList<Against>();
        boolean asProposed = true;
        int above = 0;
        for (PersonId person : order.people()) {
            Proposal proposal = proposal(person, act);
            against.add(new Against(person, proposal.level()));
            asProposed &= proposal.fit(step) == Proposal.Fit.AS_PROPOSED;
            above = Math.max(above, ladder().level(step.id()) - proposal.level());
        }
        String why = order.why().strip();
        // Of a row of pupils one step is taken, whatever each of them brings along.
        if (!asProposed && why.isEmpty() && order.people().size() == 1) {
            return Refusal.of(ConductRefusal.WHY_NEEDED);
        }
        var most = room.rules().ruling(Catalogue.STEPS_ABOVE, Rule.ANSWERS, room.now());
        if (above > most.value().number() && !room.plan().isLead(order.by())) {
            return Refusal.by(ConductRefusal.STEP_TOO_HIGH, most);
        }
        var events = new ArrayList<LessonEvent>();
        events.add(event(against, act, step, order.how().named(), why, order.before(), order.by()));
        order.people().forEach(person -> events.addAll(consequences(order, person, step, act, why)));
        return new Decision.Done(events);
    }

    private ConductEvent.StepTaken event(
            List<Against> against,
            ActKind act,
            Step step,
            Optional<Rule<?>> named,
            String why,
            Duration before,
            PersonId by) {
        return new ConductEvent.StepTaken(
                against,
                new ConductEvent.Act(act.id(), act.name()),
                new ConductEvent.StepDone(
                        step.id(),
                        step.name(),
                        step.measure(),
                        ladder().level(step.id()),
                        step.counts(),
                        step.parents(),
                        step.opensIncident()),
                named,
                why,
                before,
                by,
                room.now());
    }

    private List<LessonEvent> consequences(
            ConductOrder.TakeStep order, PersonId person, Step step, ActKind act, String why) {
        return switch (step.measure()) {
            case WORD, REMINDER, REFERRED -> List.of();
            case CURB -> List.of(new RightsEvent.CurbGiven(
                    person, right(order, step), room.now().plus(length(order, step)), order.by(), room.now()));
            case TO_THE_DOOR -> List.of(SendingOut.toDoor(room, person, order.by()));
            case OUT_OF_LESSON, OUT_OF_SERIES -> room.there().isPresent(person)
                    ? List.of(new DoorEvent.Removed(person, why.isEmpty() ? act.name() : why, order.by(), room.now()))
                    : List.of();
        };
    }

    /** The step that a removal is which was ordered by itself; nothing where the ladder knows no such step. */
    Optional<LessonEvent> byItself(DoorEvent.Removed removed) {
        ActKind other = ladder().act(Ladder.OTHER).orElseThrow();
        return ladder().first(Measure.OUT_OF_LESSON)
                .map(step -> event(
                        List.of(new Against(
                                removed.person(),
                                proposal(removed.person(), other).level())),
                        other,
                        step,
                        Optional.empty(),
                        removed.why(),
                        EVIDENCE,
                        removed.by()));
    }

    @Override
    public Decision note(ConductOrder.Note order) {
        String text = order.text().strip();
        return room.who()
                .adult(order.by())
                .or(() -> Refusal.ofText(text, Limits.NOTE))
                .or(() -> is.notes() >= MOST_STEPS ? Optional.of(Refusal.of(TOO_MUCH)) : Optional.empty())
                .orElseGet(() -> is.step(order.to()).isPresent() || is.moments().contains(order.to())
                        ? done(new ConductEvent.Noted(order.to(), text, order.by(), room.now()))
                        : Refusal.of(ConductRefusal.NO_SUCH_STEP));
    }

    @Override
    public Decision withdraw(ConductOrder.Withdraw order) {
        String why = order.why().strip();
        return room.who()
                .adult(order.by(), Catalogue.TAKE_STEPS)
                .or(() -> Refusal.ofText(why, Limits.REASON))
                .orElseGet(() -> is.step(order.step())
                        .map(step -> withdrawn(step, why, order.by()))
                        .orElseGet(() -> Refusal.of(ConductRefusal.NO_SUCH_STEP)));
    }

    private Decision withdrawn(Taken step, String why, PersonId by) {
        if (step.withdrawn()) {
            return Refusal.of(ConductRefusal.ALREADY_WITHDRAWN);
        }
        if (!step.event().by().equals(by) && room.who().leading(by).isPresent()) {
            return Refusal.of(ConductRefusal.STEP_NOT_YOURS);
        }
        var events = new ArrayList<LessonEvent>();
        events.add(new ConductEvent.Withdrawn(step.number(), why, by, room.now()));
        if (step.event().step().measure() == Measure.CURB) {
            for (Against one : step.event().against()) {
                Catalogue.RIGHTS.stream()
                        .filter(right -> room.of(RightsPart.RIGHTS)
                                .loan(one.person(), right, room.now())
                                .filter(loan -> loan.at().equals(step.event().at()))
                                .isPresent())
                        .forEach(right -> events.add(new RightsEvent.LoanEnded(one.person(), right, by, room.now())));
            }
        }
        return new Decision.Done(events);
    }

    @Override
    public Decision markMoment(ConductOrder.MarkMoment order) {
        String text = order.text().strip();
        boolean observes = room.there().isPresent(order.by())
                && room.plan()
                        .member(order.by())
                        .filter(one -> one.role() == Role.OBSERVER)
                        .isPresent();
        if (!observes) {
            Optional<Decision> no = room.who().adult(order.by());
            if (no.isPresent()) {
                return no.get();
            }
        }
        if (text.length() > Limits.NOTE) {
            return Refusal.of(TEXT_TOO_LONG);
        }
        return is.moments().size() >= MOST_MARKS
                ? Refusal.of(TOO_MUCH)
                : done(new ConductEvent.MomentMarked(text, order.by(), room.now()));
    }

    @Override
    public Decision raiseWorry(ConductOrder.RaiseWorry order) {
        String words = order.words().strip();
        return Acting.present(room, order.visit(), person -> {
            if (!isPupilOrVisitor(person)) {
                return Refusal.of(ConductRefusal.NOT_A_PUPIL, person);
            }
            if (words.length() > Limits.NOTE) {
                return Refusal.of(TEXT_TOO_LONG);
            }
            long before = is.worries().stream()
                    .filter(one -> one.raised().person().equals(person))
                    .count();
            if (before >= MOST_WORRIES) {
                return Refusal.of(TOO_MUCH);
            }
            boolean leadOnly = order.leadOnly()
                    || order.about() == Worry.About.AN_ADULT
                    || room.rules()
                            .value(Catalogue.WORRIES_READ, Rule.ANSWERS, room.now())
                            .text()
                            .equals("lead");
            return done(new ConductEvent.WorryRaised(person, order.about(), words, leadOnly, room.now()));
        });
    }

    @Override
    public Decision settleWorry(ConductOrder.SettleWorry order) {
        Optional<Worry> worry = is.worry(order.worry())
                .filter(one -> one.isForAdults() || room.plan().isLead(order.by()));
        if (!room.who().isAdult(order.by()) && !room.plan().isLead(order.by())) {
            return Refusal.of(NOT_AN_ADULT_HERE);
        }
        if (!room.there().isOpen()) {
            return Refusal.of(room.there().isOver() ? LESSON_OVER : NOT_OPEN);
        }
        return worry.map(one -> one.settledBy().isPresent()
                        ? done()
                        : done(new ConductEvent.WorrySettled(one.number(), order.by(), room.now())))
                .orElseGet(() -> Refusal.of(ConductRefusal.NO_SUCH_WORRY));
    }
}
