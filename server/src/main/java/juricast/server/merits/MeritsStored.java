package juricast.server.merits;

import java.util.List;
import juricast.core.live.Part;
import juricast.core.merits.MeritsEvent;
import juricast.core.merits.MeritsPart;
import juricast.server.record.StoredKind;
import juricast.server.record.StoredPart;
import org.springframework.stereotype.Component;

/** Under which names events of this part stand on the disk, for ever. */
@Component
class MeritsStored implements StoredPart {
    @Override
    public Part<?, ?, ?> part() {
        return MeritsPart.MERITS;
    }

    @Override
    public List<StoredKind> kinds() {
        return List.of(
                StoredKind.named("merit-given", MeritsEvent.Given.class),
                StoredKind.named("merit-taken-back", MeritsEvent.TakenBack.class));
    }
}
