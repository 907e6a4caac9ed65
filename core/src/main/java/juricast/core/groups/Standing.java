package juricast.core.groups;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * How it stands in one place while the class is apart, counted from events.
 *
 * @param pupils pupils and visitors who are in it and heard of
 * @param visitor whether a visitor is among them
 * @param adult whether an adult is in it
 * @param eye whether an adult is in it or looks in
 * @param aloneSince since when pupils are in it with no adult's eye on them, if so
 * @param alone how long they were before that, in this time out
 */
public record Standing(
        int pupils, boolean visitor, boolean adult, boolean eye, Optional<Instant> aloneSince, Duration alone) {
    static final Standing EMPTY = new Standing(0, false, false, false, Optional.empty(), Duration.ZERO);

    /** Minutes and seconds without an adult up to now. */
    public Duration alone(Instant now) {
        return aloneSince.map(since -> alone.plus(Duration.between(since, now))).orElse(alone);
    }

    /** The next count of the same place. */
    Standing then(int pupilsNow, boolean visitorNow, boolean adultNow, boolean eyeNow, Instant at) {
        boolean isAlone = pupilsNow > 0 && !eyeNow;
        Optional<Instant> since = isAlone ? aloneSince.or(() -> Optional.of(at)) : Optional.empty();
        return new Standing(pupilsNow, visitorNow, adultNow, eyeNow, since, isAlone ? alone : alone(at));
    }
}
