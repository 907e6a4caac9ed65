package juricast.core.conduct;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonOrder;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;

/** Steps of the ladder, moments for later, worries. */
public sealed interface ConductOrder extends LessonOrder {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R takeStep(TakeStep order);

        R note(Note order);

        R withdraw(Withdraw order);

        R markMoment(MarkMoment order);

        R raiseWorry(RaiseWorry order);

        R settleWorry(SettleWorry order);
    }

    /**
     * An adult takes one step against one or more pupils.
     *
     * @param act the kind of act, by its id
     * @param step by its id
     * @param how where it is otherwise than the ladder has it
     * @param why needed where another step than the proposed one is taken
     * @param before how long before now its evidence begins
     * @param seen the number of the latest step this adult knew of; if somebody acted since on one of these pupils, it is refused
     */
    record TakeStep(
            List<PersonId> people, String act, String step, How how, String why, Duration before, int seen, PersonId by)
            implements ConductOrder {
        public TakeStep {
            people = people.stream().distinct().toList();
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.takeStep(this);
        }
    }

    /** @param right which a curb closes @param length of a curb @param named the rule that a reminder names */
    record How(Optional<Rule<Permission>> right, Optional<Duration> length, Optional<Rule<?>> named) {
        public static final How USUAL = new How(Optional.empty(), Optional.empty(), Optional.empty());
    }

    /** An adult writes something to a step or a moment. @param to the number of its event */
    record Note(int to, String text, PersonId by) implements ConductOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.note(this);
        }
    }

    /** A step was taken in error: it stays in the record and counts no more. @param step the number of its event */
    record Withdraw(int step, String why, PersonId by) implements ConductOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.withdraw(this);
        }
    }

    /** Somebody marks this moment to be looked at later, without saying who it is about. */
    record MarkMoment(String text, PersonId by) implements ConductOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.markMoment(this);
        }
    }

    /** A pupil says quietly that something is wrong (need G8). @param words may be empty */
    record RaiseWorry(VisitId visit, Worry.About about, String words, boolean leadOnly) implements ConductOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.raiseWorry(this);
        }
    }

    /** An adult who may read it sees to a worry. @param worry the number of its event */
    record SettleWorry(int worry, PersonId by) implements ConductOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.settleWorry(this);
        }
    }
}
