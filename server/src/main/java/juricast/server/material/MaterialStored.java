package juricast.server.material;

import java.util.List;
import juricast.core.live.Part;
import juricast.core.material.MaterialEvent;
import juricast.core.material.MaterialPart;
import juricast.server.record.StoredKind;
import juricast.server.record.StoredPart;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.BooleanNode;

/** Under which names events of this part stand on the disk, for ever. */
@Component
class MaterialStored implements StoredPart {
    private static final List<StoredKind> KINDS = List.of(
            StoredKind.named("handed-out", "HandedOut", MaterialEvent.HandedOut.class),
            StoredKind.named("taken-back", "TakenBack", MaterialEvent.TakenBack.class),
            StoredKind.named("captioned", "Captioned", MaterialEvent.Captioned.class)
                    .missing("", "heard", BooleanNode.FALSE),
            StoredKind.named("caption-service", MaterialEvent.ServiceListens.class));

    @Override
    public Part<?, ?, ?> part() {
        return MaterialPart.MATERIAL;
    }

    @Override
    public List<StoredKind> kinds() {
        return KINDS;
    }
}
