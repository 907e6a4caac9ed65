package juricast.core.live;

import java.time.Instant;
import java.util.List;
import juricast.core.rules.LiveRules;
import juricast.core.rules.PlannedRules;

/**
 * All that a part may ask: the plan, the time, who is there, who may what, the rules as they are live, and the states of parts
 * below it.
 */
public record Room(LessonPlan plan, LessonState lesson, PlannedRules planned, Instant now) {
    /** Who is in, and whether the lesson goes on. */
    public WhoIsThere there() {
        return lesson.there();
    }

    /** In which place people are. */
    public WhoIsWhere where() {
        return lesson.where();
    }

    /** The rules every decision takes: those of the lesson, and of each person in the place where they are. */
    public LiveRules rules() {
        return lesson.rules(planned);
    }

    /** Who may give which order now. */
    public Authority who() {
        return new Authority(plan, there(), rules(), now);
    }

    /** The state of a part below. */
    public <S> S of(Part<S, ?, ?> part) {
        return lesson.of(part);
    }

    /** The room as it will be after more has happened. */
    public Room after(List<LessonEvent> events) {
        return events.isEmpty() ? this : new Room(plan, lesson.after(events), planned, now);
    }
}
