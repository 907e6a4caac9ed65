package juricast.core.clocks;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * A clock that all see.
 *
 * @param length of a count-down; nothing for a stopwatch
 * @param tone whether its end is heard
 * @param before how long it ran before it last went on
 * @param running since when, while it runs
 * @param over when it ran out
 */
public record Clock(
        int number,
        String task,
        Optional<Duration> length,
        boolean tone,
        Duration before,
        Optional<Instant> running,
        Optional<Instant> over) {
    /** How long it has run. */
    public Duration ran(Instant now) {
        Duration all = running.map(since -> Duration.between(since, now))
                .orElse(Duration.ZERO)
                .plus(before);
        return length.filter(most -> all.compareTo(most) > 0).orElse(all);
    }

    /** When a count-down comes to its end, while it runs. */
    public Optional<Instant> ends() {
        return running.flatMap(since -> length.map(most -> since.plus(most).minus(before)));
    }

    Clock pausedAt(Instant at) {
        return new Clock(number, task, length, tone, ran(at), Optional.empty(), over);
    }

    Clock goesOnAt(Instant at) {
        return new Clock(number, task, length, tone, before, Optional.of(at), Optional.empty());
    }

    Clock longer(Duration more, Instant at) {
        var longer = new Clock(number, task, length.map(more::plus), tone, before, running, Optional.empty());
        // What had run out goes on with what it was given.
        return over.isPresent() ? longer.goesOnAt(at) : longer;
    }

    Clock overAt(Instant at) {
        return new Clock(number, task, length, tone, length.orElse(before), Optional.empty(), Optional.of(at));
    }
}
