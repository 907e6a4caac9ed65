package juricast.server.lines;

import java.util.List;
import juricast.core.lines.LinesEvent;
import juricast.core.lines.LinesPart;
import juricast.core.live.Part;
import juricast.server.record.StoredKind;
import juricast.server.record.StoredPart;
import org.springframework.stereotype.Component;

/** Under which names events of this part stand on the disk, for ever. */
@Component
class LinesStored implements StoredPart {
    @Override
    public Part<?, ?, ?> part() {
        return LinesPart.LINES;
    }

    @Override
    public List<StoredKind> kinds() {
        return List.of(
                StoredKind.named("line-weakened", LinesEvent.Weakened.class),
                StoredKind.named("line-recovered", LinesEvent.Recovered.class),
                StoredKind.named("weak-lines-left", LinesEvent.Left.class));
    }
}
