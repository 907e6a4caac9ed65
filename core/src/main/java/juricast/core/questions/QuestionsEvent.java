package juricast.core.questions;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.LessonEvent;
import juricast.core.live.PlaceId;

/** Questions that were asked and answered. */
public sealed interface QuestionsEvent extends LessonEvent {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R asked(Asked event);

        R answered(Answered event);

        R extended(Extended event);

        R nudged(Nudged event);

        R closed(Closed event);

        R shown(Shown event);

        R putAway(PutAway event);
    }

    /**
     * A question was put to the class, or to one group.
     *
     * @param prepared which of the class's prepared questions it is; nothing for one made on the spot
     * @param seenBy adults of which roles see who answered what: as the rules said when it was asked, so that no promise is broken
     *     later
     * @param of who was asked; nothing for everybody in the lesson
     * @param until when it closes by itself
     */
    record Asked(
            Question question,
            Optional<String> prepared,
            boolean changeable,
            List<Role> seenBy,
            Optional<PlaceId> of,
            Optional<Instant> until,
            PersonId by,
            Instant at)
            implements QuestionsEvent {
        public Asked {
            seenBy = List.copyOf(seenBy);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.asked(this);
        }
    }

    /** Somebody answered, or answered otherwise. @param to the number of the event by which it was asked */
    record Answered(int to, PersonId person, Answer answer, Instant at) implements QuestionsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.answered(this);
        }
    }

    /** It stays open longer. */
    record Extended(int question, Instant until, PersonId by, Instant at) implements QuestionsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.extended(this);
        }
    }

    /** Those who had not answered yet were reminded. */
    record Nudged(int question, List<PersonId> people, PersonId by, Instant at) implements QuestionsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.nudged(this);
        }
    }

    /** No more answers are taken. @param by nobody where its time was up, or its group came back */
    record Closed(int question, Optional<PersonId> by, Instant at) implements QuestionsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.closed(this);
        }
    }

    /** Its results are seen by the class, without names. @param right whether it is said what was right */
    record Shown(int question, boolean right, PersonId by, Instant at) implements QuestionsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.shown(this);
        }
    }

    /** It is before the class no more. */
    record PutAway(int question, PersonId by, Instant at) implements QuestionsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.putAway(this);
        }
    }
}
