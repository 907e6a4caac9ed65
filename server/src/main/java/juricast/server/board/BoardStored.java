package juricast.server.board;

import java.util.List;
import juricast.core.board.BoardEvent;
import juricast.core.board.BoardPart;
import juricast.core.live.Part;
import juricast.server.record.StoredKind;
import juricast.server.record.StoredPart;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.IntNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.NullNode;

/** Under which names events of this part stand on the disk, for ever. */
@Component
class BoardStored implements StoredPart {
    private static final List<StoredKind> KINDS = List.of(
            StoredKind.named("drawn", "Drawn", BoardEvent.Drawn.class)
                    // From before there were groups.
                    .missing("", "in", NullNode.getInstance())
                    // From before there was anything but lines of a pen, on one page.
                    .turned("line", "drawing", BoardStored::pen)
                    .missing("", "page", IntNode.valueOf(0)),
            StoredKind.named("board-erased", BoardEvent.Erased.class),
            StoredKind.named("board-undone", BoardEvent.Undone.class),
            StoredKind.named("wiped", "Wiped", BoardEvent.Wiped.class)
                    // From before there were groups.
                    .missing("", "in", NullNode.getInstance())
                    .missing("", "page", NullNode.getInstance()),
            StoredKind.named("board-pointed", BoardEvent.Pointed.class),
            StoredKind.named("board-pages-added", BoardEvent.PagesAdded.class),
            StoredKind.named("board-page-turned", BoardEvent.PageTurned.class),
            StoredKind.named("board-page-removed", BoardEvent.PageRemoved.class),
            StoredKind.named("board-brought", BoardEvent.Brought.class));

    private static JsonNode pen(JsonNode line) {
        return JsonNodeFactory.instance
                .objectNode()
                .put("shape", "PEN")
                .put("ink", "INK")
                .put("width", 2)
                .put("text", "")
                .set("points", line);
    }

    @Override
    public Part<?, ?, ?> part() {
        return BoardPart.BOARD;
    }

    @Override
    public List<StoredKind> kinds() {
        return KINDS;
    }
}
