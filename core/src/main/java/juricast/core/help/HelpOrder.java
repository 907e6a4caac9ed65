package juricast.core.help;

import juricast.core.identity.PersonId;
import juricast.core.live.LessonOrder;

/** What adults order about a help hour; it is ended as every lesson is. */
public sealed interface HelpOrder extends LessonOrder {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R stay(Stay order);
    }

    /** The lesson is over for the class, and the adult stays for questions. @param minutes how long it is meant to go on */
    record Stay(int minutes, PersonId by) implements HelpOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.stay(this);
        }
    }
}
