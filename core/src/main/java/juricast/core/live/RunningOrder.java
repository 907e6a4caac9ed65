package juricast.core.live;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.grouping.Prepared;
import juricast.core.time.Span;

/**
 * The planned sequence of stances. Its minutes count from the planned start; the last step lasts until the end.
 *
 * @param byTheClock whether each switch happens by itself; otherwise it is proposed to the adults
 */
public record RunningOrder(List<Step> steps, boolean byTheClock) {
    /** No stances planned. */
    public static final RunningOrder NONE = new RunningOrder(List.of(), false);

    public RunningOrder {
        steps = List.copyOf(steps);
    }

    /**
     * One stance for some minutes.
     *
     * @param groups in which the class works meanwhile, if it does
     */
    public record Step(Stance stance, int minutes, Optional<Prepared> groups) {
        public Step(Stance stance, int minutes) {
            this(stance, minutes, Optional.empty());
        }

        /** @throws IllegalArgumentException unless it lasts 1 to 240 minutes */
        public Step {
            if (minutes < 1 || minutes > 240) {
                throw new IllegalArgumentException("A step lasts 1 to 240 minutes, not " + minutes);
            }
        }
    }

    /** A step at its planned time. */
    public record Planned(int place, Stance stance, Span time, Optional<Prepared> groups) {}

    /** All steps at their times; those after the planned end are left out, the last is stretched to it. */
    public List<Planned> over(Span lesson) {
        var planned = new java.util.ArrayList<Planned>();
        Instant from = lesson.from();
        for (int place = 0; place < steps.size() && from.isBefore(lesson.until()); place++) {
            Instant until = from.plus(Duration.ofMinutes(steps.get(place).minutes));
            boolean last = place == steps.size() - 1 || !until.isBefore(lesson.until());
            planned.add(new Planned(
                    place,
                    steps.get(place).stance,
                    new Span(from, last ? lesson.until() : until),
                    steps.get(place).groups));
            from = until;
        }
        return planned;
    }

    /** The step planned for this moment; before the start the first, after the end none. */
    public Optional<Planned> at(Instant now, Span lesson) {
        List<Planned> all = over(lesson);
        if (now.isBefore(lesson.from())) {
            return all.stream().findFirst();
        }
        return all.stream()
                .filter(one -> !now.isBefore(one.time.from()) && now.isBefore(one.time.until()))
                .findFirst();
    }
}
