package juricast.core.rules;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.time.Span;

/** One part of a condition. */
public sealed interface Circumstance {
    boolean holds(Situation situation, Instant now);

    /** In files and on the wire; read again by {@link #parse}. */
    String text();

    <R> R match(Cases<R> cases);

    /** The first of {@link #edges} after {@code now}, or {@code soonest} if that comes before. */
    default Instant nextEdge(Span lesson, Instant now, Instant soonest) {
        return soonest;
    }

    /**
     * Whether {@code now} is at or after so many seconds from {@code origin}. Asked for every question to the rules,
     * so it makes no instant for it.
     */
    private static boolean isReached(Instant now, Instant origin, long seconds) {
        long apart = now.getEpochSecond() - origin.getEpochSecond();
        return apart > seconds || apart == seconds && now.getNano() >= origin.getNano();
    }

    /** The instant so many seconds from {@code origin} if it is still to come and before {@code soonest}. */
    private static Instant nearer(Instant origin, long seconds, Instant now, Instant soonest) {
        return isReached(now, origin, seconds) || !isReached(soonest, origin, seconds)
                ? soonest
                : origin.plusSeconds(seconds);
    }

    /** The instants of a lesson at which the clock alone can make it hold or cease to. */
    default Stream<Instant> edges(Span lesson) {
        return Stream.empty();
    }

    /** The numbers of people on both sides of which it differs. */
    default Stream<Integer> thresholds() {
        return Stream.empty();
    }

    /** One method for each kind of circumstance. */
    interface Cases<R> {
        R is(Is circumstance);

        R firstMinutes(FirstMinutes circumstance);

        R lastMinutes(LastMinutes circumstance);

        R years(Years circumstance);

        R atLeast(AtLeast circumstance);

        R atMost(AtMost circumstance);
    }

    /** A fact that must be so, or must not. */
    record Is(Fact fact, boolean so) implements Circumstance {
        @Override
        public boolean holds(Situation situation, Instant now) {
            return situation.is(fact) == so;
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.is(this);
        }

        @Override
        public String text() {
            return so ? fact.text() : "not " + fact.text();
        }
    }

    /** The first minutes of the planned time, 1 to 120. */
    record FirstMinutes(int minutes) implements Circumstance {
        public FirstMinutes {
            checkRange("minutes", minutes, 120);
        }

        @Override
        public boolean holds(Situation situation, Instant now) {
            if (situation.lesson().isEmpty()) {
                return false;
            }
            Instant begin = situation.lesson().get().from();
            return !now.isBefore(begin) && !isReached(now, begin, seconds());
        }

        private long seconds() {
            return TimeUnit.MINUTES.toSeconds(minutes);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.firstMinutes(this);
        }

        @Override
        public Instant nextEdge(Span lesson, Instant now, Instant soonest) {
            return nearer(lesson.from(), seconds(), now, nearer(lesson.from(), 0, now, soonest));
        }

        @Override
        public Stream<Instant> edges(Span lesson) {
            return Stream.of(lesson.from(), lesson.from().plusSeconds(seconds()));
        }

        @Override
        public String text() {
            return "first-minutes " + minutes;
        }
    }

    /** The last minutes of the planned time, 1 to 120, and what is overrun after it. */
    record LastMinutes(int minutes) implements Circumstance {
        public LastMinutes {
            checkRange("minutes", minutes, 120);
        }

        @Override
        public boolean holds(Situation situation, Instant now) {
            return situation.lesson().isPresent()
                    && isReached(now, situation.lesson().get().until(), -seconds());
        }

        private long seconds() {
            return TimeUnit.MINUTES.toSeconds(minutes);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.lastMinutes(this);
        }

        @Override
        public Instant nextEdge(Span lesson, Instant now, Instant soonest) {
            return nearer(lesson.until(), -seconds(), now, soonest);
        }

        @Override
        public Stream<Instant> edges(Span lesson) {
            return Stream.of(lesson.until().minusSeconds(seconds()));
        }

        @Override
        public String text() {
            return "last-minutes " + minutes;
        }
    }

    /** The class is of one of these year groups, 1 to 13. */
    record Years(List<Integer> years) implements Circumstance {
        public Years {
            years = List.copyOf(new TreeSet<>(years));
            if (years.isEmpty()) {
                throw new IllegalArgumentException("A condition on year groups must name one");
            }
            years.forEach(year -> checkRange("year group", year, 13));
        }

        @Override
        public boolean holds(Situation situation, Instant now) {
            return years.contains(situation.year());
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.years(this);
        }

        @Override
        public String text() {
            return "years " + years.stream().map(String::valueOf).collect(Collectors.joining(","));
        }
    }

    /** At least so many pupils and visitors are present, 1 to 300. */
    record AtLeast(int people) implements Circumstance {
        public AtLeast {
            checkRange("people", people, 300);
        }

        @Override
        public boolean holds(Situation situation, Instant now) {
            return situation.present() >= people;
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.atLeast(this);
        }

        @Override
        public Stream<Integer> thresholds() {
            return Stream.of(people - 1, people);
        }

        @Override
        public String text() {
            return "at-least " + people;
        }
    }

    /** At most so many pupils and visitors are present, 1 to 300. */
    record AtMost(int people) implements Circumstance {
        public AtMost {
            checkRange("people", people, 300);
        }

        @Override
        public boolean holds(Situation situation, Instant now) {
            return situation.present() <= people;
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.atMost(this);
        }

        @Override
        public Stream<Integer> thresholds() {
            return Stream.of(people, people + 1);
        }

        @Override
        public String text() {
            return "at-most " + people;
        }
    }

    private static void checkRange(String what, int number, int max) {
        if (number < 1 || number > max) {
            throw new IllegalArgumentException("%s: %d is not from 1 to %d".formatted(what, number, max));
        }
    }

    /** The circumstance written as {@code text}, or nothing if it is none or out of its range. */
    static Optional<Circumstance> parse(String text) {
        Optional<Circumstance> fact = Arrays.stream(Fact.values())
                .filter(one -> text.equals(one.text()) || text.equals("not " + one.text()))
                .<Circumstance>map(one -> new Is(one, !text.startsWith("not ")))
                .findFirst();
        Matcher counted = Written.NUMBER.matcher(text);
        if (fact.isPresent() || !counted.matches()) {
            return fact;
        }
        try {
            List<Integer> numbers = Arrays.stream(counted.group(2).split(","))
                    .map(Integer::valueOf)
                    .toList();
            return Optional.of(
                    switch (counted.group(1)) {
                        case "first-minutes" -> new FirstMinutes(only(numbers));
                        case "last-minutes" -> new LastMinutes(only(numbers));
                        case "at-least" -> new AtLeast(only(numbers));
                        case "at-most" -> new AtMost(only(numbers));
                        default -> new Years(numbers);
                    });
        } catch (IllegalArgumentException outOfRange) {
            return Optional.empty();
        }
    }

    private static int only(List<Integer> numbers) {
        if (numbers.size() != 1) {
            throw new IllegalArgumentException("One number is wanted");
        }
        return numbers.get(0);
    }

    /** How circumstances with numbers are written. */
    final class Written {
        private static final Pattern NUMBER =
                Pattern.compile("(first-minutes|last-minutes|at-least|at-most|years) (\\d{1,3}(?:,\\d{1,3}){0,12})");

        private Written() {}
    }
}
