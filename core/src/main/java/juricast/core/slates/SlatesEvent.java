package juricast.core.slates;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.drawing.Drawing;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;

/** Slates that were given out, drawn on, collected and shown. */
public sealed interface SlatesEvent extends LessonEvent {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R givenOut(GivenOut event);

        R drawn(Drawn event);

        R undone(Undone event);

        R wiped(Wiped event);

        R handedIn(HandedIn event);

        R collected(Collected event);

        R givenBack(GivenBack event);

        R shown(Shown event);

        R hidden(Hidden event);

        R takenAway(TakenAway event);
    }

    /** Everybody has an empty slate. */
    record GivenOut(String task, Ground ground, PersonId by, Instant at) implements SlatesEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.givenOut(this);
        }
    }

    record Drawn(PersonId person, Drawing drawing, Instant at) implements SlatesEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.drawn(this);
        }
    }

    /** Somebody undid what they did last. */
    record Undone(PersonId person, Instant at) implements SlatesEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.undone(this);
        }
    }

    /** Somebody wiped marks of their own slate. @param marks which; nothing: all */
    record Wiped(PersonId person, List<Integer> marks, Instant at) implements SlatesEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.wiped(this);
        }
    }

    record HandedIn(PersonId person, Instant at) implements SlatesEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.handedIn(this);
        }
    }

    /** All slates are frozen. */
    record Collected(PersonId by, Instant at) implements SlatesEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.collected(this);
        }
    }

    /** They may draw on. @param to whom; nothing: to all */
    record GivenBack(Optional<PersonId> to, PersonId by, Instant at) implements SlatesEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.givenBack(this);
        }
    }

    /** The class sees these, as they were at that moment. @param named whether it is told whose they are */
    record Shown(List<PersonId> people, boolean named, PersonId by, Instant at) implements SlatesEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.shown(this);
        }
    }

    record Hidden(PersonId by, Instant at) implements SlatesEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.hidden(this);
        }
    }

    /** There are no slates any more. */
    record TakenAway(PersonId by, Instant at) implements SlatesEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.takenAway(this);
        }
    }
}
