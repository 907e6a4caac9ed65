package juricast.core.board;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.drawing.Drawing;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;
import juricast.core.live.PlaceId;

/**
 * Marks on the board, and its pages. A page is known by the number of the event by which it came, and those of one event by that
 * number and their place in it; the first has 0.
 */
public sealed interface BoardEvent extends LessonEvent {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R drawn(Drawn event);

        R erased(Erased event);

        R undone(Undone event);

        R wiped(Wiped event);

        R pointed(Pointed event);

        R pagesAdded(PagesAdded event);

        R pageTurned(PageTurned event);

        R pageRemoved(PageRemoved event);

        R brought(Brought event);
    }

    /** The group whose board it is; nothing for the board of the class. */
    Optional<PlaceId> in();

    /** The place whose board it is. */
    default PlaceId place() {
        return in().orElse(PlaceId.TOGETHER);
    }

    /** Something was drawn. */
    record Drawn(PersonId person, Drawing drawing, int page, Optional<PlaceId> in, Instant at) implements BoardEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.drawn(this);
        }
    }

    /** Marks were taken off, one by one. */
    record Erased(PersonId person, List<Integer> marks, int page, Optional<PlaceId> in, Instant at)
            implements BoardEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.erased(this);
        }
    }

    /** Somebody undid what they did last on a page. */
    record Undone(PersonId person, int page, Optional<PlaceId> in, Instant at) implements BoardEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.undone(this);
        }
    }

    /** The marks of one author were wiped, or all. @param page on which page; nothing: on all */
    record Wiped(Optional<PersonId> of, Optional<Integer> page, Optional<PlaceId> in, PersonId by, Instant at)
            implements BoardEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.wiped(this);
        }
    }

    /** Somebody pointed at something; it is seen for some seconds. @param points the way of the pointer, x and y in turn */
    record Pointed(PersonId person, List<Integer> points, int page, Optional<PlaceId> in, Instant at)
            implements BoardEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.pointed(this);
        }
    }

    /** Pages came after the one that is shown, and the first of them is shown. @param under what is under each; nothing: an empty page */
    record PagesAdded(List<Optional<Under>> under, Optional<PlaceId> in, PersonId by, Instant at)
            implements BoardEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.pagesAdded(this);
        }
    }

    /** Another page is shown. */
    record PageTurned(int page, Optional<PlaceId> in, PersonId by, Instant at) implements BoardEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.pageTurned(this);
        }
    }

    record PageRemoved(int page, Optional<PlaceId> in, PersonId by, Instant at) implements BoardEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.pageRemoved(this);
        }
    }

    /** The board of an earlier lesson was opened again, as pages after the one that is shown. */
    record Brought(LessonId from, List<BroughtPage> pages, Optional<PlaceId> in, PersonId by, Instant at)
            implements BoardEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.brought(this);
        }
    }

    /** A page as it was. */
    record BroughtPage(Optional<Under> under, List<BroughtMark> marks) {}

    /** @param author who drew it, if they belong to this lesson; else {@link BoardPart#EARLIER} */
    record BroughtMark(PersonId author, Drawing drawing) {}
}
