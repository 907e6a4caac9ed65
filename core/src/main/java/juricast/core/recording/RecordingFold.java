package juricast.core.recording;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import juricast.core.identity.PersonId;
import juricast.core.live.Copies;
import juricast.core.recording.RecordingState.Phase;
import juricast.core.time.Span;

/** One step of the fold. A segment begins and ends wherever the recorder begins or stops to record. */
final class RecordingFold implements RecordingEvent.Cases<RecordingState> {
    private boolean required;
    private Phase phase;
    private Instant since;
    private Optional<Instant> starts;
    private PersonId by;
    private int tries;
    private Optional<Failure> failure;
    private Optional<RecordingEvent.Paused> paused;
    private Optional<RecordingEvent.Waits> waiting;
    private Set<PersonId> closed;
    private List<Span> segments;
    private Optional<Instant> running;
    private Optional<Instant> unmet;

    RecordingFold(RecordingState was) {
        required = was.required();
        phase = was.phase();
        since = was.since();
        starts = was.starts();
        by = was.by();
        tries = was.tries();
        failure = was.failure();
        paused = was.paused();
        waiting = was.waiting();
        closed = was.closed();
        segments = was.segments();
        running = was.running();
        unmet = was.unmet();
    }

    @Override
    public RecordingState required(RecordingEvent.Required event) {
        required = event.must();
        return at(event.at());
    }

    @Override
    public RecordingState announced(RecordingEvent.Announced event) {
        enter(Phase.ANNOUNCED, event.at());
        starts = Optional.of(event.starts());
        by = event.by();
        return at(event.at());
    }

    @Override
    public RecordingState asked(RecordingEvent.Asked event) {
        if (phase != Phase.FAILED) {
            by = event.by();
        }
        enter(Phase.ASKED, event.at());
        starts = Optional.empty();
        return at(event.at());
    }

    @Override
    public RecordingState begun(RecordingEvent.Begun event) {
        enter(Phase.ON, event.at());
        tries = 0;
        failure = Optional.empty();
        return at(event.at());
    }

    @Override
    public RecordingState failed(RecordingEvent.Failed event) {
        enter(Phase.FAILED, event.at());
        tries++;
        failure = Optional.of(event.why());
        return at(event.since());
    }

    @Override
    public RecordingState paused(RecordingEvent.Paused event) {
        // Another reason, or another end, is none but the same pause: it lasts since it began.
        Instant begun = paused.map(RecordingEvent.Paused::at).orElse(event.at());
        paused = Optional.of(new RecordingEvent.Paused(event.reason(), event.until(), event.by(), begun));
        return at(event.at());
    }

    @Override
    public RecordingState wentOn(RecordingEvent.WentOn event) {
        paused = Optional.empty();
        return at(event.at());
    }

    @Override
    public RecordingState waits(RecordingEvent.Waits event) {
        waiting = Optional.of(event);
        return at(event.at());
    }

    @Override
    public RecordingState waitsNoMore(RecordingEvent.WaitsNoMore event) {
        waiting = Optional.empty();
        return at(event.at());
    }

    @Override
    public RecordingState guarded(RecordingEvent.Guarded event) {
        closed = Set.copyOf(event.closed());
        return at(event.at());
    }

    @Override
    public RecordingState ended(RecordingEvent.Ended event) {
        enter(Phase.ENDED, event.at());
        by = event.by();
        starts = Optional.empty();
        tries = 0;
        failure = Optional.empty();
        paused = Optional.empty();
        waiting = Optional.empty();
        closed = Set.of();
        return at(event.at());
    }

    private void enter(Phase next, Instant at) {
        phase = next;
        since = at;
    }

    /** @param now until when the segment that lasts was recorded, if it ends */
    private RecordingState at(Instant now) {
        boolean records = phase == Phase.ON && paused.isEmpty() && waiting.isEmpty();
        if (!records && running.isPresent()) {
            segments = Span.between(running.get(), now)
                    .map(done -> Copies.plus(segments, done))
                    .orElse(segments);
            running = Optional.empty();
        } else if (records && running.isEmpty()) {
            running = Optional.of(now);
        }
        unmet = required && running.isEmpty() ? unmet.or(() -> Optional.of(now)) : Optional.empty();
        return new RecordingState(
                required, phase, since, starts, by, tries, failure, paused, waiting, closed, segments, running, unmet);
    }
}
