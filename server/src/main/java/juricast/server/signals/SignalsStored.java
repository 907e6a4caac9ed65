package juricast.server.signals;

import java.util.List;
import juricast.core.live.Part;
import juricast.core.signals.SignalsEvent;
import juricast.core.signals.SignalsPart;
import juricast.server.record.StoredKind;
import juricast.server.record.StoredPart;
import org.springframework.stereotype.Component;

/** Under which names events of this part stand on the disk, for ever. */
@Component
class SignalsStored implements StoredPart {
    private static final List<StoredKind> KINDS = List.of(
            StoredKind.named("hand-raised", "HandRaised", SignalsEvent.HandRaised.class),
            StoredKind.named("hand-lowered", "HandLowered", SignalsEvent.HandLowered.class),
            StoredKind.named("sign-shown", "SignShown", SignalsEvent.SignShown.class),
            StoredKind.named("signs-cleared", "SignsCleared", SignalsEvent.SignsCleared.class),
            StoredKind.named("focused", "Focused", SignalsEvent.Focused.class),
            StoredKind.named("focus-asked", "FocusAsked", SignalsEvent.FocusAsked.class),
            StoredKind.named("focus-declined", "FocusDeclined", SignalsEvent.FocusDeclined.class));

    @Override
    public Part<?, ?, ?> part() {
        return SignalsPart.SIGNALS;
    }

    @Override
    public List<StoredKind> kinds() {
        return KINDS;
    }
}
