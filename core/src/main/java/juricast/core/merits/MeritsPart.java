package juricast.core.merits;

import static juricast.core.live.Refusal.Common.NOT_PRESENT;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.limits.Limits;
import juricast.core.live.Decision;
import juricast.core.live.LessonEvent;
import juricast.core.live.Part;
import juricast.core.live.Refusal;
import juricast.core.live.Room;
import juricast.core.rules.Catalogue;

/** Merits. */
public final class MeritsPart implements Part<MeritsState, MeritsOrder, MeritsEvent> {
    public static final MeritsPart MERITS = new MeritsPart();

    /** How long after it was given a merit may be taken back. */
    public static final Duration TAKEN_BACK_WITHIN = Duration.ofMinutes(10);
    /** Merits of one lesson. */
    public static final int MOST = 1000;

    private MeritsPart() {}

    @Override
    public String name() {
        return "merits";
    }

    @Override
    public Class<MeritsOrder> orders() {
        return MeritsOrder.class;
    }

    @Override
    public Class<MeritsEvent> events() {
        return MeritsEvent.class;
    }

    @Override
    public MeritsState begin() {
        return MeritsState.NEW;
    }

    @Override
    public MeritsState after(MeritsState was, MeritsEvent event, int number) {
        return event.match(new MeritsState.Fold(was, number));
    }

    @Override
    public Decision decide(MeritsState is, MeritsOrder order, Room room) {
        return order.match(new Rules(is, room));
    }

    private record Rules(MeritsState is, Room room) implements MeritsOrder.Cases<Decision> {
        @Override
        public Decision give(MeritsOrder.Give order) {
            String reason = order.reason().strip();
            List<PersonId> people = order.people().stream().distinct().toList();
            return room.who()
                    .adult(order.by(), Catalogue.GIVE_MERITS)
                    .or(() -> Refusal.ofText(reason, Limits.REASON))
                    .or(() -> people.stream()
                            .filter(person -> !room.there().isPresent(person)
                                    || room.who().roleOf(person).isAdultInCharge())
                            .findFirst()
                            .map(person -> Refusal.of(NOT_PRESENT, person)))
                    .or(() -> is.all().size() + people.size() > MOST
                            ? Optional.of(Refusal.of(Refusal.Common.TOO_MUCH))
                            : Optional.empty())
                    .orElseGet(() -> new Decision.Done(people.stream()
                            .<LessonEvent>map(person -> new MeritsEvent.Given(person, reason, order.by(), room.now()))
                            .toList()));
        }

        @Override
        public Decision takeBack(MeritsOrder.TakeBack order) {
            return room.who().adult(order.by(), Catalogue.GIVE_MERITS).orElseGet(() -> is.merit(order.merit())
                    .map(merit -> takeBack(merit, order.by()))
                    .orElseGet(() -> Refusal.of(MeritsRefusal.NO_SUCH_MERIT)));
        }

        private Decision takeBack(Merit merit, PersonId by) {
            if (merit.isBack()) {
                return Decision.done();
            }
            return room.now().isAfter(merit.given().at().plus(TAKEN_BACK_WITHIN))
                    ? Refusal.of(MeritsRefusal.TOO_LATE_TO_TAKE_BACK)
                    : Decision.done(new MeritsEvent.TakenBack(merit.number(), by, room.now()));
        }
    }
}
