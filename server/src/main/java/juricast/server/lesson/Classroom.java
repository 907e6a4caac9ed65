package juricast.server.lesson;

import java.util.List;
import juricast.core.identity.LessonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonEvent;

/**
 * The port to whatever carries sound and pictures. Such a service gives the orders of those who are in it through {@link
 * LiveLessons#carryOut}, as a browser does, and is told here what was decided, so that it can keep to it. The stand-in of
 * the demo is one; the core knows none.
 */
public interface Classroom {
    /** Whether the service itself answers for this visit being connected, because no browser of its own will. */
    boolean carries(VisitId visit);

    /** What has happened in a lesson, in order and already on the disk. It must return at once. */
    void happened(LessonId lesson, List<LessonEvent> events);
}
