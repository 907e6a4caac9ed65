package juricast.core.chat;

import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonOrder;

/** What somebody wants to write or send, and what an adult decides about what waits. */
public sealed interface ChatOrder extends LessonOrder {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R say(Say order);

        R sendFile(SendFile order);

        R release(Release order);
    }

    /** Somebody writes. */
    record Say(VisitId visit, Readers to, String text) implements ChatOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.say(this);
        }
    }

    /** Somebody sends a file. */
    record SendFile(VisitId visit, Readers to, SentFile file) implements ChatOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.sendFile(this);
        }
    }

    /** An adult lets a held message through, or keeps it back (need F3). */
    record Release(int number, boolean letThrough, PersonId by) implements ChatOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.release(this);
        }
    }
}
