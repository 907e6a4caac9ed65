package juricast.core.board;

import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonOrder;
import juricast.core.live.PlaceId;

/** Drawing, and wiping what was drawn. */
public sealed interface BoardOrder extends LessonOrder {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R draw(Draw order);

        R wipe(Wipe order);
    }

    /** Somebody draws a line on the board of the place where they are (need F6). */
    record Draw(VisitId visit, List<Integer> line) implements BoardOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.draw(this);
        }
    }

    /**
     * Somebody wipes the marks of one author, or an adult all of them; a person may always wipe their own.
     *
     * @param in on which page; nothing: of the place where they are
     */
    record Wipe(Optional<PersonId> of, Optional<PlaceId> in, PersonId by) implements BoardOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.wipe(this);
        }
    }
}
