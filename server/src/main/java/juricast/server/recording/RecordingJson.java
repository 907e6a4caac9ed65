package juricast.server.recording;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.groups.GroupsPart.GROUPS;
import static juricast.core.recording.RecordingPart.RECORDING;
import static juricast.core.rights.RightsPart.RIGHTS;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.audience.RecordingSeat;
import juricast.core.consent.Standing;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.Room;
import juricast.core.recording.Coverage;
import juricast.core.recording.Failure;
import juricast.core.recording.Hindrance;
import juricast.core.recording.PauseReason;
import juricast.core.recording.RecordingEvent;
import juricast.core.recording.RecordingRules;
import juricast.core.recording.RecordingRules.Mode;
import juricast.core.recording.RecordingState;
import juricast.core.recording.RecordingState.Phase;
import juricast.core.recording.WhoMay;
import juricast.core.recording.WhoMay.Without;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.core.time.Span;
import juricast.server.lesson.Snapshot;
import org.jspecify.annotations.Nullable;

/** Recording on the wire. */
public final class RecordingJson {
    private RecordingJson() {}

    /**
     * @param required whether it has to be recorded at this moment
     * @param isRecording whether anything is recorded at this moment
     * @param starts when an announced one begins
     * @param recordedSeconds what was recorded in segments that have ended
     * @param runningSince since when the segment lasts that is being recorded
     * @param missingSeconds what is missing until {@code now} of what had to be recorded, but for the beginning
     * @param unheard those here who may not be recorded, and what becomes of them
     */
    public record DeskRecording(
            Mode mode,
            Phase phase,
            boolean required,
            boolean isRecording,
            @Nullable Instant starts,
            long recordedSeconds,
            @Nullable Instant runningSince,
            long missingSeconds,
            @Nullable DeskPause paused,
            @Nullable DeskWaiting waiting,
            @Nullable DeskFailure failure,
            List<DeskUnheard> unheard) {}

    /** @param asksAfterMinutes when the adults are asked to let it go on */
    public record DeskPause(
            PauseReason reason, String says, Instant since, @Nullable Instant until, String by, int asksAfterMinutes) {}

    public record DeskWaiting(Hindrance why, String says, Instant since) {}

    public record DeskFailure(Failure why, String says, Instant since) {}

    /** @param standing how it stands with their consent */
    public record DeskUnheard(String person, String name, Without what, Standing standing) {}

    /** What the asking adult may do. */
    public record DeskMineRecording(boolean mayStart, boolean mayPause, boolean mayEnd) {}

    /**
     * @param watch who may watch it later
     * @param ask who may ask to
     */
    public record SeatRecording(
            RecordingSeat.Shown shown,
            @Nullable Instant starts,
            boolean announced,
            List<Role> watch,
            List<Role> ask,
            int keptDays) {}

    public record SeatMineRecording(RecordingSeat.OfMe now) {}

    public static DeskRecording desk(Snapshot at, Instant now) {
        return at.ruled("recording desk", "all", List.of(DOOR, GROUPS, RIGHTS, RECORDING), now, () -> make(at, now));
    }

    private static DeskRecording make(Snapshot at, Instant now) {
        RecordingState is = at.state().of(RECORDING);
        Room room = at.at(now).room();
        Mode mode = RecordingRules.mode(new RecordingRules(is, room).mode().value());
        Duration missing = Coverage.of(at.events(), now).gaps().stream()
                .filter(gap -> gap.cause() != Coverage.Cause.LATE)
                .map(gap -> gap.time().length())
                .reduce(Duration.ZERO, Duration::plus);
        return new DeskRecording(
                mode,
                is.phase(),
                is.required(),
                is.isRecording(),
                is.starts().orElse(null),
                is.segments().stream()
                        .map(Span::length)
                        .reduce(Duration.ZERO, Duration::plus)
                        .toSeconds(),
                is.running().orElse(null),
                missing.toSeconds(),
                is.paused().map(pause -> pause(pause, at, now)).orElse(null),
                is.waiting().map(waits -> waiting(waits, at)).orElse(null),
                is.failure()
                        .map(why -> new DeskFailure(why, RecordingWords.of(why), is.since()))
                        .orElse(null),
                mode == Mode.FORBIDDEN && !is.isGoing() ? List.of() : unheard(room, at));
    }

    private static DeskPause pause(RecordingEvent.Paused pause, Snapshot at, Instant now) {
        return new DeskPause(
                pause.reason(),
                RecordingWords.of(pause.reason()),
                pause.at(),
                pause.until().orElse(null),
                at.plan().nameOf(pause.by()),
                at.live().value(Catalogue.PAUSE_MINUTES, Rule.ANSWERS, now).count());
    }

    private static DeskWaiting waiting(RecordingEvent.Waits waits, Snapshot at) {
        String who = waits.about().stream().map(at.plan()::nameOf).collect(Collectors.joining(", "));
        return new DeskWaiting(waits.why(), RecordingWords.of(waits.why(), who), waits.at());
    }

    private static List<DeskUnheard> unheard(Room room, Snapshot at) {
        var who = new WhoMay(room);
        return Stream.of(Without.NO_RECORDING, Without.CLOSED, Without.WAITS)
                .flatMap(what -> who.here(what).stream()
                        .map(one -> new DeskUnheard(one.value(), at.plan().nameOf(one), what, who.standing(one))))
                .toList();
    }

    public static DeskMineRecording deskMine(Snapshot at, PersonId me, Instant now) {
        var rules = new RecordingRules(at.state().of(RECORDING), at.at(now).room());
        return new DeskMineRecording(
                rules.mayStart(me).isEmpty(),
                rules.mayPause(me).isEmpty(),
                rules.mayEnd(me).isEmpty());
    }

    /** What everybody is told, from the door on. */
    public static SeatRecording seat(Snapshot at, Instant now) {
        return at.ruled("recording seat", "all", List.of(RECORDING), now, () -> {
            RecordingSeat seat = RecordingSeat.of(at.state(), at.rules(), now);
            return new SeatRecording(
                    seat.shown(),
                    seat.starts().orElse(null),
                    seat.announced(),
                    seat.watch(),
                    seat.onRequest(),
                    seat.keptDays());
        });
    }

    public static SeatMineRecording seatMine(Snapshot at, PersonId me) {
        return new SeatMineRecording(RecordingSeat.ofMe(at.state(), me));
    }
}
