package juricast.server.lesson;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.groups.GroupsPart.GROUPS;
import static juricast.core.recording.RecordingPart.RECORDING;
import static juricast.core.rights.RightsPart.RIGHTS;

import java.time.Instant;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Function;
import java.util.function.Supplier;
import juricast.core.audience.Needs;
import juricast.core.audience.SharedRights;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonRules;
import juricast.core.live.LessonState;
import juricast.core.live.Part;
import juricast.core.rules.LiveRules;
import juricast.core.rules.PlannedRules;
import org.jspecify.annotations.Nullable;

/** A lesson as it stood at one moment; never changes. */
public final class Snapshot {
    private final LessonPlan plan;
    private final PlannedRules rules;
    private final LessonState state;
    private final List<LessonEvent> events;
    private final Pieces pieces;
    private final Shared shared = new Shared();
    /** When the clock has to look whatever may be due: what the moment before waited for may have come since. */
    private final Instant owed;

    private final AtomicReference<@Nullable Instant> tick = new AtomicReference<>();

    private Snapshot(
            LessonPlan plan,
            PlannedRules rules,
            LessonState state,
            List<LessonEvent> events,
            Pieces pieces,
            Instant owed) {
        this.plan = plan;
        this.rules = rules;
        this.state = state;
        this.events = events;
        this.pieces = pieces;
        this.owed = owed;
    }

    public static Snapshot of(LessonPlan plan, PlannedRules rules, LessonState state, List<LessonEvent> events) {
        return new Snapshot(plan, rules, state, events, new Pieces(), Instant.MIN);
    }

    /** The next moment of the same lesson, after something happened. */
    Snapshot then(LessonState next, List<LessonEvent> all) {
        Instant waitedFor = tick.get();
        return new Snapshot(plan, rules, next, all, pieces, waitedFor == null ? owed : waitedFor);
    }

    /** The same moment by another plan and other rules. What they no longer let be on is switched off, whoever asks first. */
    Snapshot planned(LessonPlan newPlan, PlannedRules newRules) {
        return new Snapshot(newPlan, newRules, state, events, pieces, Instant.MIN);
    }

    public LessonPlan plan() {
        return plan;
    }

    public PlannedRules rules() {
        return rules;
    }

    public LessonState state() {
        return state;
    }

    public List<LessonEvent> events() {
        return events;
    }

    /** What was made of this very moment. */
    public Shared shared() {
        return shared;
    }

    /** The rules as they are in the lesson. */
    public LiveRules live() {
        return state.rules(rules);
    }

    public LessonRules at(Instant now) {
        return new LessonRules(plan, state, rules, now);
    }

    /** Whether the clock changes something now. It is asked four times a second, and worked out when that is due. */
    boolean isDue(Instant now) {
        Instant last = tick.get();
        if (last != null && now.isBefore(last)) {
            return false;
        }
        Instant next = at(now).nextTick();
        Instant shown = Needs.next(state, rules, now);
        tick.set(next.isBefore(shown) ? next : shown);
        // What was waited for has come, also where it is only shown, as a stance that is proposed from now on.
        return last != null || !now.isBefore(next) || !now.isBefore(owed);
    }

    /** Who may what as of now; made anew only when a rule, somebody's place or a loan is new. */
    public SharedRights rights(Instant now) {
        return ruled(
                "rights",
                "all",
                List.of(DOOR, GROUPS, RIGHTS, RECORDING),
                now,
                () -> SharedRights.of(state, rules, now));
    }

    /** A piece that no rule and no clock changes. */
    public <T> T piece(String name, Object whose, List<Part<?, ?, ?>> reads, Supplier<T> make) {
        return pieces.of(name, whose, reads, null, this, Instant.EPOCH, make, any -> Instant.MAX);
    }

    /** A piece in which rules are asked: it counts until the clock changes one of them. */
    public <T> T ruled(String name, Object whose, List<Part<?, ?, ?>> reads, Instant now, Supplier<T> make) {
        LiveRules live = live();
        return pieces.of(name, whose, reads, live.books(), this, now, make, any -> live.nextEdge(now));
    }

    /** The same where it also changes by itself. */
    public <T> T timed(
            String name,
            Object whose,
            List<Part<?, ?, ?>> reads,
            Instant now,
            Supplier<T> make,
            Function<T, Instant> until) {
        LiveRules live = live();
        return pieces.of(name, whose, reads, live.books(), this, now, make, piece -> {
            Instant edge = live.nextEdge(now);
            Instant own = until.apply(piece);
            return own.isBefore(edge) ? own : edge;
        });
    }
}
