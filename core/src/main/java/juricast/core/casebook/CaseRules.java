package juricast.core.casebook;

import static juricast.core.casebook.CaseDecision.done;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import juricast.core.casebook.CaseEvent.Act;
import juricast.core.identity.PersonId;
import juricast.core.ladder.Ladder;
import juricast.core.limits.Limits;
import juricast.core.reading.Tie;

/**
 * Decides what is done with an incident that somebody may read.
 *
 * @param is nothing where it is being written
 * @param ties of whoever orders it to this incident
 * @param today the day at the school
 */
public record CaseRules(Optional<Incident> is, Set<Tie> ties, Ladder ladder, LocalDate today, Instant now)
        implements CaseOrder.Cases<CaseDecision> {
    private static final int MOST_PEOPLE = 60;
    private static final int MOST_EVENTS = 2000;

    public CaseDecision decide(CaseOrder order) {
        return is.filter(one -> one.number() >= MOST_EVENTS).isPresent()
                ? refused(CaseRefusal.TOO_MUCH)
                : order.match(this);
    }

    private static CaseDecision refused(CaseRefusal why) {
        return new CaseDecision.Refused(why);
    }

    private Incident incident() {
        return is.orElseThrow(() -> new IllegalArgumentException("There is no incident yet"));
    }

    /** For what is done while it is open. */
    private CaseDecision open(Deed deed, Supplier<CaseDecision> decision) {
        if (!deed.isFor(ties)) {
            return refused(CaseRefusal.NOT_YOURS);
        }
        if (incident().mergedInto().isPresent()) {
            return refused(CaseRefusal.WAS_MERGED);
        }
        return incident().isOpen() ? decision.get() : refused(CaseRefusal.IS_CLOSED);
    }

    private static Optional<CaseRefusal> wrong(String text, int most) {
        return text.isBlank()
                ? Optional.of(CaseRefusal.EMPTY_TEXT)
                : text.length() > most ? Optional.of(CaseRefusal.TEXT_TOO_LONG) : Optional.empty();
    }

    private CaseDecision written(String text, Supplier<CaseDecision> decision) {
        return wrong(text.strip(), Limits.NOTE).map(CaseRules::refused).orElseGet(decision);
    }

    private Optional<Act> act(String id) {
        return ladder.act(id).map(one -> new Act(one.id(), one.name()));
    }

    /** Any adult of the school may write one down; only a lead one for leads alone. */
    @Override
    public CaseDecision write(CaseOrder.Write order) {
        Optional<Act> act = act(order.act());
        Optional<CaseRefusal> wrong = wrong(order.title().strip(), Limits.TITLE);
        if (wrong.isPresent()) {
            return refused(wrong.get());
        }
        if (act.isEmpty()) {
            return refused(CaseRefusal.NO_SUCH_ACT);
        }
        if (order.did().size() + order.suffered().size() > MOST_PEOPLE) {
            return refused(CaseRefusal.TOO_MUCH);
        }
        if (order.leadOnly() && !ties.contains(Tie.LEAD)) {
            return refused(CaseRefusal.NOT_YOURS);
        }
        var events = new ArrayList<CaseEvent>();
        events.add(new CaseEvent.Opened(
                CaseEvent.Origin.WRITTEN,
                order.title().strip(),
                act.get(),
                order.severity(),
                order.where(),
                new CaseEvent.Kept(order.leadOnly(), List.of()),
                order.by(),
                now));
        order.did().stream().distinct().forEach(one -> events.add(part(one, CasePart.DID, order.by())));
        order.suffered().stream()
                .distinct()
                .filter(one -> !order.did().contains(one))
                .forEach(one -> events.add(part(one, CasePart.SUFFERED, order.by())));
        return new CaseDecision.Done(events);
    }

    private CaseEvent part(PersonId person, CasePart part, PersonId by) {
        return new CaseEvent.PartTaken(person, Optional.of(part), by, now);
    }

    @Override
    public CaseDecision takePart(CaseOrder.TakePart order) {
        return open(Deed.SAY_WHO, () -> {
            Optional<CasePart> was = Optional.ofNullable(incident().people().get(order.person()));
            if (was.equals(order.part())) {
                return done();
            }
            return incident().people().size() >= MOST_PEOPLE && was.isEmpty()
                    ? refused(CaseRefusal.TOO_MUCH)
                    : done(new CaseEvent.PartTaken(order.person(), order.part(), order.by(), now));
        });
    }

    /** A note can be written to a closed one too: what comes to light later must find its place. */
    @Override
    public CaseDecision note(CaseOrder.Note order) {
        if (!(order.leadOnly() ? Deed.NOTE_FOR_LEADS : Deed.NOTE).isFor(ties)) {
            return refused(CaseRefusal.NOT_YOURS);
        }
        if (incident().mergedInto().isPresent()) {
            return refused(CaseRefusal.WAS_MERGED);
        }
        if (order.corrects().filter(one -> one < 1 || one > incident().number()).isPresent()) {
            return refused(CaseRefusal.NO_SUCH_EVENT);
        }
        return written(
                order.text(),
                () -> done(new CaseEvent.Noted(
                        order.text().strip(), order.leadOnly(), order.corrects(), order.by(), now)));
    }

    @Override
    public CaseDecision classify(CaseOrder.Classify order) {
        return open(Deed.CLASSIFY, () -> act(order.act())
                .map(act -> act.id().equals(incident().act().id())
                                && order.severity() == incident().severity()
                        ? done()
                        : done(new CaseEvent.Classified(act, order.severity(), order.by(), now)))
                .orElseGet(() -> refused(CaseRefusal.NO_SUCH_ACT)));
    }

    @Override
    public CaseDecision setFollowUp(CaseOrder.SetFollowUp order) {
        return open(
                Deed.FOLLOW_UP,
                () -> order.until().isBefore(today)
                        ? refused(CaseRefusal.DAY_IS_PAST)
                        : written(
                                order.what(),
                                () -> done(new CaseEvent.FollowUpSet(
                                        order.what().strip(), order.who(), order.until(), order.by(), now))));
    }

    @Override
    public CaseDecision moveFollowUp(CaseOrder.MoveFollowUp order) {
        return followUp(
                order.followUp(),
                order.by(),
                () -> order.until().isBefore(today)
                        ? refused(CaseRefusal.DAY_IS_PAST)
                        : written(
                                order.why(),
                                () -> done(new CaseEvent.FollowUpMoved(
                                        order.followUp(),
                                        order.until(),
                                        order.why().strip(),
                                        order.by(),
                                        now))));
    }

    @Override
    public CaseDecision doFollowUp(CaseOrder.DoFollowUp order) {
        return followUp(
                order.followUp(),
                order.by(),
                () -> order.words().length() > Limits.NOTE
                        ? refused(CaseRefusal.TEXT_TOO_LONG)
                        : done(new CaseEvent.FollowUpDone(
                                order.followUp(), order.words().strip(), order.by(), now)));
    }

    /** Whoever has to do it says so, and whoever may set one. */
    private CaseDecision followUp(int number, PersonId by, Supplier<CaseDecision> decision) {
        Optional<FollowUp> found = incident().followUp(number);
        if (found.isEmpty()) {
            return refused(CaseRefusal.NO_SUCH_FOLLOW_UP);
        }
        if (!found.get().who().equals(by) && !Deed.FOLLOW_UP.isFor(ties)) {
            return refused(CaseRefusal.NOT_YOURS);
        }
        return found.get().isOpen() ? decision.get() : refused(CaseRefusal.ALREADY_DONE);
    }

    @Override
    public CaseDecision decide(CaseOrder.Decide order) {
        return open(
                Deed.DECIDE,
                () -> written(
                        order.text(),
                        () -> done(new CaseEvent.Decided(order.text().strip(), order.by(), now))));
    }

    @Override
    public CaseDecision link(CaseOrder.Link order) {
        return open(Deed.NOTE, () -> {
            if (order.other().equals(incident().id())) {
                return refused(CaseRefusal.THE_SAME_ONE);
            }
            if (order.how().length() > Limits.REASON) {
                return refused(CaseRefusal.TEXT_TOO_LONG);
            }
            return incident().links().contains(order.other())
                    ? done()
                    : done(new CaseEvent.Linked(order.other(), order.how().strip(), order.by(), now));
        });
    }

    @Override
    public CaseDecision talk(CaseOrder.Talk order) {
        if (!Deed.TALK.isFor(ties)) {
            return refused(CaseRefusal.NOT_YOURS);
        }
        return incident().out().contains(order.pupil())
                ? written(
                        order.words(),
                        () -> done(new CaseEvent.Talked(
                                order.pupil(), order.words().strip(), order.by(), now)))
                : refused(CaseRefusal.NOT_OUT);
    }

    @Override
    public CaseDecision writeParents(CaseOrder.WriteParents order) {
        return open(
                Deed.WRITE_PARENTS,
                () -> incident().people().containsKey(order.pupil())
                        ? written(
                                order.text(),
                                () -> done(new CaseEvent.ParentsWritten(
                                        order.pupil(), order.text().strip(), order.by(), now)))
                        : refused(CaseRefusal.NOT_IN_IT));
    }

    @Override
    public CaseDecision close(CaseOrder.Close order) {
        return open(Deed.CLOSE, () -> {
            if (!incident().open().isEmpty() || !incident().out().isEmpty()) {
                return refused(CaseRefusal.STILL_TO_DO);
            }
            return written(
                    order.words(), () -> done(new CaseEvent.Closed(order.words().strip(), order.by(), now)));
        });
    }

    @Override
    public CaseDecision reopen(CaseOrder.Reopen order) {
        if (!Deed.CLOSE.isFor(ties)) {
            return refused(CaseRefusal.NOT_YOURS);
        }
        if (incident().mergedInto().isPresent()) {
            return refused(CaseRefusal.WAS_MERGED);
        }
        return incident().isOpen()
                ? refused(CaseRefusal.IS_OPEN)
                : written(
                        order.why(),
                        () -> done(new CaseEvent.Reopened(order.why().strip(), order.by(), now)));
    }
}
