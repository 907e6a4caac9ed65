package juricast.server.record;

import java.util.List;
import juricast.core.live.Part;

/** Under which names one part keeps its events on the disk. */
public interface StoredPart {
    Part<?, ?, ?> part();

    /** One for each of its events. */
    List<StoredKind> kinds();
}
