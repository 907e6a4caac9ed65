package juricast.server.upkeep;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import juricast.core.keeping.Retention;
import juricast.server.data.Database;
import juricast.server.record.AtNight;
import juricast.server.retention.KeptKind;
import juricast.server.retention.OldRows;
import juricast.server.rules.Settings;
import org.springframework.stereotype.Component;

/** Sign-ins, and who looked at what, deleted on time (rule of Retention.LOOKS). */
@Component
class LooksForgetting implements KeptKind, AtNight {
    private static final String TABLE = "access_entry";

    private final OldRows rows;
    private final Settings settings;
    private final Clock clock;

    LooksForgetting(Database database, Settings settings, Clock clock) {
        rows = new OldRows(database, TABLE, kind());
        this.settings = settings;
        this.clock = clock;
    }

    @Override
    public final Retention kind() {
        return Retention.LOOKS;
    }

    @Override
    public Coming coming(Instant until) {
        return new Coming(rows.count(before(until)), 0);
    }

    @Override
    public boolean step(Instant since) {
        return rows.delete(before(clock.instant()), clock.instant());
    }

    /** Rows of before this instant go at {@code now}. */
    private Instant before(Instant now) {
        return now.minus(Duration.between(now, kind().until(now, settings.ofSchool())));
    }
}
