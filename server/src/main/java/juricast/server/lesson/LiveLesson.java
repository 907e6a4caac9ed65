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
import juricast.core.lesson.LessonEvent;
import juricast.core.lesson.LessonPlan;
import juricast.core.lesson.LessonRules;
import juricast.core.lesson.LessonState;
import juricast.core.rules.Rulebook;

/** One lesson in memory. Orders change it one at a time, under its own lock; readers take a {@link Snapshot}. */
final class LiveLesson {
    /** Who looks on; see {@link Viewer}. */
    final Set<Viewer> viewers = ConcurrentHashMap.newKeySet();

    private final Map<Viewer.Audience, AtomicBoolean> isBeingTold = new EnumMap<>(Map.of(
            Viewer.Audience.SEAT, new AtomicBoolean(),
            Viewer.Audience.DESK, new AtomicBoolean()));
    private final List<LessonEvent> events = new ArrayList<>();
    private String hash;
    private volatile long revision = -1;
    private volatile Snapshot snapshot;

    LiveLesson(LessonPlan plan, Rulebook rules, LessonJournal.Record record, long revision) {
        events.addAll(record.events());
        hash = record.hash();
        this.revision = revision;
        snapshot = new Snapshot(plan, rules, LessonState.NEW.after(record.events()), List.copyOf(events));
    }

    /** A lesson as it stood at one moment; never changes. @param known the rights last worked out for it */
    record Snapshot(
            LessonPlan plan,
            Rulebook rules,
            LessonState state,
            List<LessonEvent> events,
            AtomicReference<SharedRights> known,
            Shared shared) {
        Snapshot(LessonPlan plan, Rulebook rules, LessonState state, List<LessonEvent> events) {
            this(plan, rules, state, events, new AtomicReference<>(), new Shared());
        }

        /** The rights as of now; all seats share them until an event or the clock changes something. */
        SharedRights rights(Instant now) {
            SharedRights last = known.get();
            if (last == null || !last.countsAt(now)) {
                last = SharedRights.of(state, rules, now);
                known.set(last);
            }
            return last;
        }

        LessonRules at(Instant now) {
            return new LessonRules(plan, state, rules, now);
        }
    }

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
        snapshot = new Snapshot(
                snapshot.plan,
                snapshot.rules,
                snapshot.state.after(more),
                Collections.unmodifiableList(new ArrayList<>(events)));
    }
}
