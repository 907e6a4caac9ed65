package juricast.core.slates;

import static juricast.core.live.Decision.done;
import static juricast.core.rules.Catalogue.SHOW_RESULTS;
import static juricast.core.rules.Catalogue.START_ACTIVITY;

import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import juricast.core.door.Acting;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.limits.Limits;
import juricast.core.live.Decision;
import juricast.core.live.Part;
import juricast.core.live.Refusal;
import juricast.core.live.Room;
import juricast.core.rules.Catalogue;

/** Everybody's own slate (need J4). */
public final class SlatesPart implements Part<SlatesState, SlatesOrder, SlatesEvent> {
    public static final SlatesPart SLATES = new SlatesPart();
    /** Marks on one slate. */
    public static final int MARKS = 400;
    /** Slates that are shown to the class at once. */
    public static final int SHOWN = 6;

    private SlatesPart() {}

    @Override
    public String name() {
        return "slates";
    }

    @Override
    public Class<SlatesOrder> orders() {
        return SlatesOrder.class;
    }

    @Override
    public Class<SlatesEvent> events() {
        return SlatesEvent.class;
    }

    @Override
    public SlatesState begin() {
        return SlatesState.NEW;
    }

    @Override
    public SlatesState after(SlatesState was, SlatesEvent event, int number) {
        return event.match(new SlatesState.Fold(was, number));
    }

    @Override
    public Decision decide(SlatesState is, SlatesOrder order, Room room) {
        return order.match(new Rules(is, room));
    }

    private record Rules(SlatesState is, Room room) implements SlatesOrder.Cases<Decision> {
        @Override
        public Decision giveOut(SlatesOrder.GiveOut order) {
            String task = order.task().strip();
            return room.who()
                    .adult(order.by(), START_ACTIVITY)
                    .or(() -> task.length() > Limits.REASON
                            ? Optional.of(Refusal.of(Refusal.Common.TEXT_TOO_LONG))
                            : Optional.empty())
                    .orElseGet(() -> done(new SlatesEvent.GivenOut(task, order.ground(), order.by(), room.now())));
        }

        @Override
        public Decision draw(SlatesOrder.Draw order) {
            return own(order.visit(), (person, slate) -> {
                if (!order.drawing().isPossible()) {
                    return Refusal.of(SlatesRefusal.NOT_A_MARK);
                }
                return slate.sheet().marks().size() >= MARKS
                        ? Refusal.of(SlatesRefusal.FULL)
                        : done(new SlatesEvent.Drawn(person, order.drawing(), room.now()));
            });
        }

        @Override
        public Decision undo(SlatesOrder.Undo order) {
            return own(
                    order.visit(),
                    (person, slate) -> slate.sheet().undoes(person, 0).isEmpty()
                            ? done()
                            : done(new SlatesEvent.Undone(person, room.now())));
        }

        @Override
        public Decision wipe(SlatesOrder.Wipe order) {
            return own(
                    order.visit(),
                    (person, slate) -> slate.sheet().marks().isEmpty()
                            ? done()
                            : done(new SlatesEvent.Wiped(person, List.copyOf(order.marks()), room.now())));
        }

        @Override
        public Decision handIn(SlatesOrder.HandIn order) {
            return own(order.visit(), (person, slate) -> done(new SlatesEvent.HandedIn(person, room.now())));
        }

        /** For somebody who draws on the own slate. */
        private Decision own(VisitId visit, BiFunction<PersonId, Slate, Decision> then) {
            return Acting.present(room, visit, person -> Optional.of(Refusal.of(SlatesRefusal.NO_SLATES))
                    .filter(none -> !Catalogue.ANSWER.speaksOf(room.who().roleOf(person)))
                    .or(() -> room.who().right(person, Catalogue.ANSWER))
                    .orElseGet(() -> round(one -> one.of(person).isFrozen()
                            ? Refusal.of(SlatesRefusal.FROZEN)
                            : then.apply(person, one.of(person)))));
        }

        @Override
        public Decision collect(SlatesOrder.Collect order) {
            return adult(
                    order.by(),
                    one -> one.collected().isPresent()
                            ? done()
                            : done(new SlatesEvent.Collected(order.by(), room.now())));
        }

        @Override
        public Decision giveBack(SlatesOrder.GiveBack order) {
            return adult(order.by(), one -> done(new SlatesEvent.GivenBack(order.to(), order.by(), room.now())));
        }

        @Override
        public Decision show(SlatesOrder.Show order) {
            return room.who()
                    .adult(order.by(), SHOW_RESULTS)
                    .orElseGet(() -> round(one -> {
                        List<PersonId> people = order.people().stream()
                                .distinct()
                                .filter(person ->
                                        !one.of(person).sheet().marks().isEmpty())
                                .toList();
                        if (people.isEmpty()) {
                            return Refusal.of(SlatesRefusal.NOBODY_HAS_ONE);
                        }
                        return people.size() > SHOWN
                                ? Refusal.of(Refusal.Common.TOO_MUCH)
                                : done(new SlatesEvent.Shown(people, order.named(), order.by(), room.now()));
                    }));
        }

        @Override
        public Decision hide(SlatesOrder.Hide order) {
            return adult(
                    order.by(),
                    one -> is.shown().isEmpty() ? done() : done(new SlatesEvent.Hidden(order.by(), room.now())));
        }

        @Override
        public Decision takeAway(SlatesOrder.TakeAway order) {
            return adult(order.by(), one -> done(new SlatesEvent.TakenAway(order.by(), room.now())));
        }

        private Decision adult(PersonId by, Function<SlatesState.Round, Decision> then) {
            return room.who().adult(by, START_ACTIVITY).orElseGet(() -> round(then));
        }

        private Decision round(Function<SlatesState.Round, Decision> then) {
            return is.now().map(then).orElseGet(() -> Refusal.of(SlatesRefusal.NO_SLATES));
        }
    }
}
