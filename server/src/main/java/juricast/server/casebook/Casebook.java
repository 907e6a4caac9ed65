package juricast.server.casebook;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import juricast.core.casebook.CaseDecision;
import juricast.core.casebook.CaseEvent;
import juricast.core.casebook.CaseRefusal;
import juricast.core.casebook.Incident;
import juricast.core.casebook.IncidentId;
import juricast.core.casebook.Joining;
import juricast.core.identity.LessonId;
import juricast.server.data.Database;
import juricast.server.data.Topic;
import juricast.server.record.Holds;
import juricast.server.record.IncidentRecord;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Incidents as they are kept: their events, and in the same transaction what lists, searches and lessons ask of them. Who may read one
 * is asked of {@link CaseReading}, which is the only way from here to a screen.
 */
@Component
public class Casebook {
    /** How often an order is decided again because somebody else was quicker. */
    private static final int TRIES = 5;

    private final Database database;
    private final IncidentRecord record;
    private final CaseIndex index;

    Casebook(Database database, IncidentRecord record, CaseIndex index) {
        this.database = database;
        this.record = record;
        this.index = index;
    }

    /** One event of an incident. @param number from 1 */
    record Numbered(int number, CaseEvent event) {}

    /** All that happened with one, in order; nothing where there is none, or it was erased. */
    List<Numbered> events(IncidentId id) {
        List<IncidentRecord.Said> said = record.read(id.number());
        return said.stream().anyMatch(one -> one.body() == null)
                ? List.of()
                : said.stream()
                        .map(one -> new Numbered(one.number(), StoredCases.read(one.kind(), body(one))))
                        .toList();
    }

    private static String body(IncidentRecord.Said said) {
        String body = said.body();
        return body == null ? "" : body;
    }

    Optional<Incident> find(IncidentId id) {
        List<Numbered> events = events(id);
        return events.isEmpty()
                ? Optional.empty()
                : Optional.of(
                        Incident.of(id, events.stream().map(Numbered::event).toList()));
    }

    /** Open incidents of a lesson. */
    public List<Incident> openOf(LessonId lesson) {
        return database
                .read()
                .sql("SELECT id FROM incident WHERE lesson = :lesson AND closed IS NULL AND merged IS NULL ORDER BY id")
                .param("lesson", lesson.value())
                .query(Integer.class)
                .list()
                .stream()
                .flatMap(id -> find(new IncidentId(id)).stream())
                .toList();
    }

    /** Open incidents of a kind of beginning since a moment. */
    List<Incident> openSince(CaseEvent.Origin origin, Instant since) {
        return database
                .read()
                .sql(
                        """
                    SELECT id FROM incident WHERE origin = :origin AND moment >= :since
                    AND closed IS NULL AND merged IS NULL ORDER BY id""")
                .param("origin", origin.name())
                .param("since", since.toEpochMilli())
                .query(Integer.class)
                .list()
                .stream()
                .flatMap(id -> find(new IncidentId(id)).stream())
                .toList();
    }

    /** Opens one. @param events the first of them opens it */
    IncidentId open(List<CaseEvent> events) {
        return database.write(sql -> open(sql, events), Topic.PLAN);
    }

    IncidentId open(JdbcClient sql, List<CaseEvent> events) {
        var id = new IncidentId(IncidentRecord.next(sql));
        append(sql, id, 0, events);
        return id;
    }

    /** Adds to one, after the event that it had last when it was decided. */
    void add(JdbcClient sql, Incident to, List<CaseEvent> events) {
        append(sql, to.id(), to.number(), events);
    }

    private void append(JdbcClient sql, IncidentId id, int after, List<CaseEvent> events) {
        if (events.isEmpty()) {
            return;
        }
        record.append(
                sql,
                id.number(),
                after,
                events.stream().map(StoredCases::written).toList());
        List<CaseEvent> all = after == 0
                ? events
                : sql.sql("SELECT kind, body FROM incident_event WHERE incident = :incident ORDER BY number")
                        .param("incident", id.number())
                        .query((row, n) -> StoredCases.read(row.getString(1), row.getString(2)))
                        .list();
        index.write(sql, Incident.of(id, all), all, events);
        for (CaseEvent event : events) {
            if (event instanceof CaseEvent.EvidenceAdded evidence) {
                Holds.hold(
                        sql,
                        evidence.lesson(),
                        evidence.first(),
                        evidence.last(),
                        id.toString(),
                        evidence.by(),
                        evidence.at());
            }
        }
    }

    /** Decides about an incident and keeps what comes of it; where somebody else was quicker, it is decided again. */
    public Optional<CaseRefusal> order(IncidentId id, Function<Incident, CaseDecision> decide) {
        for (int i = 1; ; i++) {
            Incident is = find(id).orElseThrow(() -> new IllegalArgumentException("There is no incident " + id));
            try {
                return decide.apply(is)
                        .either(
                                events -> {
                                    if (!events.isEmpty()) {
                                        database.write(
                                                sql -> {
                                                    add(sql, is, events);
                                                    return null;
                                                },
                                                Topic.PLAN);
                                    }
                                    return Optional.empty();
                                },
                                Optional::of);
            } catch (IncidentRecord.MovedOn quicker) {
                if (i == TRIES) {
                    throw quicker;
                }
            }
        }
    }

    /** Keeps what comes of joining two, or nothing. @param second nothing where it is new */
    IncidentId both(Incident first, Optional<Incident> second, Function<IncidentId, Joining.Two> two) {
        return database.write(
                sql -> {
                    IncidentId other =
                            second.map(Incident::id).orElseGet(() -> new IncidentId(IncidentRecord.next(sql)));
                    Joining.Two events = two.apply(other);
                    add(sql, first, events.first());
                    append(sql, other, second.map(Incident::number).orElse(0), events.second());
                    return other;
                },
                Topic.PLAN);
    }
}
