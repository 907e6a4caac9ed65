package juricast.core.reading;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;

/**
 * Somebody who wants to read, as they stand at this moment: ties that have ended open nothing any more.
 *
 * @param post what they are at the school
 * @param adultOf classes of which they are in charge now
 * @param covers lessons in which they are in charge without being an adult of the class
 * @param headOf years whose head they are
 */
public record Reader(PersonId who, Post post, Set<ClassId> adultOf, Set<LessonId> covers, Set<Integer> headOf) {
    public enum Post {
        LEAD,
        STAFF,
        PUPIL
    }

    public Reader {
        adultOf = Set.copyOf(adultOf);
        covers = Set.copyOf(covers);
        headOf = Set.copyOf(headOf);
    }

    public boolean mayRead(Matter matter, About about) {
        return !about.incident().concerned().contains(who) && !Collections.disjoint(matter.ties(), ties(about));
    }

    /** Whether they may read it of every class, also of those that come. */
    public boolean mayReadAll(Matter matter) {
        return mayRead(matter, About.SCHOOL);
    }

    /** How they stand to it. */
    public Set<Tie> ties(About about) {
        var ties = EnumSet.noneOf(Tie.class);
        if (about.person().filter(who::equals).isPresent()) {
            ties.add(Tie.SELF);
        }
        if (post != Post.PUPIL) {
            ties.add(Tie.STAFF);
            if (!Collections.disjoint(adultOf, about.classes())) {
                ties.add(Tie.ADULT);
            }
            if (about.lesson().filter(covers::contains).isPresent()) {
                ties.add(Tie.COVER);
            }
            if (!Collections.disjoint(headOf, about.incident().years())) {
                ties.add(Tie.YEAR);
            }
            if (about.incident().asked().contains(who)) {
                ties.add(Tie.ASKED);
            }
        }
        boolean standsIn =
                post == Post.STAFF && !headOf.isEmpty() && about.incident().noLead();
        if (post == Post.LEAD || standsIn) {
            ties.add(Tie.LEAD);
        }
        return ties;
    }
}
