package juricast.core.board;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;
import juricast.core.live.PlaceId;

/** Marks on the board. */
public sealed interface BoardEvent extends LessonEvent {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R drawn(Drawn event);

        R wiped(Wiped event);
    }

    /** A line was drawn on the board. @param in the group whose page it is; nothing for the board of the class */
    record Drawn(PersonId person, List<Integer> line, Optional<PlaceId> in, Instant at) implements BoardEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.drawn(this);
        }
    }

    /** The marks of one author were wiped, or all. @param in the group whose page it is; nothing for the board of the class */
    record Wiped(Optional<PersonId> of, Optional<PlaceId> in, PersonId by, Instant at) implements BoardEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.wiped(this);
        }
    }
}
