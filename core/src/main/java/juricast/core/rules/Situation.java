package juricast.core.rules;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import juricast.core.time.Span;

/** What conditions ask about: facts, the year group of the class, how many are present, and the planned time. */
public final class Situation {
    /** Of a school account, with an adult, and nothing out of the ordinary. */
    public static final Situation ORDINARY =
            new Situation(EnumSet.of(Fact.ADULT_PRESENT, Fact.SCHOOL_ACCOUNT), 0, 0, Optional.empty());

    /** One bit for each fact that is so: thousands of situations are made when a whole school is compared. */
    private final int facts;

    private final int year;
    private final int present;
    private final Optional<Span> lesson;

    /**
     * @param facts what is so
     * @param year the year group of the class; 0 where it has none
     * @param present how many pupils and visitors are present
     * @param lesson the planned time; nothing where a class is asked about outside its lessons
     */
    public Situation(Set<Fact> facts, int year, int present, Optional<Span> lesson) {
        this(facts.stream().mapToInt(Situation::bit).sum(), year, present, lesson);
    }

    private Situation(int facts, int year, int present, Optional<Span> lesson) {
        this.facts = facts;
        this.year = year;
        this.present = present;
        this.lesson = lesson;
    }

    private static int bit(Fact fact) {
        return 1 << fact.ordinal();
    }

    public boolean is(Fact fact) {
        return (facts & bit(fact)) != 0;
    }

    /** All that is so. */
    public Set<Fact> facts() {
        var all = EnumSet.allOf(Fact.class);
        all.removeIf(fact -> !is(fact));
        return all;
    }

    public int year() {
        return year;
    }

    public int present() {
        return present;
    }

    public Optional<Span> lesson() {
        return lesson;
    }

    /** The same with a fact so or not so. */
    public Situation with(Fact fact, boolean so) {
        return is(fact) == so ? this : new Situation(facts ^ bit(fact), year, present, lesson);
    }

    public Situation ofYear(int group) {
        return new Situation(facts, group, present, lesson);
    }

    public Situation withPresent(int people) {
        return people == present ? this : new Situation(facts, year, people, lesson);
    }

    public Situation at(Span time) {
        return new Situation(facts, year, present, Optional.of(time));
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Situation that
                && facts == that.facts
                && year == that.year
                && present == that.present
                && lesson.equals(that.lesson);
    }

    @Override
    public int hashCode() {
        return 31 * (31 * (31 * facts + year) + present) + lesson.hashCode();
    }

    @Override
    public String toString() {
        return "%s, year %d, %d present, %s".formatted(facts(), year, present, lesson);
    }
}
