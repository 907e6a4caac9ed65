package juricast.core.ladder;

import java.time.Duration;
import java.util.Optional;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;

/**
 * One measure of the ladder.
 *
 * @param id stays the same when its words change
 * @param name as adults call it
 * @param who may take it
 * @param counts after how long it counts half in what is proposed next; a day to two years
 * @param right which right a curb closes unless another is chosen; only of a curb
 * @param length how long a curb lasts unless otherwise chosen; zero for all else
 * @param parents whether parents are written to
 * @param opensIncident whether an incident is opened by it
 */
public record Step(
        String id,
        String name,
        Measure measure,
        Who who,
        Duration counts,
        Optional<Rule<Permission>> right,
        Duration length,
        boolean parents,
        boolean opensIncident) {
    /** Who may take a step, from most to fewest. */
    public enum Who {
        ANY_ADULT,
        /** Whoever leads the lesson. */
        LEADING_ADULT,
        SAFEGUARDING_LEAD
    }

    public static final Duration SHORTEST = Duration.ofDays(1);
    public static final Duration LONGEST = Duration.ofDays(730);

    /** @throws IllegalArgumentException if a bound is not kept, or a curb has no right or no length */
    public Step {
        if (counts.compareTo(SHORTEST) < 0 || counts.compareTo(LONGEST) > 0) {
            throw new IllegalArgumentException("A step counts half after a day to two years, not after " + counts);
        }
        if ((measure == Measure.CURB) != right.isPresent() || (measure == Measure.CURB) == length.isZero()) {
            throw new IllegalArgumentException("A curb, and nothing else, has a right and a length: " + name);
        }
    }

    /** The same as a year has it. */
    public Step with(Duration half, boolean tellParents) {
        return new Step(id, name, measure, who, half, right, length, tellParents, opensIncident);
    }
}
