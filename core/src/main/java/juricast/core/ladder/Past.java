package juricast.core.ladder;

import java.util.List;
import java.util.stream.Stream;

/**
 * What a pupil brings along to a lesson.
 *
 * @param steps those taken before, in order
 * @param quiet how many lessons of this class they were in since the last of them
 */
public record Past(List<Earlier> steps, int quiet) {
    public static final Past NOTHING = new Past(List.of(), 0);

    public Past {
        steps = List.copyOf(steps);
    }

    /** The same with steps of the lesson that goes on. */
    public Past and(List<Earlier> today) {
        return today.isEmpty()
                ? this
                : new Past(Stream.concat(steps.stream(), today.stream()).toList(), 0);
    }
}
