package juricast.core.lines;

import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonOrder;

/** What is said about lines. */
public sealed interface LinesOrder extends LessonOrder {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R tell(Tell order);

        R leave(Leave order);
    }

    /** A browser noticed that its line became weak, or carries again. */
    record Tell(VisitId visit, boolean weak) implements LinesOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.tell(this);
        }
    }

    /** An adult leaves the lesson as it is, though lines are weak. */
    record Leave(PersonId by) implements LinesOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.leave(this);
        }
    }
}
