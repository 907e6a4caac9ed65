package juricast.core.signals;

import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonOrder;

/** What is said without a voice, and who is put before everybody. */
public sealed interface SignalsOrder extends LessonOrder {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R raiseHand(RaiseHand order);

        R lowerHand(LowerHand order);

        R handsDown(HandsDown order);

        R showSign(ShowSign order);

        R clearSigns(ClearSigns order);

        R focus(Focus order);

        R answerFocus(AnswerFocus order);
    }

    /** Somebody asks to be heard. */
    record RaiseHand(VisitId visit) implements SignalsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.raiseHand(this);
        }
    }

    /** A hand goes down, by its owner or an adult. */
    record LowerHand(PersonId person, PersonId by) implements SignalsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.lowerHand(this);
        }
    }

    /** An adult puts every hand down at once. */
    record HandsDown(PersonId by) implements SignalsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.handsDown(this);
        }
    }

    /** Somebody shows a signal, or takes it back (need F12). */
    record ShowSign(VisitId visit, Optional<Sign> sign) implements SignalsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.showSign(this);
        }
    }

    /** An adult clears all signals, to ask anew. */
    record ClearSigns(PersonId by) implements SignalsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.clearSigns(this);
        }
    }

    /** An adult puts one person before everybody, or ends it (need F8). Where the rules make it a choice, the person is asked. */
    record Focus(Optional<PersonId> on, PersonId by) implements SignalsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.focus(this);
        }
    }

    /** Who was asked to stand before everybody says yes or no. */
    record AnswerFocus(VisitId visit, boolean yes) implements SignalsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.answerFocus(this);
        }
    }
}
