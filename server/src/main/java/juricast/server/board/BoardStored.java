package juricast.server.board;

import java.util.List;
import juricast.core.board.BoardEvent;
import juricast.core.board.BoardPart;
import juricast.core.live.Part;
import juricast.server.record.StoredKind;
import juricast.server.record.StoredPart;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.NullNode;

/** Under which names events of this part stand on the disk, for ever. */
@Component
class BoardStored implements StoredPart {
    private static final List<StoredKind> KINDS = List.of(
            StoredKind.named("drawn", "Drawn", BoardEvent.Drawn.class)
                    // From before there were groups.
                    .missing("", "in", NullNode.getInstance()),
            StoredKind.named("wiped", "Wiped", BoardEvent.Wiped.class)
                    // From before there were groups.
                    .missing("", "in", NullNode.getInstance()));

    @Override
    public Part<?, ?, ?> part() {
        return BoardPart.BOARD;
    }

    @Override
    public List<StoredKind> kinds() {
        return KINDS;
    }
}
