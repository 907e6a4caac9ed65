package juricast.server.access;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.util.concurrent.TimeUnit;
import juricast.server.data.Ids;

/**
 * Counts tries by key within a time. A try is counted before anything is compared, so that many beside each other are not
 * taken for one; one that was right is given back. What it remembers is bounded: keys are hashed, forgotten by age, and the
 * rarest first when there are too many.
 */
public final class TryLimit {
    private static final int KEYS_AT_MOST = 50_000;

    private final Cache<String, Tries> tries;
    private final int most;
    private final Duration within;
    private final Clock clock;

    public TryLimit(int most, Duration within, Clock clock) {
        this.most = most;
        this.within = within;
        this.clock = clock;
        this.tries = Caffeine.newBuilder()
                .maximumSize(KEYS_AT_MOST)
                .expireAfterWrite(within)
                .ticker(() -> TimeUnit.MILLISECONDS.toNanos(clock.millis()))
                .build();
    }

    private record Tries(long since, int count) {}

    /** Counts one more try. @return whether it may go on */
    public boolean take(String key) {
        return tries.asMap()
                        .compute(
                                Ids.hash(key),
                                (same, known) -> known == null || !isFresh(known)
                                        ? new Tries(clock.millis(), 1)
                                        : new Tries(known.since, Math.min(known.count + 1, most + 1)))
                        .count
                <= most;
    }

    /** A try that was right counts no more. */
    public void giveBack(String key) {
        tries.asMap()
                .computeIfPresent(
                        Ids.hash(key),
                        (same, known) -> known.count <= 1 ? null : new Tries(known.since, known.count - 1));
    }

    /** Whoever was right begins anew. */
    public void forget(String key) {
        tries.invalidate(Ids.hash(key));
    }

    /** How many keys are remembered, at most. */
    public long size() {
        return tries.estimatedSize();
    }

    private boolean isFresh(Tries known) {
        return clock.millis() - known.since < within.toMillis();
    }
}
