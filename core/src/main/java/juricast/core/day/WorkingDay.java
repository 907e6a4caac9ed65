package juricast.core.day;

import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.LessonId;
import juricast.core.time.Span;

/**
 * What waits for one adult, the most urgent first.
 *
 * @param waiting each kind at most once, and none of which nothing waits
 */
public record WorkingDay(List<Waiting> waiting) {
    /** How long before its start an adult gets a lesson ready. */
    public static final Duration GET_READY = Duration.ofMinutes(30);

    public WorkingDay {
        waiting = List.copyOf(waiting);
    }

    /** From what all subjects know: the same kind may come from several of them. */
    public static WorkingDay of(Collection<Waiting> known) {
        return new WorkingDay(List.of(Duty.values()).stream()
                .map(duty -> new Waiting(
                        duty,
                        known.stream()
                                .filter(one -> one.duty() == duty)
                                .mapToInt(Waiting::count)
                                .sum()))
                .filter(one -> one.count() > 0)
                .toList());
    }

    /** How much waits in one part of the day. */
    public int in(Chapter chapter) {
        return waiting.stream()
                .filter(one -> one.duty().chapter() == chapter)
                .mapToInt(Waiting::count)
                .sum();
    }

    /** How near the next lesson is, the most pressing first. */
    public enum Nearness {
        /** It runs. */
        LIVE,
        /** It should have begun, and nobody has opened it. */
        SHOULD_RUN,
        /** It begins so soon that one gets it ready. */
        SOON,
        LATER
    }

    /** A lesson of the day, as much as it takes to say which one is next. */
    public record Ahead(LessonId lesson, Span time, boolean isOpen, boolean isOver) {
        /** @return nothing for one that is over, or whose time has passed without anybody */
        public Optional<Nearness> nearness(Instant now) {
            if (isOver) {
                return Optional.empty();
            }
            if (isOpen) {
                return Optional.of(Nearness.LIVE);
            }
            if (!now.isBefore(time.until())) {
                return Optional.empty();
            }
            if (!now.isBefore(time.from())) {
                return Optional.of(Nearness.SHOULD_RUN);
            }
            return Optional.of(now.isBefore(time.from().minus(GET_READY)) ? Nearness.LATER : Nearness.SOON);
        }
    }

    /** The one thing that this adult does next: a lesson that runs, then one that should, then the earliest. */
    public static Optional<Ahead> next(Collection<Ahead> lessons, Instant now) {
        return lessons.stream()
                .filter(one -> one.nearness(now).isPresent())
                .min(Comparator.comparing((Ahead one) -> one.nearness(now).orElseThrow())
                        .thenComparing(one -> one.time().from())
                        .thenComparing(one -> one.lesson().value()));
    }
}
