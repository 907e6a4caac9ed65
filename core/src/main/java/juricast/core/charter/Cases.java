package juricast.core.charter;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import juricast.core.rules.Circumstance;
import juricast.core.rules.Fact;
import juricast.core.rules.Setting;
import juricast.core.rules.Situation;
import juricast.core.time.Span;

/**
 * All situations and instants of a lesson that can make a difference to some settings: every combination of the facts
 * their conditions speak of, both sides of every number of people, and every instant at which one begins or ends. Between
 * those, nothing changes; so a handful of cases stands for all.
 */
final class Cases {
    /** More people than a class has pupils may come, as visitors; so many more are thought possible. */
    static final int GUESTS = 10;

    /** A lesson of this length stands for those of a class where none is meant in particular. */
    private static final Duration LENGTH = Duration.ofHours(1);

    private Cases() {}

    /** One situation at one instant. */
    record Case(Situation situation, Instant at) {
        /** The same case in another lesson: as long after its beginning. */
        Case in(Span other) {
            Span own = situation.lesson().orElseThrow();
            Instant then = other.from().plus(Duration.between(own.from(), at));
            return new Case(situation.at(other), then);
        }
    }

    /** The cases of a planned lesson, where only what is expected can be so, and the whole class comes. */
    static List<Case> planned(
            Collection<Setting> settings, Situation base, Span lesson, Set<Fact> expected, Instant from) {
        return of(settings, base, lesson, expected, Set.of(base.present()), from);
    }

    /**
     * The cases that can come about in any lesson that goes on at {@code from} or begins then. Where conditions speak of
     * first or last minutes, that instant may lie before, between or after them; each is tried.
     */
    static List<Case> possible(Collection<Setting> settings, Situation base, Set<Fact> possible, Instant from) {
        var present = new TreeSet<>(Set.of(base.present()));
        var begun = new TreeSet<>(Set.of(Duration.ZERO));
        each(settings, circumstance -> circumstance.thresholds().forEach(present::add));
        Span any = new Span(from, from.plus(LENGTH));
        settings.forEach(setting -> setting.when().edges(any).forEach(edge -> {
            begun.add(Duration.between(from, edge));
            begun.add(LENGTH.dividedBy(2));
        }));
        present.removeIf(people -> people > base.present() + GUESTS);
        begun.removeIf(since -> since.isNegative() || since.compareTo(LENGTH) >= 0);
        var cases = new ArrayList<Case>();
        for (Duration since : begun) {
            Instant began = from.minus(since);
            cases.addAll(of(settings, base, new Span(began, began.plus(LENGTH)), possible, present, from));
        }
        return cases;
    }

    private static List<Case> of(
            Collection<Setting> settings,
            Situation base,
            Span lesson,
            Set<Fact> possible,
            Set<Integer> present,
            Instant from) {
        var facts = EnumSet.noneOf(Fact.class);
        each(settings, circumstance -> {
            if (circumstance instanceof Circumstance.Is is && possible.contains(is.fact())) {
                facts.add(is.fact());
            }
        });
        List<Situation> situations = new ArrayList<>();
        present.forEach(people -> situations.add(base.at(lesson).withPresent(people)));
        for (Fact fact : facts) {
            boolean otherwise = !base.is(fact);
            List.copyOf(situations).forEach(one -> situations.add(one.with(fact, otherwise)));
        }
        var cases = new ArrayList<Case>();
        for (Instant at : instants(settings, lesson, from)) {
            situations.forEach(situation -> cases.add(new Case(situation, at)));
        }
        return cases;
    }

    private static Set<Instant> instants(Collection<Setting> settings, Span lesson, Instant from) {
        var instants = new TreeSet<Instant>();
        instants.add(lesson.from());
        instants.add(from);
        for (Setting setting : settings) {
            instants.add(setting.from());
            instants.add(setting.until());
            setting.when().edges(lesson).forEach(instants::add);
        }
        instants.removeIf(at -> at.isBefore(from) || at.isBefore(lesson.from()) || !at.isBefore(lesson.until()));
        return instants;
    }

    private static void each(Collection<Setting> settings, java.util.function.Consumer<Circumstance> visitor) {
        settings.forEach(setting -> setting.when().all().forEach(visitor));
    }
}
