package juricast.core.ladder;

import java.time.Duration;
import java.util.Map;

/**
 * What a year group has otherwise than the school.
 *
 * @param steps by the id of the step
 * @param from at which step a kind of act stands, by its id
 */
public record YearsOwn(Map<String, StepsOwn> steps, Map<String, Integer> from) {
    public static final YearsOwn NOTHING = new YearsOwn(Map.of(), Map.of());

    public YearsOwn {
        steps = Map.copyOf(steps);
        from = Map.copyOf(from);
    }

    /** How long a step counts, and whether parents are told of it. */
    public record StepsOwn(Duration counts, boolean parents) {}
}
