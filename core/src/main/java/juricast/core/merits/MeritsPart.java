package juricast.core.merits;

import static juricast.core.live.Refusal.Common.NOT_PRESENT;

import juricast.core.limits.Limits;
import juricast.core.live.Decision;
import juricast.core.live.Part;
import juricast.core.live.Refusal;
import juricast.core.live.Room;
import juricast.core.rules.Catalogue;

/** Merits. */
public final class MeritsPart implements Part<MeritsState, MeritsOrder, MeritsEvent> {
    public static final MeritsPart MERITS = new MeritsPart();

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
        return event.match(was);
    }

    @Override
    public Decision decide(MeritsState is, MeritsOrder order, Room room) {
        return order.match(new Rules(room));
    }

    private record Rules(Room room) implements MeritsOrder.Cases<Decision> {
        @Override
        public Decision give(MeritsOrder.Give order) {
            String reason = order.reason().strip();
            return room.who()
                    .adult(order.by(), Catalogue.HELP_STEER)
                    .or(() -> Refusal.ofText(reason, Limits.REASON))
                    .orElseGet(() -> room.there().isPresent(order.person())
                            ? Decision.done(new MeritsEvent.Given(order.person(), reason, order.by(), room.now()))
                            : Refusal.of(NOT_PRESENT, order.person()));
        }
    }
}
