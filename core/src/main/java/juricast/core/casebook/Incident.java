package juricast.core.casebook;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.casebook.CaseEvent.Act;
import juricast.core.casebook.CaseEvent.Where;
import juricast.core.identity.PersonId;
import juricast.core.ladder.Severity;

/**
 * An incident as its events left it.
 *
 * @param number of the last event
 * @param people in parts, in the order in which they came into it
 * @param steps those that count, in order
 * @param out pupils who are not let into the series until somebody has talked
 * @param mergedInto the one that goes on in its place
 */
public record Incident(
        IncidentId id,
        int number,
        CaseEvent.Opened opened,
        Act act,
        Severity severity,
        Map<PersonId, CasePart> people,
        List<CaseEvent.EvidenceAdded> evidence,
        List<CaseEvent.StepAdded> steps,
        List<FollowUp> followUps,
        Set<IncidentId> links,
        Set<PersonId> out,
        Optional<CaseEvent.Closed> closed,
        Optional<IncidentId> mergedInto) {
    /** @throws IllegalArgumentException if the first event does not open it */
    public static Incident of(IncidentId id, List<CaseEvent> events) {
        if (events.isEmpty() || !(events.get(0) instanceof CaseEvent.Opened opened)) {
            throw new IllegalArgumentException(id + " is not opened by its first event");
        }
        var incident = new Incident(
                id,
                1,
                opened,
                opened.act(),
                opened.severity(),
                Map.of(),
                List.of(),
                List.of(),
                List.of(),
                Set.of(),
                Set.of(),
                Optional.empty(),
                Optional.empty());
        return incident.after(events.subList(1, events.size()));
    }

    /** All events in order. */
    public Incident after(List<? extends CaseEvent> events) {
        var fold = new CaseFold(this);
        events.forEach(fold::take);
        return fold.made();
    }

    public Where where() {
        return opened.where();
    }

    public boolean isOpen() {
        return closed.isEmpty() && mergedInto.isEmpty();
    }

    /** When it was closed, if it is. */
    public Optional<Instant> closedAt() {
        return closed.map(CaseEvent.Closed::at);
    }

    public List<PersonId> in(CasePart part) {
        return people.entrySet().stream()
                .filter(one -> one.getValue() == part)
                .map(Map.Entry::getKey)
                .toList();
    }

    /** Whether only safeguarding leads read it. */
    public boolean isForLeads() {
        return opened.kept().leadOnly();
    }

    /** Who reads nothing of it, whoever they are: those it is about, and those it is kept from. */
    public Set<PersonId> concerned() {
        return Stream.concat(about().stream(), opened.kept().from().stream()).collect(Collectors.toUnmodifiableSet());
    }

    /** Whom it is about. */
    public Set<PersonId> about() {
        return people.entrySet().stream()
                .filter(one -> one.getValue().isAbout())
                .map(Map.Entry::getKey)
                .collect(Collectors.toUnmodifiableSet());
    }

    public Optional<FollowUp> followUp(int event) {
        return followUps.stream().filter(one -> one.number() == event).findFirst();
    }

    public List<FollowUp> open() {
        return followUps.stream().filter(FollowUp::isOpen).toList();
    }

    /** The highest step that counts, from 1; 0 if none was taken. */
    public int highest() {
        return steps.stream().mapToInt(one -> one.step().level()).max().orElse(0);
    }

    /** The state being folded: made once for all events, and then never changed. */
    static final class Draft {
        final Map<PersonId, CasePart> people;
        final List<CaseEvent.EvidenceAdded> evidence;
        final List<CaseEvent.StepAdded> steps;
        final List<FollowUp> followUps;
        final Set<IncidentId> links;
        final Set<PersonId> out;
        int number;
        Act act;
        Severity severity;
        Optional<CaseEvent.Closed> closed;
        Optional<IncidentId> mergedInto;
        private final Incident was;

        Draft(Incident was) {
            this.was = was;
            people = new LinkedHashMap<>(was.people);
            evidence = new ArrayList<>(was.evidence);
            steps = new ArrayList<>(was.steps);
            followUps = new ArrayList<>(was.followUps);
            links = new TreeSet<>(was.links);
            out = new LinkedHashSet<>(was.out);
            number = was.number;
            act = was.act;
            severity = was.severity;
            closed = was.closed;
            mergedInto = was.mergedInto;
        }

        Incident made() {
            return new Incident(
                    was.id,
                    number,
                    was.opened,
                    act,
                    severity,
                    Collections.unmodifiableMap(people),
                    List.copyOf(evidence),
                    List.copyOf(steps),
                    List.copyOf(followUps),
                    Collections.unmodifiableSet(links),
                    Collections.unmodifiableSet(out),
                    closed,
                    mergedInto);
        }
    }
}
