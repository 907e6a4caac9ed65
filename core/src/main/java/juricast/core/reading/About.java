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
 */
public record About(Set<ClassId> classes, Optional<LessonId> lesson, Optional<PersonId> person) {
    public static final About SCHOOL = new About(Set.of(), Optional.empty(), Optional.empty());

    public About {
        classes = Set.copyOf(classes);
    }

    public static About ofClass(ClassId id) {
        return classes(Set.of(id));
    }

    /** What is about each of these classes. */
    public static About classes(Set<ClassId> classes) {
        return new About(classes, Optional.empty(), Optional.empty());
    }

    public static About ofLesson(LessonId lesson, ClassId ofClass) {
        return new About(Set.of(ofClass), Optional.of(lesson), Optional.empty());
    }

    /** @param classes in which they are, or were when what is read was written */
    public static About person(PersonId person, Set<ClassId> classes) {
        return new About(classes, Optional.empty(), Optional.of(person));
    }
}
