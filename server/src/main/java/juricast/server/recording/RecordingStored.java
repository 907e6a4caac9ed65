package juricast.server.recording;

import java.util.List;
import juricast.core.live.Part;
import juricast.core.recording.RecordingEvent;
import juricast.core.recording.RecordingPart;
import juricast.server.record.StoredKind;
import juricast.server.record.StoredPart;
import org.springframework.stereotype.Component;

/** Under which names events of this part stand on the disk, for ever. */
@Component
class RecordingStored implements StoredPart {
    private static final List<StoredKind> KINDS = List.of(
            StoredKind.named("recording-required", RecordingEvent.Required.class),
            StoredKind.named("recording-announced", RecordingEvent.Announced.class),
            StoredKind.named("recording-asked", RecordingEvent.Asked.class),
            StoredKind.named("recording-begun", RecordingEvent.Begun.class),
            StoredKind.named("recording-failed", RecordingEvent.Failed.class),
            StoredKind.named("recording-paused", RecordingEvent.Paused.class),
            StoredKind.named("recording-went-on", RecordingEvent.WentOn.class),
            StoredKind.named("recording-waits", RecordingEvent.Waits.class),
            StoredKind.named("recording-waits-no-more", RecordingEvent.WaitsNoMore.class),
            StoredKind.named("recording-guarded", RecordingEvent.Guarded.class),
            StoredKind.named("recording-ended", RecordingEvent.Ended.class));

    @Override
    public Part<?, ?, ?> part() {
        return RecordingPart.RECORDING;
    }

    @Override
    public List<StoredKind> kinds() {
        return KINDS;
    }
}
