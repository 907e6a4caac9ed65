package juricast.core.recording;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import juricast.core.identity.PersonId;
import juricast.core.live.Copies;
import juricast.core.time.Span;

/**
 * How it stands with the recording of a lesson.
 *
 * @param required whether the lesson has to be recorded at this moment
 * @param since when the phase began
 * @param starts when an announced one begins
 * @param by who wanted it; who ended it, where it has ended
 * @param tries how often in a row the recorder has failed
 * @param failure why it failed last, while it fails
 * @param paused the pause of an adult, while it lasts
 * @param waiting why it waits by itself, while it does
 * @param closed whose voice and camera are closed while anything is recorded
 * @param segments what was recorded so far, each unbroken, in order
 * @param running since when the segment lasts that is being recorded
 * @param unmet since when it has to be recorded and is not, however often the recorder was asked since
 */
public record RecordingState(
        boolean required,
        Phase phase,
        Instant since,
        Optional<Instant> starts,
        PersonId by,
        int tries,
        Optional<Failure> failure,
        Optional<RecordingEvent.Paused> paused,
        Optional<RecordingEvent.Waits> waiting,
        Set<PersonId> closed,
        List<Span> segments,
        Optional<Instant> running,
        Optional<Instant> unmet) {
    /** From not at all to over. */
    public enum Phase {
        OFF,
        /** Everybody was told; it begins in a moment. */
        ANNOUNCED,
        /** The recorder was asked and has not answered yet. */
        ASKED,
        ON,
        /** The recorder failed and is asked again. */
        FAILED,
        ENDED
    }

    static final RecordingState NEW = new RecordingState(
            false,
            Phase.OFF,
            Instant.EPOCH,
            Optional.empty(),
            PersonId.RULES,
            0,
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Set.of(),
            List.of(),
            Optional.empty(),
            Optional.empty());

    /** Whether it was wanted and is not over: announced, asked for, on, paused, or failing. */
    public boolean isGoing() {
        return phase != Phase.OFF && phase != Phase.ENDED;
    }

    /** Whether something may be recorded at this moment: by a recorder that was asked to, too. */
    public boolean isRecording() {
        return (phase == Phase.ASKED || phase == Phase.ON) && paused.isEmpty() && waiting.isEmpty();
    }

    /** How much was recorded until now. */
    public Duration recorded(Instant now) {
        Duration before = segments.stream().map(Span::length).reduce(Duration.ZERO, Duration::plus);
        return running.filter(now::isAfter)
                .map(from -> before.plus(Duration.between(from, now)))
                .orElse(before);
    }

    /** What was recorded until now, the segment that lasts among it. */
    public List<Span> segments(Instant now) {
        return running.flatMap(from -> Span.between(from, now))
                .map(last -> Copies.plus(segments, last))
                .orElse(segments);
    }
}
