package juricast.server.record;

import java.util.List;
import juricast.core.identity.LessonId;
import juricast.core.live.LessonEvent;
import juricast.core.rehearsal.Rehearsal;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Whoever does something when something has happened in a lesson. */
public interface Follower {
    /**
     * In one transaction with the events, so that after a crash neither is without the other. Nothing here may take long: all
     * lessons of the school wait.
     */
    default void within(JdbcClient sql, LessonId lesson, List<LessonEvent> events) {}

    /** Whether it follows this lesson: what happens in a rehearsal has no consequences outside it. */
    default boolean isFor(LessonId lesson) {
        return !Rehearsal.isOne(lesson);
    }

    /** Once they are on the disk and everybody who looks on was told; not again after a crash. */
    default void after(LessonId lesson, List<LessonEvent> events) {}
}
