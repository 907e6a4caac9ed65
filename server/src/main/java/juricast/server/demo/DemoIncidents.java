package juricast.server.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import juricast.core.casebook.CaseOrder;
import juricast.core.casebook.CasePart;
import juricast.core.casebook.CaseRules;
import juricast.core.casebook.Incident;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonPlan;
import juricast.core.reading.Tie;
import juricast.core.time.Span;
import juricast.server.casebook.Casebook;
import juricast.server.casebook.FromLessons;
import juricast.server.cast.Cast;
import juricast.server.cast.Script;
import juricast.server.classes.Classes;
import juricast.server.data.School;
import juricast.server.ladder.Ladders;
import org.apache.commons.csv.CSVRecord;
import org.springframework.stereotype.Component;

/** Three weeks of incidents: what happened in which lesson, and what was written and asked for afterwards. */
@Component
class DemoIncidents {
    private static final Set<Tie> LEAD = EnumSet.of(Tie.STAFF, Tie.LEAD);
    private static final PersonId MAREN = new PersonId("maren-oddlund");

    private final Classes classes;
    private final Ladders ladders;
    private final Casebook casebook;
    private final FromLessons fromLessons;
    private final School school;
    private final Clock clock;
    private Map<LessonId, List<CSVRecord>> rows = Map.of();

    DemoIncidents(
            Classes classes, Ladders ladders, Casebook casebook, FromLessons fromLessons, School school, Clock clock) {
        this.classes = classes;
        this.ladders = ladders;
        this.casebook = casebook;
        this.fromLessons = fromLessons;
        this.school = school;
        this.clock = clock;
    }

    /** Finds the lesson of each row: so many lessons back. */
    void plan(Duration history) {
        var found = new HashMap<LessonId, List<CSVRecord>>();
        for (CSVRecord row : Script.read("incidents.csv")) {
            List<Classes.Planned> held =
                    classes.lessons(new Span(clock.instant().minus(history), clock.instant())).stream()
                            .filter(one -> one.ofClass().value().equals(row.get("class"))
                                    && !one.time().until().isAfter(clock.instant()))
                            .sorted(Comparator.comparing(
                                            (Classes.Planned one) -> one.time().from())
                                    .reversed())
                            .toList();
            int back = Integer.parseInt(row.get("back"));
            if (back <= held.size()) {
                found.computeIfAbsent(held.get(back - 1).id(), any -> new ArrayList<>())
                        .add(row);
            }
        }
        rows = found;
    }

    List<CSVRecord> of(LessonId lesson) {
        return rows.getOrDefault(lesson, List.of());
    }

    /** The same plan with what its pupils bring along from lessons before it. */
    LessonPlan meeting(Classes.Planned planned, LessonPlan plan) {
        List<PersonId> pupils = plan.classList().stream().map(Member::person).toList();
        int year = classes.find(planned.ofClass()).orElseThrow().year();
        return plan.meeting(ladders.conduct(
                planned.id(), planned.ofClass(), year, pupils, planned.time().from()));
    }

    /** What was written and asked for afterwards, once the casebook has taken notice. */
    void write() {
        fromLessons.takeNotice();
        rows.forEach((lesson, all) -> all.forEach(row -> casebook.openOf(lesson).stream()
                .filter(one -> one.in(CasePart.DID).contains(Cast.idOf(row.get("pupil"))))
                .findFirst()
                .ifPresent(one -> write(one, row))));
    }

    private void write(Incident incident, CSVRecord row) {
        PersonId adult = incident.in(CasePart.ACTED).stream().findFirst().orElse(MAREN);
        if (!row.get("to").isEmpty()) {
            order(incident, new CaseOrder.TakePart(Cast.idOf(row.get("to")), Optional.of(CasePart.SUFFERED), adult));
        }
        if (!row.get("note").isEmpty()) {
            order(incident, new CaseOrder.Note(row.get("note"), false, Optional.empty(), adult));
        }
        if (row.get("todo").isEmpty()) {
            if (incident.highest() < 4) {
                order(incident, new CaseOrder.Close("Talked about, and well since.", MAREN));
            }
        } else {
            order(incident, new CaseOrder.SetFollowUp(row.get("todo"), MAREN, today(), MAREN));
        }
    }

    private LocalDate today() {
        return school.date(clock.instant());
    }

    private void order(Incident incident, CaseOrder order) {
        casebook.order(
                incident.id(),
                is -> new CaseRules(Optional.of(is), LEAD, ladders.ofSchool(), today(), clock.instant()).decide(order));
    }
}
