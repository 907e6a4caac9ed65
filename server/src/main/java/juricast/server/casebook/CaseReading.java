package juricast.server.casebook;

import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.casebook.CasePart;
import juricast.core.casebook.FollowUp;
import juricast.core.casebook.Incident;
import juricast.core.casebook.IncidentId;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.reading.About;
import juricast.core.reading.Matter;
import juricast.core.reading.Reader;
import juricast.core.reading.Tie;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.classes.Reading;
import juricast.server.data.Database;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import org.springframework.stereotype.Component;

/** The only way from the casebook to a screen: asks the table of who may read what for each incident. */
@Component
class CaseReading {
    private final Casebook casebook;
    private final Reading reading;
    private final Classes classes;
    private final Database database;
    private final People people;
    private final Clock clock;

    CaseReading(Casebook casebook, Reading reading, Classes classes, Database database, People people, Clock clock) {
        this.clock = clock;
        this.people = people;
        this.casebook = casebook;
        this.reading = reading;
        this.classes = classes;
        this.database = database;
    }

    /** An incident that somebody may read. @param leads whether also what is kept for safeguarding leads */
    record Readable(Incident incident, Set<Tie> ties, boolean leads) {}

    /** @throws Problem as if it were not there, if it may not be read */
    Readable of(SignedIn caller, int number) {
        if (number < 1) {
            throw notThere();
        }
        return find(caller, new IncidentId(number)).orElseThrow(CaseReading::notThere);
    }

    static Problem notThere() {
        return Problem.notThere("This incident");
    }

    Optional<Readable> find(SignedIn caller, IncidentId id) {
        return casebook.find(id).flatMap(incident -> {
            About about = about(incident);
            Reader reader = reader(caller, incident.where().lesson());
            Matter matter = incident.isForLeads() ? Matter.INCIDENT_FOR_LEADS : Matter.INCIDENT;
            return reader.mayRead(matter, about)
                    ? Optional.of(new Readable(
                            incident, reader.ties(about), reader.mayRead(Matter.INCIDENT_FOR_LEADS, about)))
                    : Optional.empty();
        });
    }

    private Reader reader(SignedIn caller, Optional<LessonId> lesson) {
        return reading.reader(
                caller,
                lesson.filter(one -> classes.isCoveredBy(one, caller.person()))
                        .map(Set::of)
                        .orElse(Set.of()));
    }

    private About about(Incident incident) {
        Set<PersonId> concerned = incident.concerned();
        return About.incident(
                incident.where().ofClass().map(Set::of).orElse(Set.of()),
                incident.where().lesson(),
                new About.OfIncident(
                        incident.where()
                                .ofClass()
                                .flatMap(classes::find)
                                .map(one -> Set.of(one.year()))
                                .orElse(Set.of()),
                        concerned,
                        Stream.concat(
                                        incident.followUps().stream().map(FollowUp::who),
                                        incident.in(CasePart.ACTED).stream())
                                .collect(Collectors.toSet()),
                        concerned.containsAll(leads())));
    }

    private Set<PersonId> leads() {
        return people.leads(clock.instant()).stream().map(People.Person::id).collect(Collectors.toSet());
    }

    /** Those of some lines of the casebook that somebody may read. */
    List<CaseIndex.Row> of(SignedIn caller, List<CaseIndex.Row> rows) {
        List<Integer> ids = rows.stream().map(one -> one.id().number()).toList();
        if (ids.isEmpty()) {
            return List.of();
        }
        Map<Integer, Set<PersonId>> concerned = inParts(
                "SELECT incident, person FROM incident_person WHERE part IN ('DID', 'SUFFERED', 'KEPT_FROM') AND incident IN (:ids)",
                ids);
        Map<Integer, Set<PersonId>> asked = inParts(
                """
                SELECT incident, who FROM incident_follow_up WHERE incident IN (:ids)
                UNION SELECT incident, person FROM incident_person WHERE part = 'ACTED' AND incident IN (:ids)""",
                ids);
        var lessons = new HashMap<LessonId, Boolean>();
        var readable = new ArrayList<CaseIndex.Row>();
        Reader plain = reading.reader(caller);
        Set<PersonId> leads = leads();
        for (CaseIndex.Row row : rows) {
            Optional<LessonId> lesson = row.lesson().map(LessonId::new);
            Set<PersonId> kept = concerned.getOrDefault(row.id().number(), Set.of());
            About about = About.incident(
                    row.ofClass().map(one -> Set.of(new ClassId(one))).orElse(Set.of()),
                    lesson,
                    new About.OfIncident(
                            row.year() == 0 ? Set.of() : Set.of(row.year()),
                            kept,
                            asked.getOrDefault(row.id().number(), Set.of()),
                            kept.containsAll(leads)));
            Matter matter = row.leadOnly() ? Matter.INCIDENT_FOR_LEADS : Matter.INCIDENT;
            boolean may = plain.mayRead(matter, about)
                    || lesson.filter(
                                    one -> lessons.computeIfAbsent(one, id -> classes.isCoveredBy(id, caller.person())))
                            .map(one -> reading.reader(caller, Set.of(one)).mayRead(matter, about))
                            .orElse(false);
            if (may) {
                readable.add(row);
            }
        }
        return readable;
    }

    private Map<Integer, Set<PersonId>> inParts(String query, List<Integer> ids) {
        var people = new HashMap<Integer, Set<PersonId>>();
        database.read().sql(query).param("ids", ids).query(row -> {
            people.computeIfAbsent(row.getInt(1), any -> new HashSet<>()).add(new PersonId(row.getString(2)));
        });
        return people;
    }
}
