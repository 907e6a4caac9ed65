package juricast.core.slates;

import java.util.List;
import java.util.Optional;
import juricast.core.drawing.Drawing;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonOrder;

/** Giving slates out, drawing on one's own, looking through them, showing some. */
public sealed interface SlatesOrder extends LessonOrder {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R giveOut(GiveOut order);

        R draw(Draw order);

        R undo(Undo order);

        R wipe(Wipe order);

        R handIn(HandIn order);

        R collect(Collect order);

        R giveBack(GiveBack order);

        R show(Show order);

        R hide(Hide order);

        R takeAway(TakeAway order);
    }

    /** An adult gives everybody an empty slate; slates that are out make room. */
    record GiveOut(String task, Ground ground, PersonId by) implements SlatesOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.giveOut(this);
        }
    }

    record Draw(VisitId visit, Drawing drawing) implements SlatesOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.draw(this);
        }
    }

    record Undo(VisitId visit) implements SlatesOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.undo(this);
        }
    }

    /** @param marks which; nothing: all */
    record Wipe(VisitId visit, List<Integer> marks) implements SlatesOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.wipe(this);
        }
    }

    record HandIn(VisitId visit) implements SlatesOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.handIn(this);
        }
    }

    record Collect(PersonId by) implements SlatesOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.collect(this);
        }
    }

    /** @param to whom; nothing: to all */
    record GiveBack(Optional<PersonId> to, PersonId by) implements SlatesOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.giveBack(this);
        }
    }

    /** @param people whose, at most {@link SlatesPart#SHOWN} */
    record Show(List<PersonId> people, boolean named, PersonId by) implements SlatesOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.show(this);
        }
    }

    record Hide(PersonId by) implements SlatesOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.hide(this);
        }
    }

    record TakeAway(PersonId by) implements SlatesOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.takeAway(this);
        }
    }
}
