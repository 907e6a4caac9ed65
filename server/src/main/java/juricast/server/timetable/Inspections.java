package juricast.server.timetable;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.charter.SchoolRules;
import juricast.core.identity.PersonId;
import juricast.core.inspection.Finding;
import juricast.core.inspection.Inspection;
import juricast.core.inspection.PlannedSchool;
import juricast.core.inspection.Severity;
import juricast.server.data.Database;
import juricast.server.data.School;
import juricast.server.data.Topic;
import juricast.server.rules.Settings;
import org.springframework.stereotype.Component;

/** The inspection of the school, kept up to date: after a write, only days whose lessons have changed are inspected again. */
@Component
class Inspections {
    private final Database database;
    private final School school;
    private final Plan plan;
    private final Settings settings;
    private final Clock clock;
    private volatile Known known = new Known(-1, LocalDate.MIN, SchoolRules.EMPTY, Inspection.NOTHING);

    Inspections(Database database, School school, Plan plan, Settings settings, Clock clock) {
        this.database = database;
        this.school = school;
        this.plan = plan;
        this.settings = settings;
        this.clock = clock;
    }

    private record Known(long revision, LocalDate day, SchoolRules rules, Inspection inspection) {}

    /** How many weak spots of each kind there were when somebody last looked on a day. */
    record InspectedDay(String day, int dangers, int weak, int notes) {}

    /** An acceptance: whoever knows of a weak spot and answers for it. */
    record Acceptance(String key, String why, String until, String by, Instant at) {}

    /** From the beginning of today on. */
    Inspection now() {
        long revision = database.revision(Topic.PLAN, Topic.RULES, Topic.PEOPLE);
        LocalDate today = school.date(clock.instant());
        Known last = known;
        if (last.revision != revision || !last.day.equals(today)) {
            PlannedSchool planned = plan.from(today.atStartOfDay(school.zone()).toInstant());
            SchoolRules rules = settings.all();
            boolean sameDay = last.day.equals(today) && last.rules.equals(rules);
            last = new Known(
                    revision,
                    today,
                    rules,
                    sameDay ? last.inspection.after(planned) : Inspection.of(planned, rules, clock.instant()));
            known = last;
        }
        return last.inspection;
    }

    /** Those that nobody has accepted. */
    static List<Finding> open(Inspection inspection, Set<String> accepted) {
        return inspection.findings().stream()
                .filter(one -> !accepted.contains(one.key()))
                .toList();
    }

    /** What is accepted today, by the key of the weak spot. */
    Map<String, Acceptance> accepted() {
        return database
                .read()
                .sql(
                        """
                    SELECT accepted_finding.*, coalesce(person.name, by) AS by_name FROM accepted_finding
                    LEFT JOIN person ON person.id = by WHERE until >= :today AND ended_at = 0 ORDER BY accepted_finding.id""")
                .param("today", school.date(clock.instant()).toString())
                .query((row, n) -> new Acceptance(
                        row.getString("key"),
                        row.getString("why"),
                        row.getString("until"),
                        row.getString("by_name"),
                        Instant.ofEpochMilli(row.getLong("at"))))
                .list()
                .stream()
                .collect(Collectors.toMap(Acceptance::key, one -> one, (first, second) -> second));
    }

    void accept(String key, String why, LocalDate until, PersonId by) {
        database.append(sql -> sql.sql(
                        "INSERT INTO accepted_finding (key, why, until, by, at) VALUES (:key, :why, :until, :by, :at)")
                .param("key", key)
                .param("why", why)
                .param("until", until.toString())
                .param("by", by.value())
                .param("at", clock.millis())
                .update());
    }

    /** Ends an acceptance, so that the weak spot is open again. */
    void reopen(String key) {
        database.append(sql -> sql.sql("UPDATE accepted_finding SET ended_at = :at WHERE key = :key AND ended_at = 0")
                .param("key", key)
                .param("at", clock.millis())
                .update());
    }

    /** Notes how it stands today and gives the last weeks, the oldest first. */
    List<InspectedDay> trend(List<Finding> open, int days) {
        LocalDate today = school.date(clock.instant());
        note(today, open);
        return database.read()
                .sql("SELECT * FROM inspection_day WHERE day > :since ORDER BY day")
                .param("since", today.minusDays(days).toString())
                .query((row, n) -> new InspectedDay(
                        row.getString("day"), row.getInt("dangers"), row.getInt("weak"), row.getInt("notes")))
                .list();
    }

    private void note(LocalDate day, List<Finding> open) {
        Map<Severity, Long> counts =
                open.stream().collect(Collectors.groupingBy(one -> one.kind().severity(), Collectors.counting()));
        database.append(sql -> sql.sql(
                        """
                INSERT INTO inspection_day (day, dangers, weak, notes) VALUES (:day, :dangers, :weak, :notes)
                ON CONFLICT (day) DO UPDATE SET dangers = excluded.dangers, weak = excluded.weak, notes = excluded.notes""")
                .param("day", day.toString())
                .param("dangers", counts.getOrDefault(Severity.DANGER, 0L))
                .param("weak", counts.getOrDefault(Severity.WEAK_SPOT, 0L))
                .param("notes", counts.getOrDefault(Severity.NOTE, 0L))
                .update());
    }
}
