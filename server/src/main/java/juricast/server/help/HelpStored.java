package juricast.server.help;

import java.util.List;
import juricast.core.help.HelpEvent;
import juricast.core.help.HelpPart;
import juricast.core.live.Part;
import juricast.server.record.StoredKind;
import juricast.server.record.StoredPart;
import org.springframework.stereotype.Component;

/** Under which names events of this part stand on the disk, for ever. */
@Component
class HelpStored implements StoredPart {
    @Override
    public Part<?, ?, ?> part() {
        return HelpPart.HELP;
    }

    @Override
    public List<StoredKind> kinds() {
        return List.of(StoredKind.named("help-hour-begun", HelpEvent.Begun.class));
    }
}
