package juricast.server.data;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.function.LongSupplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The time of day, but never backwards. When somebody sets the machine's clock back, this one goes on at half its pace until
 * the other has caught up: a pass lasts a little longer then, but no lesson has an end before its beginning.
 */
public final class SteadyClock extends Clock {
    private static final Logger LOG = LoggerFactory.getLogger(SteadyClock.class);
    private static final Duration WORTH_TELLING = Duration.ofSeconds(1);

    private final Clock wall;
    private final LongSupplier nanos;
    private Instant given;
    private long givenAt;
    private boolean isAhead;

    /** @param nanos nanoseconds that only ever grow, from any beginning */
    public SteadyClock(Clock wall, LongSupplier nanos) {
        this.wall = wall;
        this.nanos = nanos;
        given = wall.instant();
        givenAt = nanos.getAsLong();
    }

    @Override
    public synchronized Instant instant() {
        Instant now = wall.instant();
        long at = nanos.getAsLong();
        boolean wasAhead = isAhead;
        isAhead = now.isBefore(given);
        Duration back = Duration.between(now, given);
        if (isAhead && !wasAhead && back.compareTo(WORTH_TELLING) > 0) {
            LOG.warn(
                    "The machine's clock was set back by {}. Lessons go on; their time runs slower until it fits.",
                    back);
        }
        Instant atLeast = given.plusNanos((at - givenAt) / 2);
        given = now.isBefore(atLeast) ? atLeast : now;
        givenAt = at;
        return given;
    }

    @Override
    public ZoneId getZone() {
        return wall.getZone();
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return new SteadyClock(wall.withZone(zone), nanos);
    }
}
