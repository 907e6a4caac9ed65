package juricast.e2e;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.concurrent.atomic.AtomicReference;

/** A clock that stands still until a test moves it. */
final class SteppingClock extends Clock {
    private final AtomicReference<Instant> now;

    SteppingClock(Instant start) {
        now = new AtomicReference<>(start);
    }

    void advance(Duration by) {
        now.updateAndGet(before -> before.plus(by));
    }

    @Override
    public Instant instant() {
        return now.get();
    }

    @Override
    public ZoneId getZone() {
        return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return this;
    }
}
