package juricast.core.board;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;

/** Marks on the board. */
public sealed interface BoardEvent extends LessonEvent {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R drawn(Drawn event);

        R wiped(Wiped event);
    }

    /** A line was drawn on the board. */
    record Drawn(PersonId person, List<Integer> line, Instant at) implements BoardEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.drawn(this);
        }
    }

    /** The marks of one author were wiped, or all. */
    record Wiped(Optional<PersonId> of, PersonId by, Instant at) implements BoardEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.wiped(this);
        }
    }
}
