package juricast.server.lesson;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import juricast.core.audience.SharedRights;
import juricast.core.lesson.Parts;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonRules;
import juricast.core.live.LessonState;
import juricast.core.rules.Rulebook;
import org.jspecify.annotations.Nullable;

/** One lesson in memory. Orders change it one at a time, under its own lock; readers take a {@link Snapshot}. */
final class LiveLesson {
    /** Who looks on; see {@link Viewer}. */
    final Set<Viewer> viewers = ConcurrentHashMap.newKeySet();

    private final Map<Viewer.Audience, AtomicBoolean> isBeingTold = new EnumMap<>(Map.of(
            Viewer.Audience.SEAT, new AtomicBoolean(),
            Viewer.Audience.DESK, new AtomicBoolean()));
    private final List<LessonEvent> events = new ArrayList<>();
    private String hash;
    private boolean doubtful;
    private volatile long revision = -1;
    private volatile Snapshot snapshot;

    LiveLesson(LessonPlan plan, Rulebook rules, LessonJournal.Record record, long revision) {
        events.addAll(record.events());
        hash = record.hash();
        this.revision = revision;
        snapshot = new Snapshot(plan, rules, Parts.NEW.after(record.events()), List.copyOf(events));
    }

    /**
     * A lesson as it stood at one moment; never changes.
     *
     * @param seen what was last worked out of who may what
     * @param tick when the clock next changes something in it, as it was last worked out
     * @param shared what was made of this very moment
     */
    record Snapshot(
            LessonPlan plan,
            Rulebook rules,
            LessonState state,
            List<LessonEvent> events,
            AtomicReference<@Nullable Seen> seen,
            AtomicReference<Instant> tick,
            Shared shared) {
        Snapshot(LessonPlan plan, Rulebook rules, LessonState state, List<LessonEvent> events) {
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
        Seen seen(Instant now) {
            Seen last = seen.get();
            if (last == null || !last.rights.countsAt(now)) {
                last = new Seen(SharedRights.of(state, rules, now), new Shared(), new AtomicReference<>());
                seen.set(last);
            }
            return last;
        }

        LessonRules at(Instant now) {
            return new LessonRules(plan, state, rules, now);
        }
    }

    /** Rights, and what was made of them; all count until something but words is new. @param desk as it was last made */
    record Seen(SharedRights rights, Shared shared, AtomicReference<DeskJson.@Nullable Standing> desk) {}

    /** Tells everyone who looks on, all of an audience in one go, the seats first. */
    void tell(Tellers tellers) {
        for (Viewer.Audience audience : Viewer.Audience.values()) {
            AtomicBoolean isWaiting = isBeingTold.get(audience);
            if (isWaiting.compareAndSet(false, true)) {
                tellers.tell(audience, () -> {
                    isWaiting.set(false);
                    viewers.forEach(viewer -> {
                        if (viewer.audience == audience) {
                            viewer.tell();
                        }
                    });
                });
            }
        }
    }

    Snapshot snapshot() {
        return snapshot;
    }

    /** Whether events may be on the disk of which nobody has heard; asked and changed under its lock. */
    boolean isInDoubt() {
        return doubtful;
    }

    void doubt() {
        doubtful = true;
    }

    void isSure() {
        doubtful = false;
    }

    String hash() {
        return hash;
    }

    long revision() {
        return revision;
    }

    /** Takes up a plan and rules that were changed. */
    void planned(LessonPlan plan, Rulebook rules, long asOf) {
        snapshot = new Snapshot(plan, rules, snapshot.state, snapshot.events);
        revision = asOf;
    }

    /** Takes up events that are on the disk. */
    void happened(List<LessonEvent> more, String lastHash) {
        events.addAll(more);
        hash = lastHash;
        LessonState next = snapshot.state.after(more);
        List<LessonEvent> all = Collections.unmodifiableList(new ArrayList<>(events));
        snapshot = LessonState.addOnlyWords(more)
                ? snapshot.withWords(next, all)
                : new Snapshot(snapshot.plan, snapshot.rules, next, all);
    }
}
