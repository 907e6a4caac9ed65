package juricast.core.casebook;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import juricast.core.identity.PersonId;
import juricast.core.reading.Tie;

/** Two incidents that turned out to be one, and one that turned out to be two. */
public final class Joining {
    private Joining() {}

    /** What each of two incidents gets, or a refusal. */
    public sealed interface Both {
        <R> R either(Function<Two, R> done, Function<CaseRefusal, R> refused);
    }

    /** @param first events of the one ordered about @param second of the other */
    public record Two(List<CaseEvent> first, List<CaseEvent> second) implements Both {
        public Two {
            first = List.copyOf(first);
            second = List.copyOf(second);
        }

        @Override
        public <R> R either(Function<Two, R> done, Function<CaseRefusal, R> refused) {
            return done.apply(this);
        }
    }

    private record Neither(CaseRefusal why) implements Both {
        @Override
        public <R> R either(Function<Two, R> done, Function<CaseRefusal, R> refused) {
            return refused.apply(why);
        }
    }

    /**
     * One ends and goes on in the other, which gets its people, evidence, steps and follow-ups that are not done.
     *
     * @param ties to both
     */
    public static Both merge(Incident one, Incident into, Set<Tie> ties, PersonId by, Instant now) {
        if (!Deed.JOIN.isFor(ties)) {
            return new Neither(CaseRefusal.NOT_YOURS);
        }
        if (one.id().equals(into.id())) {
            return new Neither(CaseRefusal.THE_SAME_ONE);
        }
        if (one.mergedInto().isPresent() || into.mergedInto().isPresent()) {
            return new Neither(CaseRefusal.WAS_MERGED);
        }
        if (!one.isOpen() || !into.isOpen()) {
            return new Neither(CaseRefusal.IS_CLOSED);
        }
        if (one.isForLeads() && !into.isForLeads()) {
            return new Neither(CaseRefusal.LEADS_ALONE);
        }
        var more = new ArrayList<CaseEvent>();
        more.add(new CaseEvent.Absorbed(one.id(), by, now));
        one.people().entrySet().stream()
                .filter(person -> !into.people().containsKey(person.getKey()))
                .forEach(person ->
                        more.add(new CaseEvent.PartTaken(person.getKey(), Optional.of(person.getValue()), by, now)));
        one.evidence().stream()
                .filter(it -> !hasEvidence(into, it))
                .forEach(it -> more.add(new CaseEvent.EvidenceAdded(it.lesson(), it.first(), it.last(), by, now)));
        one.steps().stream().filter(step -> !hasStep(into, step)).forEach(more::add);
        one.open().forEach(todo -> more.add(new CaseEvent.FollowUpSet(todo.what(), todo.who(), todo.until(), by, now)));
        return new Two(List.of(new CaseEvent.MergedInto(into.id(), by, now)), more);
    }

    private static boolean hasEvidence(Incident into, CaseEvent.EvidenceAdded one) {
        return into.evidence().stream()
                .anyMatch(
                        it -> it.lesson().equals(one.lesson()) && it.first() <= one.first() && it.last() >= one.last());
    }

    private static boolean hasStep(Incident into, CaseEvent.StepAdded one) {
        return into.steps().stream().anyMatch(it -> it.lesson().equals(one.lesson()) && it.number() == one.number());
    }

    /** Some people are in a new incident from now on, with the same evidence and the steps that were taken against them. */
    public static Both split(
            Incident one,
            IncidentId into,
            List<PersonId> people,
            String title,
            Set<Tie> ties,
            PersonId by,
            Instant now) {
        if (!Deed.JOIN.isFor(ties)) {
            return new Neither(CaseRefusal.NOT_YOURS);
        }
        if (!one.isOpen()) {
            return new Neither(one.mergedInto().isPresent() ? CaseRefusal.WAS_MERGED : CaseRefusal.IS_CLOSED);
        }
        Map<PersonId, CasePart> all = one.people();
        if (!all.keySet().containsAll(people)) {
            return new Neither(CaseRefusal.NOT_IN_IT);
        }
        if (people.isEmpty() || all.keySet().stream().allMatch(people::contains)) {
            return new Neither(CaseRefusal.NOBODY_LEFT);
        }
        var fresh = new ArrayList<CaseEvent>();
        fresh.add(new CaseEvent.Opened(
                CaseEvent.Origin.SPLIT,
                title.isBlank() ? one.opened().title() : title.strip(),
                one.act(),
                one.severity(),
                one.where(),
                one.opened().kept(),
                by,
                now));
        fresh.add(new CaseEvent.Linked(one.id(), "", by, now));
        people.forEach(person -> fresh.add(new CaseEvent.PartTaken(person, Optional.of(all.get(person)), by, now)));
        one.evidence()
                .forEach(it -> fresh.add(new CaseEvent.EvidenceAdded(it.lesson(), it.first(), it.last(), by, now)));
        one.steps().stream()
                .filter(step -> step.met().stream().anyMatch(met -> people.contains(met.person())))
                .forEach(step -> fresh.add(new CaseEvent.StepAdded(
                        step.lesson(),
                        step.number(),
                        step.met().stream()
                                .filter(met -> people.contains(met.person()))
                                .toList(),
                        step.act(),
                        step.step(),
                        step.why(),
                        step.by(),
                        step.at())));
        return new Two(List.of(new CaseEvent.SplitOff(into, people, by, now)), fresh);
    }
}
