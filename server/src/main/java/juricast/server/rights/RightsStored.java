package juricast.server.rights;

import java.util.List;
import juricast.core.live.Part;
import juricast.core.rights.RightsEvent;
import juricast.core.rights.RightsPart;
import juricast.server.record.StoredKind;
import juricast.server.record.StoredPart;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.NullNode;

/** Under which names events of this part stand on the disk, for ever. */
@Component
class RightsStored implements StoredPart {
    private static final List<StoredKind> KINDS = List.of(
            StoredKind.named("turned-on", "TurnedOn", RightsEvent.TurnedOn.class),
            StoredKind.named("turned-off", "TurnedOff", RightsEvent.TurnedOff.class),
            StoredKind.named("live-set", "LiveSet", RightsEvent.LiveSet.class)
                    .missing("", "until", NullNode.getInstance()),
            StoredKind.named("live-ended", RightsEvent.LiveEnded.class),
            StoredKind.named("pass-given", "PassGiven", RightsEvent.PassGiven.class),
            StoredKind.named("curb-given", "CurbGiven", RightsEvent.CurbGiven.class),
            StoredKind.named("loan-ended", "LoanEnded", RightsEvent.LoanEnded.class),
            StoredKind.named("stance-switched", "StanceSwitched", RightsEvent.StanceSwitched.class),
            StoredKind.named("lightened", "Lightened", RightsEvent.Lightened.class));

    @Override
    public Part<?, ?, ?> part() {
        return RightsPart.RIGHTS;
    }

    @Override
    public List<StoredKind> kinds() {
        return KINDS;
    }
}
