package juricast.server.lesson;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import juricast.core.lesson.Parts;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonPlan;
import juricast.core.rules.PlannedRules;
import juricast.server.record.Journal;

/** One lesson in memory. Orders change it one at a time, under its own lock; readers take a {@link Snapshot}. */
final class LiveLesson {
    /** Who looks on; see {@link Viewer}. */
    final Set<Viewer> viewers = ConcurrentHashMap.newKeySet();

    private final Map<Viewer.Audience, AtomicBoolean> isBeingTold = new EnumMap<>(Map.of(
            Viewer.Audience.SEAT, new AtomicBoolean(),
            Viewer.Audience.DESK, new AtomicBoolean()));
    private final List<LessonEvent> events = new ArrayList<>();
    private byte[] hash;
    private boolean doubtful;
    private boolean hasLeft;
    private volatile long revision = -1;
    private volatile Snapshot snapshot;

    LiveLesson(LessonPlan plan, PlannedRules rules, Journal.Record record, long revision) {
        events.addAll(record.events());
        hash = record.hash();
        this.revision = revision;
        snapshot = Snapshot.of(plan, rules, Parts.NEW.after(record.events()), List.copyOf(events));
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

    /** Lets somebody look on. @return false if the lesson has left the memory: it is to be read anew */
    synchronized boolean isWatchedBy(Viewer viewer) {
        if (!hasLeft) {
            viewers.add(viewer);
        }
        return !hasLeft;
    }

    /** Leaves the memory, unless somebody looks on. From then on nothing is decided by it. */
    synchronized boolean leaves() {
        hasLeft = viewers.isEmpty();
        return hasLeft;
    }

    /** Asked under its lock. */
    boolean hasLeft() {
        return hasLeft;
    }

    /** Whether events may be on the disk of which nobody has heard; asked and changed under its lock. */
    boolean isInDoubt() {
        return doubtful;
    }

    /** The clock makes sure, and does again what it may have been about. */
    void doubt() {
        doubtful = true;
        snapshot = snapshot.planned(snapshot.plan(), snapshot.rules());
    }

    void isSure() {
        doubtful = false;
    }

    byte[] hash() {
        return hash;
    }

    long revision() {
        return revision;
    }

    /** Takes up a plan and rules that were changed. */
    void planned(LessonPlan plan, PlannedRules rules, long asOf) {
        snapshot = snapshot.planned(plan, rules);
        revision = asOf;
    }

    /** Takes up events that are on the disk. */
    void happened(List<LessonEvent> more, byte[] lastHash) {
        events.addAll(more);
        hash = lastHash;
        snapshot = snapshot.then(snapshot.state().after(more), Collections.unmodifiableList(new ArrayList<>(events)));
    }
}
