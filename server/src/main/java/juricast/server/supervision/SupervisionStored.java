package juricast.server.supervision;

import java.util.List;
import juricast.core.live.Part;
import juricast.core.supervision.SupervisionEvent;
import juricast.core.supervision.SupervisionPart;
import juricast.server.record.StoredKind;
import juricast.server.record.StoredPart;
import org.springframework.stereotype.Component;

/** Under which names events of this part stand on the disk, for ever. */
@Component
class SupervisionStored implements StoredPart {
    private static final List<StoredKind> KINDS = List.of(
            StoredKind.named("stopped", "Stopped", SupervisionEvent.Stopped.class),
            StoredKind.named("stop-explained", "StopExplained", SupervisionEvent.StopExplained.class),
            StoredKind.named("resumed", "Resumed", SupervisionEvent.Resumed.class),
            StoredKind.named("went-quiet", "WentQuiet", SupervisionEvent.WentQuiet.class),
            StoredKind.named("supervised", "Supervised", SupervisionEvent.Supervised.class));

    @Override
    public Part<?, ?, ?> part() {
        return SupervisionPart.SUPERVISION;
    }

    @Override
    public List<StoredKind> kinds() {
        return KINDS;
    }
}
