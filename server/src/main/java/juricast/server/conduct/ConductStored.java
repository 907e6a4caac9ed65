package juricast.server.conduct;

import java.util.List;
import juricast.core.conduct.ConductEvent;
import juricast.core.conduct.ConductPart;
import juricast.core.live.Part;
import juricast.server.record.StoredKind;
import juricast.server.record.StoredPart;
import org.springframework.stereotype.Component;

/** Under which names events of this part stand on the disk, for ever. */
@Component
class ConductStored implements StoredPart {
    @Override
    public Part<?, ?, ?> part() {
        return ConductPart.CONDUCT;
    }

    @Override
    public List<StoredKind> kinds() {
        return List.of(
                StoredKind.named("step-taken", ConductEvent.StepTaken.class),
                StoredKind.named("step-noted", ConductEvent.Noted.class),
                StoredKind.named("step-withdrawn", ConductEvent.Withdrawn.class),
                StoredKind.named("moment-marked", ConductEvent.MomentMarked.class),
                StoredKind.named("worry-raised", ConductEvent.WorryRaised.class),
                StoredKind.named("worry-settled", ConductEvent.WorrySettled.class));
    }
}
