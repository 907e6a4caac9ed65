package juricast.core.ending;

import juricast.core.identity.PersonId;
import juricast.core.live.LessonOrder;

/** Ending the lesson for everybody, or for all but one. */
public sealed interface EndingOrder extends LessonOrder {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R dismiss(Dismiss order);

        R keepBack(KeepBack order);
    }

    /** An adult ends the lesson for everyone (need K1). */
    record Dismiss(PersonId by) implements EndingOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.dismiss(this);
        }
    }

    /** An adult ends the lesson for all but one pupil, for a last word (need K3). */
    record KeepBack(PersonId person, PersonId by) implements EndingOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.keepBack(this);
        }
    }
}
