package juricast.core.recording;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;

/** What happened to a recording, and from when until when there had to be one. */
public sealed interface RecordingEvent extends LessonEvent {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R required(Required event);

        R announced(Announced event);

        R asked(Asked event);

        R begun(Begun event);

        R failed(Failed event);

        R paused(Paused event);

        R wentOn(WentOn event);

        R waits(Waits event);

        R waitsNoMore(WaitsNoMore event);

        R guarded(Guarded event);

        R ended(Ended event);
    }

    /** From now on the lesson has to be recorded, or has not to be any more. */
    record Required(boolean must, Instant at) implements RecordingEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.required(this);
        }
    }

    /** Everybody is told that it begins in a moment. */
    record Announced(Instant starts, PersonId by, Instant at) implements RecordingEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.announced(this);
        }
    }

    /** The recorder is to begin. What is closed while recording is closed from here on. */
    record Asked(PersonId by, Instant at) implements RecordingEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.asked(this);
        }
    }

    /** The recorder has begun. */
    record Begun(Instant at) implements RecordingEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.begun(this);
        }
    }

    /** The recorder does not record. @param since since when it has not, which may be earlier than anybody knew */
    record Failed(Failure why, Instant since, Instant at) implements RecordingEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.failed(this);
        }
    }

    /** An adult paused it. @param until when it goes on by itself, if it does */
    record Paused(PauseReason reason, Optional<Instant> until, PersonId by, Instant at) implements RecordingEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.paused(this);
        }
    }

    /** The pause is over. */
    record WentOn(PersonId by, Instant at) implements RecordingEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.wentOn(this);
        }
    }

    /** It waits by itself. @param about because of whom, if of anybody */
    record Waits(Hindrance why, List<PersonId> about, Instant at) implements RecordingEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.waits(this);
        }
    }

    /** Nothing is in the way any more. */
    record WaitsNoMore(Instant at) implements RecordingEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.waitsNoMore(this);
        }
    }

    /** Whose voice and camera are closed as long as anything is recorded. @param closed all of them */
    record Guarded(List<PersonId> closed, Instant at) implements RecordingEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.guarded(this);
        }
    }

    /** It ended, or was called off before it began. */
    record Ended(PersonId by, Instant at) implements RecordingEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.ended(this);
        }
    }
}
