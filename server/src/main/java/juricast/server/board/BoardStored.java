package juricast.server.board;

import java.util.List;
import juricast.core.board.BoardEvent;
import juricast.core.board.BoardPart;
import juricast.core.live.Part;
import juricast.server.record.StoredKind;
import juricast.server.record.StoredPart;
import org.springframework.stereotype.Component;

/** Under which names events of this part stand on the disk, for ever. */
@Component
class BoardStored implements StoredPart {
    private static final List<StoredKind> KINDS = List.of(
            StoredKind.named("drawn", "Drawn", BoardEvent.Drawn.class),
            StoredKind.named("wiped", "Wiped", BoardEvent.Wiped.class));

    @Override
    public Part<?, ?, ?> part() {
        return BoardPart.BOARD;
    }

    @Override
    public List<StoredKind> kinds() {
        return KINDS;
    }
}
