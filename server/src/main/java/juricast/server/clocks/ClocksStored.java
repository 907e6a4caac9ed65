package juricast.server.clocks;

import java.util.List;
import juricast.core.clocks.ClocksEvent;
import juricast.core.clocks.ClocksPart;
import juricast.core.live.Part;
import juricast.server.record.StoredKind;
import juricast.server.record.StoredPart;
import org.springframework.stereotype.Component;

/** Under which names events of this part stand on the disk, for ever. */
@Component
class ClocksStored implements StoredPart {
    @Override
    public Part<?, ?, ?> part() {
        return ClocksPart.CLOCKS;
    }

    @Override
    public List<StoredKind> kinds() {
        return List.of(
                StoredKind.named("clock-started", ClocksEvent.Started.class),
                StoredKind.named("clock-paused", ClocksEvent.Paused.class),
                StoredKind.named("clock-went-on", ClocksEvent.WentOn.class),
                StoredKind.named("clock-lengthened", ClocksEvent.Lengthened.class),
                StoredKind.named("clock-ran-out", ClocksEvent.RanOut.class),
                StoredKind.named("clock-ended", ClocksEvent.Ended.class),
                StoredKind.named("first-called", ClocksEvent.Called.class),
                StoredKind.named("first-pressed", ClocksEvent.Pressed.class),
                StoredKind.named("first-passed-on", ClocksEvent.PassedOn.class),
                StoredKind.named("first-ended", ClocksEvent.CallEnded.class));
    }
}
