package juricast.server.groups;

import java.util.List;
import juricast.core.groups.GroupsEvent;
import juricast.core.groups.GroupsPart;
import juricast.core.live.Part;
import juricast.server.record.StoredKind;
import juricast.server.record.StoredPart;
import org.springframework.stereotype.Component;

/** Under which names events of this part stand on the disk, for ever. */
@Component
class GroupsStored implements StoredPart {
    private static final List<StoredKind> KINDS = List.of(
            StoredKind.named("groups-drawn-up", GroupsEvent.DrawnUp.class),
            StoredKind.named("groups-task-written", GroupsEvent.TaskWritten.class),
            StoredKind.named("group-moved", GroupsEvent.Moved.class),
            StoredKind.named("group-renamed", GroupsEvent.Renamed.class),
            StoredKind.named("group-locked", GroupsEvent.Locked.class),
            StoredKind.named("group-added", GroupsEvent.Added.class),
            StoredKind.named("group-emptied", GroupsEvent.Emptied.class),
            StoredKind.named("groups-sent-out", GroupsEvent.SentOut.class),
            StoredKind.named("group-went-in", GroupsEvent.WentIn.class),
            StoredKind.named("group-came-out", GroupsEvent.CameOut.class),
            StoredKind.named("groups-prolonged", GroupsEvent.Prolonged.class),
            StoredKind.named("groups-called-back", GroupsEvent.CalledBack.class),
            StoredKind.named("groups-together", GroupsEvent.Together.class),
            StoredKind.named("group-looked-in", GroupsEvent.LookedIn.class),
            StoredKind.named("group-looked-away", GroupsEvent.LookedAway.class),
            StoredKind.named("group-help-called", GroupsEvent.HelpCalled.class),
            StoredKind.named("group-help-settled", GroupsEvent.HelpSettled.class),
            StoredKind.named("group-went-quiet", GroupsEvent.WentQuiet.class),
            StoredKind.named("group-seen-again", GroupsEvent.SeenAgain.class));

    @Override
    public Part<?, ?, ?> part() {
        return GroupsPart.GROUPS;
    }

    @Override
    public List<StoredKind> kinds() {
        return KINDS;
    }
}
