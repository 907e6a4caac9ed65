package juricast.core.merits;

import java.util.List;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonOrder;

/** Praise. */
public sealed interface MeritsOrder extends LessonOrder {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R give(Give order);

        R takeBack(TakeBack order);
    }

    /** An adult gives one or more pupils a merit each, and says what for. */
    record Give(List<PersonId> people, String reason, PersonId by) implements MeritsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.give(this);
        }
    }

    /** An adult takes a merit back, soon after it was given. @param merit the number of the event by which it was given */
    record TakeBack(int merit, PersonId by) implements MeritsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.takeBack(this);
        }
    }
}
