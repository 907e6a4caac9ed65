package juricast.server.material;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.groups.GroupsPart.GROUPS;
import static juricast.core.material.MaterialPart.MATERIAL;
import static juricast.core.recording.RecordingPart.RECORDING;
import static juricast.core.rights.RightsPart.RIGHTS;

import java.time.Instant;
import java.util.List;
import juricast.core.audience.SeatView;
import juricast.core.audience.SharedRights;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.LessonPlan;
import juricast.core.material.Caption;
import juricast.core.material.Material;
import juricast.server.lesson.Snapshot;

/** Material and captions on the wire. */
public final class MaterialJson {
    private static final int LATEST = 3;

    private MaterialJson() {}

    /**
     * What hangs for everybody to find, and the latest captions where they may be read.
     *
     * @param serviceListens whether the caption service writes along: it hears every voice, so everybody is told
     */
    public record MaterialShown(List<Handout> handouts, List<CaptionLine> captions, boolean serviceListens) {}

    public record Handout(int number, Instant at, String by, String title, String body) {}

    /** @param heard whether the caption service wrote what it heard, which it may have misheard */
    public record CaptionLine(int number, Instant at, String by, String text, boolean heard) {}

    public static final MaterialShown FROM_OUTSIDE = new MaterialShown(List.of(), List.of(), false);

    public static MaterialShown desk(Snapshot at) {
        return at.piece(
                "material desk",
                "all",
                List.of(MATERIAL),
                () -> shown(at, at.state().of(MATERIAL).captions()));
    }

    public static MaterialShown seat(Snapshot at, PersonId me, Role role, Instant now) {
        SharedRights rights = at.rights(now);
        return at.ruled(
                "material seat",
                rights.sameAs(me, role),
                List.of(DOOR, GROUPS, RIGHTS, RECORDING, MATERIAL),
                now,
                () -> shown(at, SeatView.captions(at.state(), rights, me, role, now)));
    }

    private static MaterialShown shown(Snapshot at, List<Caption> captions) {
        return new MaterialShown(
                handouts(at.state().of(MATERIAL).handouts(), at.plan()),
                captions.stream()
                        .skip(Math.max(0, captions.size() - LATEST))
                        .map(one -> new CaptionLine(
                                one.number(), one.at(), at.plan().nameOf(one.by()), one.text(), one.heard()))
                        .toList(),
                at.state().of(MATERIAL).serviceListens());
    }

    public static List<Handout> handouts(List<Material> all, LessonPlan plan) {
        return all.stream()
                .map(one -> new Handout(one.number(), one.at(), plan.nameOf(one.by()), one.title(), one.body()))
                .toList();
    }
}
