package juricast.core.conduct;

import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.ladder.Earlier;
import juricast.core.live.Copies;

/**
 * How disturbances of a lesson were met.
 *
 * @param steps in order, those withdrawn among them
 * @param moments how many were marked for later
 * @param notes how many were written
 */
public record ConductState(List<Taken> steps, List<Worry> worries, List<Integer> moments, int notes) {
    static final ConductState NEW = new ConductState(List.of(), List.of(), List.of(), 0);

    /** Steps against somebody that count, in order. */
    public List<Taken> against(PersonId person) {
        return steps.stream()
                .filter(one -> !one.withdrawn() && one.event().isAgainst(person))
                .toList();
    }

    /** The same, as they count in what is proposed next. */
    public List<Earlier> counted(PersonId person) {
        return against(person).stream().map(Taken::earlier).toList();
    }

    public Optional<Taken> step(int number) {
        return steps.stream().filter(one -> one.number() == number).findFirst();
    }

    /** The number of the latest step, 0 if there is none. */
    public int latest() {
        return steps.isEmpty() ? 0 : steps.get(steps.size() - 1).number();
    }

    public Optional<Worry> worry(int number) {
        return worries.stream().filter(one -> one.number() == number).findFirst();
    }

    /** Worries nobody has seen to, longest first. */
    public List<Worry> open() {
        return worries.stream().filter(one -> one.settledBy().isEmpty()).toList();
    }

    /** One step of the fold. @param number the number of the event */
    record Fold(ConductState was, int number) implements ConductEvent.Cases<ConductState> {
        @Override
        public ConductState stepTaken(ConductEvent.StepTaken event) {
            return new ConductState(
                    Copies.plus(was.steps, new Taken(number, event, false)), was.worries, was.moments, was.notes);
        }

        @Override
        public ConductState noted(ConductEvent.Noted event) {
            return new ConductState(was.steps, was.worries, was.moments, was.notes + 1);
        }

        @Override
        public ConductState withdrawn(ConductEvent.Withdrawn event) {
            return new ConductState(
                    was.steps.stream()
                            .map(one -> one.number() == event.step() ? new Taken(one.number(), one.event(), true) : one)
                            .toList(),
                    was.worries,
                    was.moments,
                    was.notes);
        }

        @Override
        public ConductState momentMarked(ConductEvent.MomentMarked event) {
            return new ConductState(was.steps, was.worries, Copies.plus(was.moments, number), was.notes);
        }

        @Override
        public ConductState worryRaised(ConductEvent.WorryRaised event) {
            return new ConductState(
                    was.steps,
                    Copies.plus(was.worries, new Worry(number, event, Optional.empty())),
                    was.moments,
                    was.notes);
        }

        @Override
        public ConductState worrySettled(ConductEvent.WorrySettled event) {
            return new ConductState(
                    was.steps,
                    was.worries.stream()
                            .map(one -> one.number() == event.worry()
                                    ? new Worry(one.number(), one.raised(), Optional.of(event.by()))
                                    : one)
                            .toList(),
                    was.moments,
                    was.notes);
        }
    }
}
