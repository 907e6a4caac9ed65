package juricast.server.ending;

import java.util.List;
import juricast.core.ending.EndingEvent;
import juricast.core.ending.EndingPart;
import juricast.core.live.Part;
import juricast.server.record.StoredKind;
import juricast.server.record.StoredPart;
import org.springframework.stereotype.Component;

/** Under which names events of this part stand on the disk, for ever. */
@Component
class EndingStored implements StoredPart {
    private static final List<StoredKind> KINDS =
            List.of(StoredKind.named("closed", "Closed", EndingEvent.Closed.class));

    @Override
    public Part<?, ?, ?> part() {
        return EndingPart.ENDING;
    }

    @Override
    public List<StoredKind> kinds() {
        return KINDS;
    }
}
