package juricast.server.casebook;

import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.casebook.CaseEvent;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
import juricast.server.classes.Classes;
import juricast.server.data.Database;
import juricast.server.ladder.Ladders;
import juricast.server.people.People;
import juricast.server.tell.CaseLetters;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Sends what the casebook has to say: letters to parents, and that a pupil has raised a worry. What a killed program had not sent goes later. */
@Component
class CaseMessages {
    private static final Duration TOLD_WITHIN = Duration.ofDays(1);

    private final Database database;
    private final CaseLetters letters;
    private final Classes classes;
    private final People people;
    private final Ladders ladders;
    private final Clock clock;

    CaseMessages(Database database, CaseLetters letters, Classes classes, People people, Ladders ladders, Clock clock) {
        this.ladders = ladders;
        this.database = database;
        this.letters = letters;
        this.classes = classes;
        this.people = people;
        this.clock = clock;
    }

    private record Waiting(int incident, int number, PersonId pupil, String text, Optional<String> ofClass) {}

    @Scheduled(fixedDelay = 5_000)
    synchronized void send() {
        List<Waiting> waiting = database.read()
                .sql(
                        """
                    SELECT incident, number, pupil, text, incident.class FROM incident_letter
                    JOIN incident ON incident.id = incident WHERE sent = 0""")
                .query((row, n) -> new Waiting(
                        row.getInt(1),
                        row.getInt(2),
                        new PersonId(row.getString(3)),
                        row.getString(4),
                        Optional.ofNullable(row.getString(5))))
                .list();
        for (Waiting one : waiting) {
            letters.toParents(
                    one.pupil,
                    people.nameOf(one.pupil),
                    "incident %d event %d".formatted(one.incident, one.number),
                    one.ofClass,
                    one.ofClass
                            .flatMap(id -> classes.find(new ClassId(id)))
                            .map(Classes.SchoolClass::title)
                            .orElse(""),
                    one.text);
            database.append(sql -> sql.sql(
                            "UPDATE incident_letter SET sent = 1 WHERE incident = :incident AND number = :number")
                    .param("incident", one.incident)
                    .param("number", one.number)
                    .update());
        }
        worries().forEach(incident -> letters.toLeads(leadsFor(incident), "incident " + incident));
    }

    private List<Integer> worries() {
        return database.read()
                .sql("SELECT id FROM incident WHERE origin = :worry AND opened > :since")
                .param("worry", CaseEvent.Origin.WORRY.name())
                .param("since", clock.instant().minus(TOLD_WITHIN).toEpochMilli())
                .query(Integer.class)
                .list();
    }

    /** Leads who may read it; heads of years where that is none. */
    private Map<PersonId, String> leadsFor(int incident) {
        Set<String> kept = database.read()
                .sql(
                        """
                    SELECT person FROM incident_person
                    WHERE incident = :incident AND part IN ('DID', 'SUFFERED', 'KEPT_FROM')""")
                .param("incident", incident)
                .query(String.class)
                .set();
        Map<PersonId, String> leads = among(people.leads(clock.instant()).stream(), kept);
        return leads.isEmpty()
                ? among(
                        ladders.heads().values().stream()
                                .flatMap(List::stream)
                                .distinct()
                                .flatMap(one -> people.find(one).stream()),
                        kept)
                : leads;
    }

    private static Map<PersonId, String> among(Stream<People.Person> all, Set<String> kept) {
        return all.filter(one -> !kept.contains(one.id().value()))
                .collect(Collectors.toMap(People.Person::id, People.Person::name));
    }
}
