package juricast.core.reading;

import java.util.Optional;
import java.util.Set;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;

/**
 * Whom or what something that can be read is about.
 *
 * @param classes it concerns; an adult of one of them has the tie of an adult. None for what is about the whole school
 * @param lesson it concerns, if it is about one
 * @param person it concerns, if it is about one
 * @param incident what is asked of an incident besides
 */
public record About(Set<ClassId> classes, Optional<LessonId> lesson, Optional<PersonId> person, OfIncident incident) {
    public static final About SCHOOL = about(Set.of(), Optional.empty(), Optional.empty());

    /**
     * @param years of the classes it concerns
     * @param concerned whom it is about, and who therefore reads nothing of it, whoever they are
     * @param asked who is to do something about it, or did
     * @param noLead whether the school has no safeguarding lead but those whom it concerns
     */
    public record OfIncident(Set<Integer> years, Set<PersonId> concerned, Set<PersonId> asked, boolean noLead) {
        public static final OfIncident NONE = new OfIncident(Set.of(), Set.of(), Set.of(), false);

        public OfIncident {
            years = Set.copyOf(years);
            concerned = Set.copyOf(concerned);
            asked = Set.copyOf(asked);
        }
    }

    public About {
        classes = Set.copyOf(classes);
    }

    private static About about(Set<ClassId> classes, Optional<LessonId> lesson, Optional<PersonId> person) {
        return new About(classes, lesson, person, OfIncident.NONE);
    }

    public static About ofClass(ClassId id) {
        return classes(Set.of(id));
    }

    /** What is about each of these classes. */
    public static About classes(Set<ClassId> classes) {
        return about(classes, Optional.empty(), Optional.empty());
    }

    public static About ofLesson(LessonId lesson, ClassId ofClass) {
        return about(Set.of(ofClass), Optional.of(lesson), Optional.empty());
    }

    /** @param classes in which they are, or were when what is read was written */
    public static About person(PersonId person, Set<ClassId> classes) {
        return about(classes, Optional.empty(), Optional.of(person));
    }

    /** @param lesson in which it was, if it was in one */
    public static About incident(Set<ClassId> classes, Optional<LessonId> lesson, OfIncident incident) {
        return new About(classes, lesson, Optional.empty(), incident);
    }
}
