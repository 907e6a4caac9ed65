package juricast.core.questions;

import java.time.Duration;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonOrder;
import juricast.core.live.PlaceId;

/** Asking, answering, showing. */
public sealed interface QuestionsOrder extends LessonOrder {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R ask(Ask order);

        R answer(Give order);

        R extend(Extend order);

        R nudge(Nudge order);

        R close(Close order);

        R show(Show order);

        R putAway(PutAway order);
    }

    /** An adult asks. @param length how long; nothing for until it is closed @param of which group; nothing for everybody */
    record Ask(
            Question question,
            Optional<String> prepared,
            boolean changeable,
            Optional<Duration> length,
            Optional<PlaceId> of,
            PersonId by)
            implements QuestionsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.ask(this);
        }
    }

    /** Somebody answers. */
    record Give(int question, VisitId visit, Answer answer) implements QuestionsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.answer(this);
        }
    }

    /** It stays open longer than it would. */
    record Extend(int question, Duration more, PersonId by) implements QuestionsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.extend(this);
        }
    }

    /** Who has not answered yet is reminded. */
    record Nudge(int question, PersonId by) implements QuestionsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.nudge(this);
        }
    }

    record Close(int question, PersonId by) implements QuestionsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.close(this);
        }
    }

    /** Shows the class how it was answered, without names; an open question is closed by it. */
    record Show(int question, boolean right, PersonId by) implements QuestionsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.show(this);
        }
    }

    /** Takes it from the desk and the seats; one that is open is closed. */
    record PutAway(int question, PersonId by) implements QuestionsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.putAway(this);
        }
    }
}
