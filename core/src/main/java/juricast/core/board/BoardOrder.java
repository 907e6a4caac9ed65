package juricast.core.board;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import juricast.core.drawing.Drawing;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonOrder;
import juricast.core.live.PlaceId;

/** Drawing, wiping what was drawn, and pages. Where an order names no place it is about that where whoever gives it is. */
public sealed interface BoardOrder extends LessonOrder {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R draw(Draw order);

        R erase(Erase order);

        R undo(Undo order);

        R wipe(Wipe order);

        R takeAway(TakeAway order);

        R point(Point order);

        R addPages(AddPages order);

        R turn(Turn order);

        R removePage(RemovePage order);

        R bring(Bring order);
    }

    /** Somebody draws on the page that is shown where they are (need F6). @param page which they believe that to be */
    record Draw(VisitId visit, int page, Drawing drawing) implements BoardOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.draw(this);
        }
    }

    /** Somebody takes marks off: their own, or an adult any. */
    record Erase(VisitId visit, int page, List<Integer> marks) implements BoardOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.erase(this);
        }
    }

    record Undo(VisitId visit, int page) implements BoardOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.undo(this);
        }
    }

    /** Somebody wipes the marks of one author on all pages, or an adult all of the page shown; a person may always wipe their own. */
    record Wipe(Optional<PersonId> of, Optional<PlaceId> in, PersonId by) implements BoardOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.wipe(this);
        }
    }

    /** An adult closes drawing to one person for a time, and wipes all that they drew, on every board: one act. */
    record TakeAway(PersonId person, Duration length, PersonId by) implements BoardOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.takeAway(this);
        }
    }

    /** Somebody points at something on the page that is shown. */
    record Point(VisitId visit, int page, List<Integer> points) implements BoardOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.point(this);
        }
    }

    /** @param under what is under each page; nothing: an empty page */
    record AddPages(List<Optional<Under>> under, Optional<PlaceId> in, PersonId by) implements BoardOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.addPages(this);
        }
    }

    record Turn(int page, Optional<PlaceId> in, PersonId by) implements BoardOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.turn(this);
        }
    }

    record RemovePage(int page, Optional<PlaceId> in, PersonId by) implements BoardOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.removePage(this);
        }
    }

    /** Opens the board of an earlier lesson again. */
    record Bring(LessonId from, List<BoardEvent.BroughtPage> pages, Optional<PlaceId> in, PersonId by)
            implements BoardOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.bring(this);
        }
    }
}
