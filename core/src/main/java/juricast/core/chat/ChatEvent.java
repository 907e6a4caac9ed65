package juricast.core.chat;

import java.time.Instant;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;

/** What was written, waits for an adult, or was decided about. */
public sealed interface ChatEvent extends LessonEvent {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R said(Said event);

        R held(Held event);

        R released(Released event);
    }

    /** What holds words of somebody, and perhaps a file. */
    sealed interface Written extends ChatEvent {
        Optional<SentFile> file();
    }

    /** Something was written, or a file was sent under its name. */
    record Said(PersonId from, Readers to, String text, Optional<SentFile> file, Instant at) implements Written {
        public Said(PersonId from, Readers to, String text, Instant at) {
            this(from, to, text, Optional.empty(), at);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.said(this);
        }
    }

    /** A message waits for an adult before anyone else reads it. */
    record Held(PersonId from, Readers to, String text, Optional<SentFile> file, Hold why, Instant at)
            implements Written {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.held(this);
        }
    }

    /** An adult decided about a held message. */
    record Released(int number, boolean letThrough, PersonId by, Instant at) implements ChatEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.released(this);
        }
    }
}
