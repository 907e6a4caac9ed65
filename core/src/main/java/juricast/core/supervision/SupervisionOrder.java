package juricast.core.supervision;

import juricast.core.identity.PersonId;
import juricast.core.live.LessonOrder;

/** Stopping everything, bringing it back, taking charge of a room without an adult. */
public sealed interface SupervisionOrder extends LessonOrder {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R stopEverything(StopEverything order);

        R resume(Resume order);

        R takeCharge(TakeCharge order);
    }

    /**
     * An adult stops everything at once: muted, chat, drawing and sharing closed, the door shut (need G4). Given again while
     * everything is stopped, it says why.
     */
    record StopEverything(String why, PersonId by) implements SupervisionOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.stopEverything(this);
        }
    }

    /** An adult brings back what was before everything was stopped. */
    record Resume(PersonId by) implements SupervisionOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.resume(this);
        }
    }

    /** An observer takes charge of a room that has no adult (need M2). */
    record TakeCharge(PersonId by) implements SupervisionOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.takeCharge(this);
        }
    }
}
