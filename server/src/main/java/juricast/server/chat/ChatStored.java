package juricast.server.chat;

import java.util.List;
import juricast.core.chat.ChatEvent;
import juricast.core.chat.ChatPart;
import juricast.core.live.Part;
import juricast.server.record.StoredKind;
import juricast.server.record.StoredPart;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.NullNode;

/** Under which names events of this part stand on the disk, for ever. */
@Component
class ChatStored implements StoredPart {
    private static final List<StoredKind> KINDS = List.of(
            StoredKind.named("said", "Said", ChatEvent.Said.class)
                    // From before there were files.
                    .missing("", "file", NullNode.getInstance())
                    // From before there were groups.
                    .missing("/to", "place", NullNode.getInstance()),
            StoredKind.named("held", "Held", ChatEvent.Held.class)
                    // From before there were files.
                    .missing("", "file", NullNode.getInstance())
                    // From before there were groups.
                    .missing("/to", "place", NullNode.getInstance()),
            StoredKind.named("released", "Released", ChatEvent.Released.class));

    @Override
    public Part<?, ?, ?> part() {
        return ChatPart.CHAT;
    }

    @Override
    public List<StoredKind> kinds() {
        return KINDS;
    }
}
