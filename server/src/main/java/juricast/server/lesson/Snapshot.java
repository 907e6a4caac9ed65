package juricast.server.lesson;

import java.time.Instant;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import juricast.core.audience.SharedRights;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonRules;
import juricast.core.live.LessonState;
import juricast.core.rules.LiveRules;
import juricast.core.rules.PlannedRules;
import org.jspecify.annotations.Nullable;

/**
 * A lesson as it stood at one moment; never changes.
 *
 * @param seen what was last worked out of who may what
 * @param tick when the clock next changes something in it, as it was last worked out
 * @param shared what was made of this very moment
 */
public record Snapshot(
        LessonPlan plan,
        PlannedRules rules,
        LessonState state,
        List<LessonEvent> events,
        AtomicReference<LiveLesson.@Nullable Seen> seen,
        AtomicReference<Instant> tick,
        Shared shared) {
    Snapshot(LessonPlan plan, PlannedRules rules, LessonState state, List<LessonEvent> events) {
        this(plan, rules, state, events, new AtomicReference<>(), new AtomicReference<>(Instant.MIN), new Shared());
    }

    /** The next moment, in which nothing is new but what was written: who may and sees what stays as it was worked out. */
    Snapshot withWords(LessonState next, List<LessonEvent> all) {
        return new Snapshot(plan, rules, next, all, seen, tick, new Shared());
    }

    /** Whether the clock changes something now. It is asked four times a second, and worked out when that is due. */
    boolean isDue(Instant now) {
        Instant last = tick.get();
        if (now.isBefore(last)) {
            return false;
        }
        Instant next = at(now).nextTick();
        tick.set(next);
        // What was waited for has come, also where it is only shown, as a stance that is proposed from now on.
        return !last.equals(Instant.MIN) || !now.isBefore(next);
    }

    /** Who may what as of now; all seats share it until an event or the clock changes something. */
    LiveLesson.Seen seen(Instant now) {
        LiveLesson.Seen last = seen.get();
        if (last == null || !last.rights().countsAt(now)) {
            last = new LiveLesson.Seen(SharedRights.of(state, rules, now), new Shared(), new AtomicReference<>());
            seen.set(last);
        }
        return last;
    }

    /** The rules as they are in the lesson. */
    public LiveRules live() {
        return state.rules(rules);
    }

    public LessonRules at(Instant now) {
        return new LessonRules(plan, state, rules, now);
    }
}
