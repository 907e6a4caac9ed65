package juricast.server.ending;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.ending.EndingPart.ENDING;

import java.util.List;
import juricast.core.ending.ClosingStep;
import juricast.server.lesson.Snapshot;
import org.jspecify.annotations.Nullable;

/** How a lesson ends, on the wire. */
public final class EndingJson {
    private EndingJson() {}

    /**
     * @param lastWord the pupil who was kept for a last word
     * @param leaving for whom it is over and who has not gone yet
     * @param closing what was done by itself
     */
    public record DeskEnding(@Nullable String lastWord, List<String> leaving, List<ClosingLine> closing) {}

    public record ClosingLine(ClosingStep step, int count) {}

    public static DeskEnding desk(Snapshot at) {
        return at.piece(
                "ending desk",
                "all",
                List.of(DOOR, ENDING),
                () -> new DeskEnding(
                        at.state()
                                .of(DOOR)
                                .lastWord()
                                .map(one -> at.plan().nameOf(one.person()))
                                .orElse(null),
                        at.state().of(DOOR).leaving().stream()
                                .flatMap(visit -> visit.person().stream())
                                .map(at.plan()::nameOf)
                                .distinct()
                                .toList(),
                        at.state().of(ENDING).closing().stream()
                                .map(one -> new ClosingLine(one.step(), one.count()))
                                .toList()));
    }
}
