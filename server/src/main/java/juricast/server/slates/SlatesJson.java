package juricast.server.slates;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.slates.SlatesPart.SLATES;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.drawing.Mark;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.LessonPlan;
import juricast.core.rules.Catalogue;
import juricast.core.slates.Ground;
import juricast.core.slates.Slate;
import juricast.core.slates.SlatesState;
import juricast.server.drawing.DrawingJson;
import juricast.server.drawing.Strokes;
import juricast.server.lesson.Snapshot;
import org.jspecify.annotations.Nullable;

/** Slates on the wire: adults see all, a seat its own and what was shown. Marks themselves travel as strokes. */
public final class SlatesJson {
    private SlatesJson() {}

    /** @param now those that are out */
    public record DeskSlates(@Nullable SlatesOut now) {}

    /** @param shown whose the class sees @param named whether it is told whose they are */
    public record SlatesOut(
            int number,
            String task,
            Ground ground,
            boolean collected,
            List<SlateOf> people,
            List<String> shown,
            boolean named) {}

    /** @param isIn handed in or collected @param present whether they are in the lesson */
    public record SlateOf(String id, String name, boolean present, int marks, boolean isIn) {}

    /** @param out whether slates are out; nothing is asked then @param shown what everybody sees */
    public record SeatSlates(@Nullable SlateTask out, List<SlateShown> shown) {}

    public record SlateTask(int number, String task, Ground ground, boolean mayDraw) {}

    /** A slate that the class sees. @param name whose, where that is told */
    public record SlateShown(@Nullable String name, Ground ground, List<DrawingJson.MarkLine> marks) {}

    /** @param frozen whether it is handed in or collected */
    public record SeatMineSlates(String sheet, boolean frozen) {}

    /** All slates with all that is on them, to begin with. @param number up to which strokes are in it */
    public record AllSlates(int number, List<SlateSheet> slates) {}

    public record SlateSheet(String person, String sheet, List<DrawingJson.MarkLine> marks) {}

    public static DeskSlates desk(Snapshot at) {
        return at.piece("slates desk", "all", List.of(SLATES, DOOR), () -> {
            SlatesState is = at.state().of(SLATES);
            return new DeskSlates(is.now().map(round -> out(round, is, at)).orElse(null));
        });
    }

    private static SlatesOut out(SlatesState.Round round, SlatesState is, Snapshot at) {
        return new SlatesOut(
                round.number(),
                round.given().task(),
                round.given().ground(),
                round.collected().isPresent(),
                people(round, at).stream()
                        .map(member -> {
                            Slate slate = round.of(member.person());
                            return new SlateOf(
                                    member.person().value(),
                                    member.name(),
                                    at.state().there().isPresent(member.person()),
                                    slate.sheet().marks().size(),
                                    slate.isFrozen());
                        })
                        .toList(),
                is.shown().stream()
                        .flatMap(one -> one.marks().keySet().stream())
                        .map(PersonId::value)
                        .toList(),
                is.shown().map(SlatesState.Shown::named).orElse(false));
    }

    /** The class, and whoever else has one. */
    private static List<Member> people(SlatesState.Round round, Snapshot at) {
        LessonPlan plan = at.plan();
        return plan.members().stream()
                .filter(one -> Catalogue.ANSWER.speaksOf(one.role()))
                .filter(one -> one.role() != Role.VISITOR || round.slates().containsKey(one.person()))
                .toList();
    }

    public static AllSlates all(Snapshot at) {
        return new AllSlates(
                at.state().number(),
                at.state().of(SLATES).now().stream()
                        .flatMap(round -> round.slates().entrySet().stream())
                        .map(one -> sheet(at, one.getKey(), one.getValue()))
                        .toList());
    }

    private static SlateSheet sheet(Snapshot at, PersonId person, Slate slate) {
        return new SlateSheet(
                person.value(),
                Strokes.slate(person),
                slate.sheet().marks().stream()
                        .map(mark -> DrawingJson.line(mark, author -> DrawingJson.nameOf(at, author)))
                        .toList());
    }

    /** One's own alone. */
    static AllSlates own(Snapshot at, PersonId me) {
        return new AllSlates(
                at.state().number(),
                at.state().of(SLATES).now().stream()
                        .map(round -> sheet(at, me, round.of(me)))
                        .toList());
    }

    /** What all who may do the same see. */
    public static SeatSlates seat(Snapshot at, PersonId me, Role role, Instant now) {
        SlatesState is = at.state().of(SLATES);
        boolean mayDraw = at.rights(now).isOpen(me, role, Catalogue.ANSWER, now);
        return new SeatSlates(
                is.now()
                        .map(round -> new SlateTask(
                                round.number(),
                                round.given().task(),
                                round.given().ground(),
                                mayDraw))
                        .orElse(null),
                is.shown().map(shown -> shown(shown, at)).orElse(List.of()));
    }

    public static final SeatSlates FROM_OUTSIDE = new SeatSlates(null, List.of());

    /** Without the name nothing of the author travels. */
    private static List<SlateShown> shown(SlatesState.Shown shown, Snapshot at) {
        return shown.marks().entrySet().stream()
                .map(one -> new SlateShown(
                        shown.named() ? at.plan().nameOf(one.getKey()) : null,
                        shown.given().ground(),
                        one.getValue().stream().map(SlatesJson::unnamed).toList()))
                .toList();
    }

    private static DrawingJson.MarkLine unnamed(Mark mark) {
        DrawingJson.MarkLine line = DrawingJson.line(mark, author -> "");
        return new DrawingJson.MarkLine(
                line.number(), "", "", line.shape(), line.ink(), line.width(), line.points(), line.text());
    }

    public static @Nullable SeatMineSlates seatMine(Snapshot at, PersonId me) {
        Optional<SlatesState.Round> now = at.state().of(SLATES).now();
        return now.map(round ->
                        new SeatMineSlates(Strokes.slate(me), round.of(me).isFrozen()))
                .orElse(null);
    }
}
