package juricast.server.access;

import java.time.Clock;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** Counts failed tries by key, and says when there were too many within a time. */
public final class TryLimit {
    private static final int KEYS_AT_MOST = 50_000;

    private final Map<String, Tries> tries = new ConcurrentHashMap<>();
    private final int most;
    private final Duration within;
    private final Clock clock;

    public TryLimit(int most, Duration within, Clock clock) {
        this.most = most;
        this.within = within;
        this.clock = clock;
    }

    private record Tries(long since, int count) {}

    public boolean isReached(String key) {
        Tries known = tries.get(key);
        return known != null && isFresh(known) && known.count >= most;
    }

    /** One more. */
    public void failed(String key) {
        if (tries.size() > KEYS_AT_MOST) {
            tries.values().removeIf(known -> !isFresh(known));
        }
        tries.merge(
                key,
                new Tries(clock.millis(), 1),
                (known, one) -> isFresh(known) ? new Tries(known.since, known.count + 1) : one);
    }

    public void succeeded(String key) {
        tries.remove(key);
    }

    private boolean isFresh(Tries known) {
        return clock.millis() - known.since < within.toMillis();
    }
}
