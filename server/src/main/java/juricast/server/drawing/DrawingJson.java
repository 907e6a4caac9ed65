package juricast.server.drawing;

import java.util.List;
import java.util.function.Function;
import juricast.core.board.BoardPart;
import juricast.core.drawing.Drawing;
import juricast.core.drawing.Mark;
import juricast.core.identity.PersonId;
import juricast.server.lesson.Snapshot;
import org.jspecify.annotations.Nullable;

/** Marks on the wire. */
public final class DrawingJson {
    private DrawingJson() {}

    /** Something drawn. @param number below zero for one that came with an earlier board @param points x and y in turn, 0 to 1000 */
    public record MarkLine(
            int number,
            String author,
            String authorName,
            Drawing.Shape shape,
            Drawing.Ink ink,
            int width,
            List<Integer> points,
            String text) {}

    /**
     * What changed on a sheet by one event. It is told once, by its number.
     *
     * @param sheet which: of a page of the board its place and number, of a slate whose it is
     * @param came marks that are on it since @param gone numbers of those that are not any more
     * @param pointed the way of a pointer that was held on it, if one was
     */
    public record Stroke(
            int number, String sheet, List<MarkLine> came, List<Integer> gone, @Nullable PointerLine pointed) {}

    /** @param points x and y in turn */
    public record PointerLine(String author, String authorName, List<Integer> points) {}

    /** What somebody drew, by itself. */
    public record DrawingBody(
            Drawing.Shape shape, Drawing.Ink ink, int width, @Nullable List<Integer> points, @Nullable String text) {
        public Drawing drawing() {
            return new Drawing(shape, ink, width, DrawingJson.points(points), text == null ? "" : text.strip());
        }
    }

    public static DrawingBody body(Drawing one) {
        return new DrawingBody(one.shape(), one.ink(), one.width(), one.points(), one.text());
    }

    /** None at all where one is missing: that is no mark. */
    public static List<Integer> points(@Nullable List<Integer> given) {
        return given == null || given.contains(null) || given.size() > Drawing.MOST ? List.of() : given;
    }

    public static MarkLine line(Mark mark, Function<PersonId, String> nameOf) {
        Drawing drawn = mark.drawing();
        return new MarkLine(
                mark.number(),
                mark.author().value(),
                nameOf.apply(mark.author()),
                drawn.shape(),
                drawn.ink(),
                drawn.width(),
                drawn.points(),
                drawn.text());
    }

    /** Names of authors, those of an earlier board among them. */
    public static String nameOf(Snapshot at, PersonId author) {
        return author.equals(BoardPart.EARLIER) ? "An earlier board" : at.plan().nameOf(author);
    }
}
