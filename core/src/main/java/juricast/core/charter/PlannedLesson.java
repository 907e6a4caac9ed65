package juricast.core.charter;

import java.util.Set;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.rules.Fact;
import juricast.core.time.Span;

/** What the rules need to know of a lesson. @param expected what is planned to be so at some time in it */
public record PlannedLesson(LessonId id, ClassId ofClass, Span time, Set<Fact> expected) {
    public PlannedLesson {
        expected = Set.copyOf(expected);
    }
}
