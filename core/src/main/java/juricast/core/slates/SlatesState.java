package juricast.core.slates;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import juricast.core.drawing.Mark;
import juricast.core.identity.PersonId;
import juricast.core.live.Copies;

/** @param now the slates that are out @param shown what of them the class sees */
public record SlatesState(Optional<Round> now, Optional<Shown> shown) {
    static final SlatesState NEW = new SlatesState(Optional.empty(), Optional.empty());

    /**
     * Slates that are out.
     *
     * @param number of the event by which they were given out
     * @param slates of those who began one
     * @param collected when an adult froze all of them, unless they were given back since; who had none by then cannot begin one
     */
    public record Round(
            int number, SlatesEvent.GivenOut given, Map<PersonId, Slate> slates, Optional<Instant> collected) {
        public Slate of(PersonId person) {
            Slate own = slates.get(person);
            return own == null ? collected.map(Slate.EMPTY::in).orElse(Slate.EMPTY) : own;
        }

        Round with(PersonId person, Slate slate) {
            return new Round(number, given, Copies.with(slates, person, slate), collected);
        }

        /** Only one may draw on; all others stay as they are, who had none too. */
        Round backTo(PersonId person) {
            return with(person, of(person).back());
        }

        Round all(UnaryOperator<Slate> how, Optional<Instant> frozen) {
            var next = new LinkedHashMap<>(slates);
            next.replaceAll((person, slate) -> how.apply(slate));
            return new Round(number, given, Map.copyOf(next), frozen);
        }
    }

    /** What the class sees, as it was when it was shown: what is drawn afterwards is not seen. @param named whose they are is told */
    public record Shown(SlatesEvent.GivenOut given, Map<PersonId, List<Mark>> marks, boolean named) {}

    /** One step of the fold. @param number the number of the event */
    record Fold(SlatesState was, int number) implements SlatesEvent.Cases<SlatesState> {
        @Override
        public SlatesState givenOut(SlatesEvent.GivenOut event) {
            return new SlatesState(Optional.of(new Round(number, event, Map.of(), Optional.empty())), Optional.empty());
        }

        @Override
        public SlatesState drawn(SlatesEvent.Drawn event) {
            return slate(event.person(), one -> one.with(one.sheet().drawn(number, event.person(), event.drawing())));
        }

        @Override
        public SlatesState undone(SlatesEvent.Undone event) {
            return slate(event.person(), one -> one.with(one.sheet().undone(number, event.person())));
        }

        @Override
        public SlatesState wiped(SlatesEvent.Wiped event) {
            return slate(
                    event.person(),
                    one -> one.with(one.sheet()
                            .erased(
                                    number,
                                    event.person(),
                                    mark -> event.marks().isEmpty()
                                            || event.marks().contains(mark.number()))));
        }

        @Override
        public SlatesState handedIn(SlatesEvent.HandedIn event) {
            return slate(event.person(), one -> one.in(event.at()));
        }

        private SlatesState slate(PersonId person, UnaryOperator<Slate> how) {
            return round(one -> one.with(person, how.apply(one.of(person))));
        }

        @Override
        public SlatesState collected(SlatesEvent.Collected event) {
            return round(one -> one.all(slate -> slate.in(event.at()), Optional.of(event.at())));
        }

        @Override
        public SlatesState givenBack(SlatesEvent.GivenBack event) {
            return round(one -> event.to()
                    .map(person -> one.backTo(person))
                    .orElseGet(() -> one.all(Slate::back, Optional.empty())));
        }

        private SlatesState round(UnaryOperator<Round> how) {
            return new SlatesState(was.now.map(how), was.shown);
        }

        @Override
        public SlatesState shown(SlatesEvent.Shown event) {
            return new SlatesState(
                    was.now,
                    was.now.map(one -> new Shown(
                            one.given,
                            event.people().stream()
                                    .collect(Collectors.toMap(
                                            person -> person,
                                            person -> one.of(person).sheet().marks(),
                                            (a, b) -> a,
                                            LinkedHashMap::new)),
                            event.named())));
        }

        @Override
        public SlatesState hidden(SlatesEvent.Hidden event) {
            return new SlatesState(was.now, Optional.empty());
        }

        @Override
        public SlatesState takenAway(SlatesEvent.TakenAway event) {
            return NEW;
        }
    }
}
