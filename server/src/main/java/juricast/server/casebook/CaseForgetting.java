package juricast.server.casebook;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.casebook.Holding;
import juricast.core.casebook.IncidentId;
import juricast.core.identity.PersonId;
import juricast.core.keeping.Retention;
import juricast.core.rules.Rulebook;
import juricast.server.data.Database;
import juricast.server.record.AtNight;
import juricast.server.record.Forgotten;
import juricast.server.record.Holds;
import juricast.server.record.IncidentRecord;
import juricast.server.retention.KeptKind;
import juricast.server.rules.Settings;
import org.springframework.stereotype.Component;

/** Lets go of what closed incidents rested on, and at last of what they said (need N4). */
@Component
class CaseForgetting implements KeptKind, AtNight {
    private final Database database;
    private final Settings settings;
    private final Clock clock;

    CaseForgetting(Database database, Settings settings, Clock clock) {
        this.database = database;
        this.settings = settings;
        this.clock = clock;
    }

    private record Closed(IncidentId id, Instant at) {}

    @Override
    public Retention kind() {
        return Retention.INCIDENTS;
    }

    @Override
    public Coming coming(Instant until) {
        Rulebook book = settings.ofSchool();
        return new Coming(
                (int) closed().stream()
                        .filter(one -> kind().until(one.at, book).isBefore(until))
                        .count(),
                0);
    }

    private List<Closed> closed() {
        return database.read()
                .sql(
                        """
                    SELECT id, coalesce(closed, changed) FROM incident
                    WHERE closed IS NOT NULL OR merged IS NOT NULL ORDER BY id""")
                .query((row, n) -> new Closed(new IncidentId(row.getInt(1)), Instant.ofEpochMilli(row.getLong(2))))
                .list();
    }

    @Override
    public boolean step(Instant since) {
        Instant now = clock.instant();
        Rulebook book = settings.ofSchool();
        for (Closed one : closed()) {
            if (Holding.until(Optional.of(one.at), book)
                    .filter(end -> !now.isBefore(end))
                    .isPresent()) {
                database.append(sql -> Holds.release(sql, one.id.toString(), PersonId.CLOCK, now));
            }
            if (!now.isBefore(kind().until(one.at, book))) {
                database.append(sql -> {
                    int erased = IncidentRecord.erase(sql, one.id.number());
                    CaseIndex.forget(sql, one.id);
                    Forgotten.note(
                            sql, kind().name(), one.id.toString(), kind().rule().key(), erased, now);
                    return erased;
                });
            }
        }
        return false;
    }
}
