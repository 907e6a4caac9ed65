package juricast.core.notices;

import juricast.core.identity.PersonId;
import juricast.core.live.LessonOrder;

/** Putting words up, and taking them down. */
public sealed interface NoticesOrder extends LessonOrder {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R welcome(Welcome order);

        R putUp(PutUp order);

        R takeDown(TakeDown order);
    }

    /** Who arrives from now on is welcomed so, whatever was prepared. @param text empty: no welcome */
    record Welcome(String text, PersonId by) implements NoticesOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.welcome(this);
        }
    }

    record PutUp(String text, PersonId by) implements NoticesOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.putUp(this);
        }
    }

    /** @param notice the number of the event by which it was put up */
    record TakeDown(int notice, PersonId by) implements NoticesOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.takeDown(this);
        }
    }
}
