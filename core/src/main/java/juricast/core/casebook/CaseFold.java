package juricast.core.casebook;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import juricast.core.ladder.Measure;

/** Folds events into an incident. It refuses nothing: what has happened has happened. */
final class CaseFold implements CaseEvent.Cases<Void> {
    private final Incident.Draft to;

    CaseFold(Incident was) {
        to = new Incident.Draft(was);
    }

    void take(CaseEvent event) {
        to.number++;
        event.match(this);
    }

    Incident made() {
        return to.made();
    }

    @Override
    public Void opened(CaseEvent.Opened event) {
        return null;
    }

    @Override
    public Void partTaken(CaseEvent.PartTaken event) {
        event.part()
                .ifPresentOrElse(part -> to.people.put(event.person(), part), () -> to.people.remove(event.person()));
        return null;
    }

    @Override
    public Void evidenceAdded(CaseEvent.EvidenceAdded event) {
        to.evidence.add(event);
        return null;
    }

    @Override
    public Void stepAdded(CaseEvent.StepAdded event) {
        to.steps.add(event);
        event.met().forEach(one -> to.people.putIfAbsent(one.person(), CasePart.DID));
        to.people.putIfAbsent(event.by(), CasePart.ACTED);
        if (event.step().measure() == Measure.OUT_OF_SERIES) {
            event.met().forEach(one -> to.out.add(one.person()));
        }
        return null;
    }

    @Override
    public Void stepWithdrawn(CaseEvent.StepWithdrawn event) {
        List<CaseEvent.StepAdded> gone = to.steps.stream()
                .filter(one -> one.lesson().equals(event.lesson()) && one.number() == event.number())
                .toList();
        to.steps.removeAll(gone);
        gone.stream()
                .filter(one -> one.step().measure() == Measure.OUT_OF_SERIES)
                .forEach(one -> one.met().forEach(met -> to.out.remove(met.person())));
        return null;
    }

    @Override
    public Void noted(CaseEvent.Noted event) {
        return null;
    }

    @Override
    public Void classified(CaseEvent.Classified event) {
        to.act = event.act();
        to.severity = event.severity();
        return null;
    }

    @Override
    public Void followUpSet(CaseEvent.FollowUpSet event) {
        to.followUps.add(
                new FollowUp(to.number, event.what(), event.who(), event.until(), event.by(), Optional.empty()));
        return null;
    }

    @Override
    public Void followUpMoved(CaseEvent.FollowUpMoved event) {
        return change(
                event.followUp(),
                one -> new FollowUp(one.number(), one.what(), one.who(), event.until(), one.setBy(), one.done()));
    }

    @Override
    public Void followUpDone(CaseEvent.FollowUpDone event) {
        return change(
                event.followUp(),
                one -> new FollowUp(one.number(), one.what(), one.who(), one.until(), one.setBy(), Optional.of(event)));
    }

    private Void change(int followUp, UnaryOperator<FollowUp> how) {
        to.followUps.replaceAll(one -> one.number() == followUp ? how.apply(one) : one);
        return null;
    }

    @Override
    public Void decided(CaseEvent.Decided event) {
        return null;
    }

    @Override
    public Void linked(CaseEvent.Linked event) {
        to.links.add(event.other());
        return null;
    }

    @Override
    public Void mergedInto(CaseEvent.MergedInto event) {
        to.mergedInto = Optional.of(event.other());
        return null;
    }

    @Override
    public Void absorbed(CaseEvent.Absorbed event) {
        to.links.add(event.other());
        return null;
    }

    @Override
    public Void splitOff(CaseEvent.SplitOff event) {
        to.links.add(event.into());
        event.people().forEach(to.people::remove);
        return null;
    }

    @Override
    public Void talked(CaseEvent.Talked event) {
        to.out.remove(event.pupil());
        return null;
    }

    @Override
    public Void parentsWritten(CaseEvent.ParentsWritten event) {
        return null;
    }

    @Override
    public Void packMade(CaseEvent.PackMade event) {
        return null;
    }

    @Override
    public Void closed(CaseEvent.Closed event) {
        to.closed = Optional.of(event);
        return null;
    }

    @Override
    public Void reopened(CaseEvent.Reopened event) {
        to.closed = Optional.empty();
        return null;
    }
}
