package juricast.core.recording;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonOrder;

/** What adults, and the recorder, say about a recording. */
public sealed interface RecordingOrder extends LessonOrder {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R start(Start order);

        R pause(Pause order);

        R goOn(GoOn order);

        R end(End order);

        R answer(Answer order);
    }

    /** An adult starts one, or lets one that failed be tried again at once. */
    record Start(PersonId by) implements RecordingOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.start(this);
        }
    }

    /** An adult pauses it. @param length after which it goes on by itself; nothing if somebody lets it go on */
    record Pause(PauseReason reason, Optional<Duration> length, PersonId by) implements RecordingOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.pause(this);
        }
    }

    /** An adult lets it go on. */
    record GoOn(PersonId by) implements RecordingOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.goOn(this);
        }
    }

    /** An adult ends it, or calls it off before it began. */
    record End(PersonId by) implements RecordingOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.end(this);
        }
    }

    /**
     * The recorder says that it records, or why it does not.
     *
     * @param since since when it has not, if it knows that it stopped earlier
     */
    record Answer(Optional<Failure> failure, Optional<Instant> since) implements RecordingOrder {
        /** It records. */
        public static final Answer BEGUN = new Answer(Optional.empty(), Optional.empty());

        /** It does not, from now on. */
        public static Answer failed(Failure why) {
            return new Answer(Optional.of(why), Optional.empty());
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.answer(this);
        }
    }
}
