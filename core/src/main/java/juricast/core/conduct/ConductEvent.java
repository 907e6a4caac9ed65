package juricast.core.conduct;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.ladder.Measure;
import juricast.core.live.LessonEvent;
import juricast.core.rules.Rule;

/** How a disturbance was met. */
public sealed interface ConductEvent extends LessonEvent {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R stepTaken(StepTaken event);

        R noted(Noted event);

        R withdrawn(Withdrawn event);

        R momentMarked(MomentMarked event);

        R worryRaised(WorryRaised event);

        R worrySettled(WorrySettled event);
    }

    /**
     * A step was taken, with all the ladder said of it then: what the ladder says later changes nothing of it.
     *
     * @param act the id of the kind of act, and what it was called
     * @param named the rule that was named to the pupil
     * @param before how long before it its evidence begins
     */
    record StepTaken(
            List<Against> against,
            Act act,
            StepDone step,
            Optional<Rule<?>> named,
            String why,
            Duration before,
            PersonId by,
            Instant at)
            implements ConductEvent {
        public StepTaken {
            against = List.copyOf(against);
        }

        /** Whether it was taken against somebody. */
        public boolean isAgainst(PersonId person) {
            return against.stream().anyMatch(one -> one.person().equals(person));
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.stepTaken(this);
        }
    }

    /** @param proposed which step was proposed, from 1 */
    record Against(PersonId person, int proposed) {}

    record Act(String id, String name) {}

    /** @param level where it stood, from 1 @param counts after how long it counts half */
    record StepDone(
            String id,
            String name,
            Measure measure,
            int level,
            Duration counts,
            boolean parents,
            boolean opensIncident) {}

    /** Something was written to a step or a moment. @param to the number of its event */
    record Noted(int to, String text, PersonId by, Instant at) implements ConductEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.noted(this);
        }
    }

    /** A step counts no more. @param step the number of its event */
    record Withdrawn(int step, String why, PersonId by, Instant at) implements ConductEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.withdrawn(this);
        }
    }

    /** A moment to be looked at later. */
    record MomentMarked(String text, PersonId by, Instant at) implements ConductEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.momentMarked(this);
        }
    }

    /** A pupil said that something is wrong. @param leadOnly whether only the safeguarding lead reads it */
    record WorryRaised(PersonId person, Worry.About about, String words, boolean leadOnly, Instant at)
            implements ConductEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.worryRaised(this);
        }
    }

    /** An adult saw to a worry. @param worry the number of its event */
    record WorrySettled(int worry, PersonId by, Instant at) implements ConductEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.worrySettled(this);
        }
    }
}
