package juricast.core.drawing;

import java.util.List;

/**
 * One thing that is drawn, wherever.
 *
 * @param width from 1, thin, to 3, thick
 * @param points x and y in turn, each from 0 to 1000 of the sheet's width and height
 * @param text of a text; empty for the others
 */
public record Drawing(Shape shape, Ink ink, int width, List<Integer> points, String text) {
    /** Numbers of the points of one mark: x and y in turn. */
    public static final int MOST = 600;
    /** Characters of a text on a sheet. */
    public static final int TEXT = 200;

    /** What it is. All but a pen's line have two corners, or for a text one. */
    public enum Shape {
        PEN,
        LINE,
        ARROW,
        BOX,
        RING,
        TEXT
    }

    /** Told apart by colour and by how the line is made: whole, dashed, dotted, dash and dot. */
    public enum Ink {
        INK,
        GREEN,
        RED,
        OCHRE
    }

    public Drawing {
        points = List.copyOf(points);
    }

    /** A line of the pen as it was before there was anything else. */
    public static Drawing pen(List<Integer> points) {
        return new Drawing(Shape.PEN, Ink.INK, 2, points, "");
    }

    /** Whether it can be drawn at all: on the sheet, of the right number of points, not too long. */
    public boolean isPossible() {
        boolean many =
                switch (shape) {
                    case PEN -> points.size() >= 4 && points.size() <= MOST && points.size() % 2 == 0;
                    case LINE, ARROW, BOX, RING -> points.size() == 4;
                    case TEXT -> points.size() == 2;
                };
        return many
                && points.stream().allMatch(point -> point >= 0 && point <= 1000)
                && width >= 1
                && width <= 3
                && (shape == Shape.TEXT ? !text.isBlank() && text.length() <= TEXT : text.isEmpty());
    }
}
