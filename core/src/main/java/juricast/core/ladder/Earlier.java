package juricast.core.ladder;

import java.time.Duration;
import java.time.Instant;

/**
 * A step that was taken against a pupil before.
 *
 * @param act the kind of act it answered
 * @param level where the step stood when it was taken, from 1
 * @param counts after how long it counts half, as the ladder said then
 */
public record Earlier(String act, String step, String name, int level, Duration counts, Instant at) {
    /** How much of another kind of act counts. */
    static final double OF_ANOTHER_KIND = 0.5;

    /** What is left of it at an instant, 1 when it was just taken, half after each half-life. */
    public double left(Instant now) {
        double age = Math.max(0, Duration.between(at, now).toMillis());
        return Math.pow(2, -age / counts.toMillis());
    }

    /** What it adds to the next step about an act of a kind. */
    double weight(String kind, Instant now) {
        return left(now) * (act.equals(kind) ? 1 : OF_ANOTHER_KIND);
    }
}
