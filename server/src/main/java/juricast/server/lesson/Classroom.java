package juricast.server.lesson;

import juricast.core.identity.VisitId;

/**
 * The port to whatever carries sound and pictures. Such a service gives the orders of those who are in it through {@link
 * LiveLessons#carryOut}, as a browser does, and is told what was decided as a {@link juricast.server.record.Follower}, so that it
 * can keep to it. The stand-in of the demo is one; the core knows none.
 */
public interface Classroom {
    /** Whether the service itself answers for this visit being connected, because no browser of its own will. */
    boolean carries(VisitId visit);
}
