package juricast.server.record;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Looks through the records of incidents once a night, some at a time. */
@Component
public class IncidentWatch implements AtNight {
    private static final Logger LOG = LoggerFactory.getLogger(IncidentWatch.class);
    private static final int AT_ONCE = 50;

    private final IncidentRecord incidents;
    private Instant night = Instant.MIN;
    private int after;
    private final List<String> found = new ArrayList<>();
    private volatile List<String> damaged = List.of();

    IncidentWatch(IncidentRecord incidents) {
        this.incidents = incidents;
    }

    @Override
    public synchronized boolean step(Instant since) {
        if (!since.equals(night)) {
            night = since;
            after = 0;
            found.clear();
        }
        List<Integer> next = incidents.after(after, AT_ONCE);
        for (int one : next) {
            incidents.firstDamaged(one).ifPresent(number -> {
                LOG.error("The record of incident {} is damaged at event {}", one, number);
                found.add("incident %d at event %d".formatted(one, number));
            });
            after = one;
        }
        if (next.isEmpty()) {
            incidents.missing().ifPresent(found::add);
            damaged = List.copyOf(found);
            found.clear();
        }
        return !next.isEmpty();
    }

    /** What the last look found, in words. */
    public List<String> damaged() {
        return damaged;
    }
}
