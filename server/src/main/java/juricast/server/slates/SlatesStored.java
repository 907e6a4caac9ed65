package juricast.server.slates;

import java.util.List;
import juricast.core.live.Part;
import juricast.core.slates.SlatesEvent;
import juricast.core.slates.SlatesPart;
import juricast.server.record.StoredKind;
import juricast.server.record.StoredPart;
import org.springframework.stereotype.Component;

/** Under which names events of this part stand on the disk, for ever. */
@Component
class SlatesStored implements StoredPart {
    @Override
    public Part<?, ?, ?> part() {
        return SlatesPart.SLATES;
    }

    @Override
    public List<StoredKind> kinds() {
        return List.of(
                StoredKind.named("slates-given-out", SlatesEvent.GivenOut.class),
                StoredKind.named("slate-drawn", SlatesEvent.Drawn.class),
                StoredKind.named("slate-undone", SlatesEvent.Undone.class),
                StoredKind.named("slate-wiped", SlatesEvent.Wiped.class),
                StoredKind.named("slate-handed-in", SlatesEvent.HandedIn.class),
                StoredKind.named("slates-collected", SlatesEvent.Collected.class),
                StoredKind.named("slates-given-back", SlatesEvent.GivenBack.class),
                StoredKind.named("slates-shown", SlatesEvent.Shown.class),
                StoredKind.named("slates-hidden", SlatesEvent.Hidden.class),
                StoredKind.named("slates-taken-away", SlatesEvent.TakenAway.class));
    }
}
