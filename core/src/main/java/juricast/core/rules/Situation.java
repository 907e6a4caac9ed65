package juricast.core.rules;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import juricast.core.time.Span;

/**
 * What conditions ask about.
 *
 * @param year the year group of the class; 0 where it has none
 * @param present how many pupils and visitors are present
 * @param lesson the planned time; nothing where a class is asked about outside its lessons
 */
public record Situation(Set<Fact> facts, int year, int present, Optional<Span> lesson) {
    /** Of a school account, with an adult, and nothing out of the ordinary. */
    public static final Situation ORDINARY =
            new Situation(EnumSet.of(Fact.ADULT_PRESENT, Fact.SCHOOL_ACCOUNT), 0, 0, Optional.empty());

    public Situation {
        var copy = EnumSet.noneOf(Fact.class);
        copy.addAll(facts);
        facts = Collections.unmodifiableSet(copy);
    }

    public boolean is(Fact fact) {
        return facts.contains(fact);
    }

    /** The same with a fact so or not so. */
    public Situation with(Fact fact, boolean so) {
        if (is(fact) == so) {
            return this;
        }
        var changed = EnumSet.noneOf(Fact.class);
        changed.addAll(facts);
        if (so) {
            changed.add(fact);
        } else {
            changed.remove(fact);
        }
        return new Situation(changed, year, present, lesson);
    }

    public Situation ofYear(int group) {
        return new Situation(facts, group, present, lesson);
    }

    public Situation withPresent(int people) {
        return new Situation(facts, year, people, lesson);
    }

    public Situation at(Span time) {
        return new Situation(facts, year, present, Optional.of(time));
    }
}
