package juricast.core.merits;

import juricast.core.identity.PersonId;
import juricast.core.live.LessonOrder;

/** Praise. */
public sealed interface MeritsOrder extends LessonOrder {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R give(Give order);
    }

    /** An adult gives one pupil a merit, and says what for. */
    record Give(PersonId person, String reason, PersonId by) implements MeritsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.give(this);
        }
    }
}
