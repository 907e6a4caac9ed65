package juricast.server.watching;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.keeping.Retention;
import juricast.server.record.AtNight;
import juricast.server.recording.Recordings;
import juricast.server.recording.Recordings.Recording;
import juricast.server.retention.KeptKind;
import org.springframework.stereotype.Component;

/** Deletes recordings on time (rule recording.kept-days), but for those that the lead extended or a hold keeps. */
@Component
class RecordingsForgetting implements KeptKind, AtNight {
    private static final int AT_ONCE = 20;

    private final Recordings recordings;
    private final Deleting deleting;
    private final Access access;
    private final Clock clock;
    private Instant settled = Instant.EPOCH;

    RecordingsForgetting(Recordings recordings, Deleting deleting, Access access, Clock clock) {
        this.recordings = recordings;
        this.deleting = deleting;
        this.access = access;
        this.clock = clock;
    }

    @Override
    public Retention kind() {
        return Retention.RECORDINGS;
    }

    @Override
    public Coming coming(Instant until) {
        List<Recording> due = recordings.keptUntil(until, Integer.MAX_VALUE);
        int held = (int) due.stream().filter(deleting::isHeld).count();
        return new Coming(due.size() - held, held);
    }

    @Override
    public synchronized boolean step(Instant since) {
        if (!settled.equals(since)) {
            asTheRulesWere();
            settled = since;
        }
        Instant now = clock.instant();
        List<Recording> due = recordings.keptUntil(now, Integer.MAX_VALUE).stream()
                .filter(one -> !deleting.isHeld(one))
                .limit(AT_ONCE)
                .toList();
        due.forEach(one -> deleting.delete(one, why(one), now));
        return due.size() == AT_ONCE;
    }

    private static String why(Recording one) {
        Instant until = one.keptTo().orElseThrow();
        return "kept for %d days %s"
                .formatted(
                        Duration.between(one.ended().orElseThrow(), until).toDays(),
                        one.keptUntil().equals(Optional.of(until))
                                ? "by the rule"
                                : "by the rule, and longer by the lead's word");
    }

    /** The rules of the day it ended count, whatever was changed since; what ended with a crash has no day yet. */
    private void asTheRulesWere() {
        for (Recording one : recordings.notErased()) {
            one.ended().ifPresent(ended -> {
                Instant until =
                        Retention.RECORDINGS.until(ended, access.rules(one).book());
                if (!one.keptUntil().equals(Optional.of(until))) {
                    recordings.keepUntil(one.id(), until);
                }
            });
        }
    }
}
