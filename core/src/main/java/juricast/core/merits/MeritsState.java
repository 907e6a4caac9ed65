package juricast.core.merits;

import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.Copies;

/** @param all every merit of the lesson, in order, those taken back among them */
public record MeritsState(List<Merit> all) {
    static final MeritsState NEW = new MeritsState(List.of());

    /** Those that count, in order. */
    public List<Merit> given() {
        return all.stream().filter(one -> !one.isBack()).toList();
    }

    /** What one pupil got that counts, in order. */
    public List<Merit> of(PersonId person) {
        return all.stream()
                .filter(one -> !one.isBack() && one.given().person().equals(person))
                .toList();
    }

    public Optional<Merit> merit(int number) {
        return all.stream().filter(one -> one.number() == number).findFirst();
    }

    /** One step of the fold. @param number the number of the event */
    record Fold(MeritsState was, int number) implements MeritsEvent.Cases<MeritsState> {
        @Override
        public MeritsState given(MeritsEvent.Given event) {
            return new MeritsState(Copies.plus(was.all, new Merit(number, event, false)));
        }

        @Override
        public MeritsState takenBack(MeritsEvent.TakenBack event) {
            return new MeritsState(was.all.stream()
                    .map(one -> one.number() == event.merit() ? new Merit(one.number(), one.given(), true) : one)
                    .toList());
        }
    }
}
