package juricast.core.signals;

import juricast.core.live.Decision;
import juricast.core.live.Gone;
import juricast.core.live.Part;
import juricast.core.live.Room;

/** What is said without a voice: hands, signals, and one person who stands before everybody (needs F2, F8, F12). */
public final class SignalsPart implements Part<SignalsState, SignalsOrder, SignalsEvent> {
    public static final SignalsPart SIGNALS = new SignalsPart();

    private SignalsPart() {}

    @Override
    public String name() {
        return "signals";
    }

    @Override
    public Class<SignalsOrder> orders() {
        return SignalsOrder.class;
    }

    @Override
    public Class<SignalsEvent> events() {
        return SignalsEvent.class;
    }

    @Override
    public SignalsState begin() {
        return SignalsState.NEW;
    }

    @Override
    public SignalsState after(SignalsState was, SignalsEvent event, int number) {
        return event.match(was);
    }

    @Override
    public Decision decide(SignalsState is, SignalsOrder order, Room room) {
        return order.match(new SignalsRules(is, room));
    }

    @Override
    public SignalsState gone(SignalsState was, Gone gone) {
        return was.without(gone);
    }
}
