package juricast.server.notices;

import java.util.List;
import juricast.core.live.Part;
import juricast.core.notices.NoticesEvent;
import juricast.core.notices.NoticesPart;
import juricast.server.record.StoredKind;
import juricast.server.record.StoredPart;
import org.springframework.stereotype.Component;

/** Under which names events of this part stand on the disk, for ever. */
@Component
class NoticesStored implements StoredPart {
    @Override
    public Part<?, ?, ?> part() {
        return NoticesPart.NOTICES;
    }

    @Override
    public List<StoredKind> kinds() {
        return List.of(
                StoredKind.named("welcomed", NoticesEvent.Welcomed.class),
                StoredKind.named("notice-put-up", NoticesEvent.PutUp.class),
                StoredKind.named("notice-taken-down", NoticesEvent.TakenDown.class));
    }
}
