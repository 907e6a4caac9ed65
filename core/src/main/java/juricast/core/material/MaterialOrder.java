package juricast.core.material;

import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonOrder;

/** What is hung up, taken back, or written along. */
public sealed interface MaterialOrder extends LessonOrder {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R handOut(HandOut order);

        R takeBack(TakeBack order);

        R caption(Caption order);

        R letServiceListen(LetServiceListen order);

        R heard(Heard order);
    }

    /** Somebody hangs up material that latecomers still find (need F9). */
    record HandOut(PersonId person, String title, String body) implements MaterialOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.handOut(this);
        }
    }

    /** An adult takes material back. */
    record TakeBack(int number, PersonId by) implements MaterialOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.takeBack(this);
        }
    }

    /** Somebody appointed writes what is being said (need F13). */
    record Caption(VisitId visit, String text) implements MaterialOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.caption(this);
        }
    }

    /** An adult lets the caption service listen, or not any more (need F13). */
    record LetServiceListen(boolean on, PersonId by) implements MaterialOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.letServiceListen(this);
        }
    }

    /** The caption service has heard somebody say something. */
    record Heard(PersonId speaker, String text) implements MaterialOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.heard(this);
        }
    }
}
