package juricast.core.keeping;

import java.time.Duration;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
import juricast.core.rules.Rule;

/**
 * Where many lessons drifted from their plan, and how often (need M3).
 *
 * @param all all of it together
 * @param rules by the rule that was set otherwise, the one in most lessons first
 * @param adults by who did it
 * @param classes every class, also one that kept to its plan, the one that drifted in most of its lessons first
 */
public record Drift(Sum all, Map<Rule<?>, Sum> rules, Map<PersonId, Sum> adults, Map<ClassId, Sum> classes) {
    /** From this part of the lessons on a departure is no exception any more: the plan does not fit. */
    private static final int EVERY = 3;

    /** Fewer lessons than this say nothing about a habit. */
    private static final int FEW = 4;

    /**
     * @param lessons that were looked at
     * @param departed of these, lessons with at least one departure
     * @param times departures in all
     * @param length of all departures; two at once count twice
     * @param alone in which pupils were without an adult
     * @param lessonsAlone in how many lessons that was
     */
    public record Sum(int lessons, int departed, int times, Duration length, Duration alone, int lessonsAlone) {
        /** Whether so many lessons departed that it is worth changing the plan: every third, of at least four. */
        public boolean isHabit() {
            return lessons >= FEW && departed * EVERY >= lessons;
        }
    }

    public static Drift of(Collection<Kept> lessons) {
        return new Drift(
                sum(lessons, departure -> true),
                each(lessons, Departure::rule),
                each(lessons, Departure::by),
                sorted(lessons.stream().collect(Collectors.groupingBy(Kept::ofClass)).entrySet().stream()
                        .map(one -> Map.entry(one.getKey(), sum(one.getValue(), departure -> true)))));
    }

    private static <K> Map<K, Sum> each(Collection<Kept> lessons, Function<Departure, K> key) {
        return sorted(lessons.stream()
                .flatMap(one -> one.departures().stream())
                .map(key)
                .distinct()
                .map(one -> Map.entry(
                        one, sum(lessons, departure -> key.apply(departure).equals(one)))));
    }

    /** Of some departures in all lessons: what is rare stays rare. */
    private static Sum sum(Collection<Kept> lessons, Predicate<Departure> counts) {
        int departed = 0;
        int times = 0;
        Duration length = Duration.ZERO;
        Duration alone = Duration.ZERO;
        int lessonsAlone = 0;
        for (Kept lesson : lessons) {
            List<Departure> some = lesson.departures().stream().filter(counts).toList();
            departed += some.isEmpty() ? 0 : 1;
            times += some.size();
            length = some.stream().map(one -> one.time().length()).reduce(length, Duration::plus);
            alone = alone.plus(lesson.alone());
            lessonsAlone += lesson.alone().isZero() ? 0 : 1;
        }
        return new Sum(lessons.size(), departed, times, length, alone, lessonsAlone);
    }

    private static <K> Map<K, Sum> sorted(Stream<Map.Entry<K, Sum>> sums) {
        return sums.sorted(Comparator.comparing((Map.Entry<K, Sum> one) -> -share(one.getValue()))
                        .thenComparing(one -> -one.getValue().times()))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue, (a, b) -> a, LinkedHashMap::new));
    }

    private static double share(Sum sum) {
        return sum.lessons() == 0 ? 0 : (double) sum.departed() / sum.lessons();
    }
}
