package juricast.core.recording;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import juricast.core.live.LessonEvent;
import juricast.core.time.Span;

/**
 * What had to be recorded, what was, and which minutes are missing for which cause (need I5). What was recorded and all gaps come
 * to what had to be, exactly.
 *
 * @param required how long the lesson had to be recorded
 * @param covered how much of that was
 * @param recorded how much was recorded at all, also where it did not have to be
 * @param gaps what is missing of what had to be, in order; none is empty, and no two of one cause touch
 */
public record Coverage(Duration required, Duration covered, Duration recorded, List<Gap> gaps) {
    /** Why minutes are missing. */
    public enum Cause {
        /** It had not begun yet: the notice before it, and the recorder on its way. */
        LATE,
        PAUSED,
        FAILED,
        /** Somebody was here, or spoke, who may not be recorded. */
        NO_CONSENT,
        GROUPS,
        /** Somebody ended it before the lesson was over. */
        ENDED
    }

    /** Minutes that are missing. @param pause of a pause, its reason */
    public record Gap(Cause cause, Optional<PauseReason> pause, Span time) {}

    public Coverage {
        gaps = List.copyOf(gaps);
    }

    /** Whether all that had to be recorded was. */
    public boolean isWhole() {
        return gaps.isEmpty();
    }

    /** How much is missing. */
    public Duration missing() {
        return required.minus(covered);
    }

    /**
     * Of a lesson's record. One sweep over its events.
     *
     * @param until where to stop counting; what goes on is counted until then
     */
    public static Coverage of(List<LessonEvent> record, Instant until) {
        List<RecordingEvent> events = record.stream()
                .filter(RecordingEvent.class::isInstance)
                .map(RecordingEvent.class::cast)
                .filter(event -> !event.at().isAfter(until))
                .toList();
        RecordingState after = RecordingState.NEW;
        for (RecordingEvent event : events) {
            after = RecordingPart.RECORDING.after(after, event, 0);
        }
        var count = new Count(after.segments(until));
        events.forEach(count::take);
        count.until(until);
        return new Coverage(count.required, count.covered, after.recorded(until), count.gaps);
    }

    private static final class Count {
        /** What is known in the end to have been recorded: a recorder may say later that it had stopped. */
        private final List<Span> segments;

        private RecordingState is = RecordingState.NEW;
        private Instant last = Instant.MIN;
        private Duration required = Duration.ZERO;
        private Duration covered = Duration.ZERO;
        private final List<Gap> gaps = new ArrayList<>();

        Count(List<Span> segments) {
            this.segments = segments;
        }

        void take(RecordingEvent event) {
            until(event.at());
            is = RecordingPart.RECORDING.after(is, event, 0);
        }

        void until(Instant at) {
            if (is.required() && last.isBefore(at)) {
                count(new Span(last, at));
            }
            last = at;
        }

        private void count(Span time) {
            required = required.plus(time.length());
            Instant from = time.from();
            for (Span segment : segments) {
                Optional<Span> part = segment.within(time);
                if (part.isPresent()) {
                    Span.between(from, part.get().from()).ifPresent(this::missing);
                    covered = covered.plus(part.get().length());
                    from = part.get().until();
                }
            }
            Span.between(from, time.until()).ifPresent(this::missing);
        }

        private void missing(Span time) {
            Cause cause = is.running().isPresent() ? Cause.FAILED : cause(is);
            Optional<PauseReason> pause =
                    cause == Cause.PAUSED ? is.paused().map(RecordingEvent.Paused::reason) : Optional.empty();
            Gap before = gaps.isEmpty() ? null : gaps.get(gaps.size() - 1);
            boolean goesOn = before != null
                    && before.cause == cause
                    && before.pause.equals(pause)
                    && before.time.until().equals(time.from());
            if (goesOn) {
                gaps.set(gaps.size() - 1, new Gap(cause, pause, new Span(before.time.from(), time.until())));
            } else {
                gaps.add(new Gap(cause, pause, time));
            }
        }
    }

    /** Why nothing is recorded in a state in which it has to be. An adult's own pause goes before what only hinders it. */
    public static Cause cause(RecordingState is) {
        return switch (is.phase()) {
            case OFF, ANNOUNCED -> Cause.LATE;
            case ENDED -> Cause.ENDED;
            case ASKED, ON, FAILED -> {
                if (is.paused().isPresent()) {
                    yield Cause.PAUSED;
                }
                if (is.waiting().isPresent()) {
                    yield is.waiting().get().why() == Hindrance.GROUPS ? Cause.GROUPS : Cause.NO_CONSENT;
                }
                yield is.phase() == RecordingState.Phase.ASKED && is.tries() == 0 ? Cause.LATE : Cause.FAILED;
            }
        };
    }
}
