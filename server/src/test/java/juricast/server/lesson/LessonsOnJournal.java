package juricast.server.lesson;

import java.time.Clock;
import juricast.core.identity.LessonId;
import juricast.server.RunningServer;
import juricast.server.classes.Rehearsals;
import juricast.server.data.Causes;
import juricast.server.record.Follower;
import juricast.server.record.Journal;

/** Live lessons that keep what happens in another journal than the server's own. */
public final class LessonsOnJournal {
    private LessonsOnJournal() {}

    /** The clock looks at a lesson. */
    public static void tick(LiveLessons lessons, LessonId lesson) {
        lessons.tick(lesson);
    }

    public static LiveLessons of(RunningServer server, Journal journal) {
        return new LiveLessons(
                server.bean(Planned.class),
                server.bean(Rehearsals.class),
                journal,
                server.provider(Follower.class),
                server.bean(Causes.class),
                server.bean(Clock.class));
    }
}
