package juricast.core.casebook;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.casebook.CaseEvent.Act;
import juricast.core.casebook.CaseEvent.Kept;
import juricast.core.casebook.CaseEvent.Met;
import juricast.core.casebook.CaseEvent.Origin;
import juricast.core.casebook.CaseEvent.StepTold;
import juricast.core.casebook.CaseEvent.Where;
import juricast.core.conduct.ConductEvent;
import juricast.core.conduct.ConductPart;
import juricast.core.conduct.ConductRules;
import juricast.core.conduct.Worry;
import juricast.core.door.DoorEvent;
import juricast.core.identity.ClassId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.ladder.ActKind;
import juricast.core.ladder.Ladder;
import juricast.core.ladder.Severity;
import juricast.core.lesson.Parts;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.rules.PlannedRules;
import juricast.core.supervision.SupervisionEvent;

/**
 * What the casebook takes notice of in a lesson, by itself: steps that the ladder wants in it, worries, moments marked, everything
 * stopped, and who goes from door to door.
 *
 * @param record all of the lesson, in order
 * @param open incidents that are open and may be the same: those of this lesson, and sweeps of the last hour
 */
public record FromLesson(
        LessonPlan plan, ClassId ofClass, List<LessonEvent> record, PlannedRules rules, List<Incident> open) {
    /** How long sweeps of one name are one. */
    public static final Duration ONE_SWEEP = Duration.ofHours(1);

    private static final Duration AROUND = ConductRules.EVIDENCE;

    /** In characters as people count them: a sign of two parts is not cut. */
    private static final int TITLE = 80;

    /** What is added to one incident. @param to nothing where a new one is opened */
    public record Draft(Optional<IncidentId> to, List<CaseEvent> events) {}

    /** Whether the casebook takes notice of an event at all. */
    public static boolean isNoticed(LessonEvent event) {
        return event instanceof ConductEvent && !(event instanceof ConductEvent.WorrySettled)
                || event instanceof SupervisionEvent.Stopped
                || event instanceof SupervisionEvent.StopExplained
                || event instanceof DoorEvent.SweepNoticed;
    }

    /** What becomes of one event of the lesson; nothing where the casebook has no use for it. @param number from 1 */
    public Optional<Draft> of(int number) {
        LessonEvent event = record.get(number - 1);
        if (event instanceof ConductEvent.StepTaken step) {
            return step(number, step);
        } else if (event instanceof ConductEvent.Withdrawn withdrawn) {
            return resting(withdrawn.step())
                    .map(one -> add(
                            one,
                            new CaseEvent.StepWithdrawn(
                                    plan.lesson(), withdrawn.step(), withdrawn.why(), withdrawn.by(), withdrawn.at())));
        } else if (event instanceof ConductEvent.Noted noted) {
            return resting(noted.to())
                    .or(() -> begun(record.get(noted.to() - 1).at(), Origin.MOMENT))
                    .map(one -> add(one, note(noted.text(), false, noted.by(), noted.at())));
        } else if (event instanceof ConductEvent.MomentMarked moment) {
            String title = moment.text().isBlank() ? "A moment to look at" : shortened(moment.text());
            return Optional.of(opened(Origin.MOMENT, title, Ladder.OTHER, Kept.FROM_NOBODY, moment.by(), moment.at()));
        } else if (event instanceof ConductEvent.WorryRaised worry) {
            return Optional.of(worry(worry));
        } else if (event instanceof SupervisionEvent.Stopped stopped) {
            String title = stopped.why().isBlank()
                    ? "Everything was stopped"
                    : "Everything was stopped: " + shortened(stopped.why());
            return Optional.of(opened(Origin.STOP, title, Ladder.OTHER, Kept.FROM_NOBODY, stopped.by(), stopped.at()));
        } else if (event instanceof SupervisionEvent.StopExplained why) {
            return open.stream()
                    .filter(one -> isOfThisLesson(one) && one.opened().origin() == Origin.STOP)
                    .reduce((a, b) -> b)
                    .map(one -> add(one, note(why.why(), false, why.by(), why.at())));
        } else if (event instanceof DoorEvent.SweepNoticed sweep) {
            return isTriedBy(sweep, number) ? Optional.of(sweep(sweep)) : Optional.empty();
        }
        return Optional.empty();
    }

    private Optional<Draft> step(int number, ConductEvent.StepTaken step) {
        Set<PersonId> people =
                step.against().stream().map(ConductEvent.Against::person).collect(Collectors.toSet());
        Optional<Incident> same = open.stream()
                .filter(one -> isOfThisLesson(one)
                        && one.opened().origin() == Origin.STEP
                        && one.in(CasePart.DID).stream().anyMatch(people::contains))
                .findFirst();
        if (same.isEmpty() && !step.step().opensIncident()) {
            return Optional.empty();
        }
        var events = new ArrayList<CaseEvent>();
        if (same.isEmpty()) {
            events.add(
                    opening(Origin.STEP, step.act().name(), step.act().id(), Kept.FROM_NOBODY, step.by(), step.at()));
            earlier(number, people).forEach(events::add);
        }
        evidence(people, step.at().minus(step.before()), step.at(), step.by()).ifPresent(events::add);
        events.add(told(number, step));
        return Optional.of(new Draft(same.map(Incident::id), events));
    }

    /** Steps against the same people before in this lesson, which opened no incident by themselves. */
    private List<CaseEvent> earlier(int number, Set<PersonId> people) {
        return stateAt(number).of(ConductPart.CONDUCT).steps().stream()
                .filter(one -> one.number() < number
                        && !one.withdrawn()
                        && !isTold(one.number())
                        && people.stream().anyMatch(one.event()::isAgainst))
                .<CaseEvent>map(one -> told(one.number(), one.event()))
                .toList();
    }

    private boolean isTold(int number) {
        return resting(number).isPresent();
    }

    private CaseEvent told(int number, ConductEvent.StepTaken step) {
        return new CaseEvent.StepAdded(
                plan.lesson(),
                number,
                step.against().stream()
                        .map(one -> new Met(one.person(), one.proposed()))
                        .toList(),
                new Act(step.act().id(), step.act().name()),
                new StepTold(
                        step.step().id(),
                        step.step().name(),
                        step.step().measure(),
                        step.step().level()),
                step.why(),
                step.by(),
                step.at());
    }

    private Draft worry(ConductEvent.WorryRaised worry) {
        boolean aboutAdult = worry.about() == Worry.About.AN_ADULT;
        List<PersonId> from = aboutAdult
                ? plan.members().stream()
                        .filter(one -> one.role().isAdultInCharge())
                        .map(Member::person)
                        .toList()
                : List.of();
        Draft draft = opened(
                Origin.WORRY,
                aboutAdult ? "A pupil's worry about an adult" : "A pupil's worry",
                Ladder.OTHER,
                new Kept(worry.leadOnly(), from),
                worry.person(),
                worry.at());
        var events = new ArrayList<>(draft.events);
        events.add(new CaseEvent.PartTaken(worry.person(), Optional.of(CasePart.SAW), worry.person(), worry.at()));
        if (!worry.words().isBlank()) {
            events.add(note(worry.words(), worry.leadOnly(), worry.person(), worry.at()));
        }
        return new Draft(draft.to, events);
    }

    /** Every open door is told of a sweep; only those that were tried have to do with it, and are held for it. */
    private boolean isTriedBy(DoorEvent.SweepNoticed sweep, int number) {
        return LessonEvent.of(record.subList(0, number), DoorEvent.Knocked.class)
                .anyMatch(one -> one.arrival().device().equals(sweep.device()));
    }

    private Draft sweep(DoorEvent.SweepNoticed sweep) {
        String title = "“%s” went from door to door".formatted(shortened(sweep.name()));
        return open.stream()
                .filter(one -> one.opened().origin() == Origin.SWEEP
                        && one.opened().title().equals(title)
                        && !sweep.at().isAfter(one.where().moment().plus(ONE_SWEEP)))
                .findFirst()
                .map(one -> new Draft(
                        Optional.of(one.id()),
                        evidence(Set.of(), sweep.at().minus(AROUND), sweep.at(), PersonId.RULES).stream()
                                .<CaseEvent>map(found -> found)
                                .toList()))
                .orElseGet(() -> opened(Origin.SWEEP, title, "disguise", Kept.FROM_NOBODY, PersonId.RULES, sweep.at()));
    }

    private Draft opened(Origin origin, String title, String act, Kept kept, PersonId by, Instant at) {
        var events = new ArrayList<CaseEvent>();
        events.add(opening(origin, title, act, kept, by, at));
        evidence(Set.of(), at.minus(AROUND), at, by).ifPresent(events::add);
        return new Draft(Optional.empty(), events);
    }

    private CaseEvent opening(Origin origin, String title, String act, Kept kept, PersonId by, Instant at) {
        Ladder ladder = plan.conduct().ladder();
        Optional<ActKind> kind = ladder.act(act).or(() -> ladder.act(Ladder.OTHER));
        return new CaseEvent.Opened(
                origin,
                title,
                kind.map(one -> new Act(one.id(), one.name())).orElseThrow(),
                kind.map(ActKind::severity).orElse(Severity.MIDDLE),
                new Where(Optional.of(plan.lesson()), Optional.of(ofClass), at),
                kept,
                by,
                at);
    }

    private Optional<CaseEvent.EvidenceAdded> evidence(Set<PersonId> people, Instant from, Instant until, PersonId by) {
        Evidence found = Evidence.of(plan, record, rules, people, from, until);
        return found.first() == 0
                ? Optional.empty()
                : Optional.of(new CaseEvent.EvidenceAdded(plan.lesson(), found.first(), found.last(), by, until));
    }

    private static CaseEvent note(String text, boolean leadOnly, PersonId by, Instant at) {
        return new CaseEvent.Noted(text, leadOnly, Optional.empty(), by, at);
    }

    private static Draft add(Incident to, CaseEvent event) {
        return new Draft(Optional.of(to.id()), List.of(event));
    }

    private boolean isOfThisLesson(Incident one) {
        return one.where().lesson().equals(Optional.of(plan.lesson()));
    }

    private Optional<Incident> resting(int step) {
        return open.stream()
                .filter(one ->
                        one.steps().stream().anyMatch(it -> it.lesson().equals(plan.lesson()) && it.number() == step))
                .findFirst();
    }

    private Optional<Incident> begun(Instant moment, Origin origin) {
        return open.stream()
                .filter(one -> isOfThisLesson(one)
                        && one.opened().origin() == origin
                        && one.where().moment().equals(moment))
                .findFirst();
    }

    private LessonState stateAt(int number) {
        return Parts.NEW.after(record.subList(0, number));
    }

    private static String shortened(String text) {
        return text.codePointCount(0, text.length()) <= TITLE
                ? text
                : text.substring(0, text.offsetByCodePoints(0, TITLE - 1)) + "…";
    }
}
