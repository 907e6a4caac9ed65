package juricast.core.groups;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How it stands in one place while the class is apart, counted from events.
 *
 * @param pupils pupils and visitors who are in it and heard of
 * @param visitor whether a visitor is among them
 * @param eye in which way an adult's eye is on it
 * @param aloneSince since when pupils are in it with no adult's eye on them, if so
 * @param alone how long they were before that, in this time out
 * @param seen when an adult was in it or looked in, in order
 */
public record Standing(
        int pupils, boolean visitor, Eye eye, Optional<Instant> aloneSince, Duration alone, List<Seen> seen) {
    static final Standing EMPTY = new Standing(0, false, Eye.NONE, Optional.empty(), Duration.ZERO, List.of());

    /** An adult's eye on a place. */
    public enum Eye {
        NONE,
        /** An adult looks in without being there. */
        LOOKS,
        /** An adult is there. */
        IN
    }

    /** A stretch with an adult's eye on it. @param until nothing while it goes on */
    public record Seen(Eye eye, Instant from, Optional<Instant> until) {}

    public Standing {
        seen = List.copyOf(seen);
    }

    /** Whether an adult is in it. */
    public boolean hasAdult() {
        return eye == Eye.IN;
    }

    /** How long it was without an adult's eye up to now. */
    public Duration alone(Instant now) {
        return aloneSince.map(since -> alone.plus(Duration.between(since, now))).orElse(alone);
    }

    /** The next count of the same place. */
    Standing then(int pupilsNow, boolean visitorNow, Eye eyeNow, Instant at) {
        boolean isAlone = pupilsNow > 0 && eyeNow == Eye.NONE;
        Optional<Instant> since = isAlone ? aloneSince.or(() -> Optional.of(at)) : Optional.empty();
        return new Standing(
                pupilsNow,
                visitorNow,
                eyeNow,
                since,
                isAlone ? alone : alone(at),
                eyeNow == eye ? seen : seen(eyeNow, at));
    }

    private List<Seen> seen(Eye eyeNow, Instant at) {
        var all = new ArrayList<>(seen);
        if (eye != Eye.NONE) {
            Seen last = all.remove(all.size() - 1);
            all.add(new Seen(last.eye, last.from, Optional.of(at)));
        }
        if (eyeNow != Eye.NONE) {
            all.add(new Seen(eyeNow, at, Optional.empty()));
        }
        return all;
    }
}
