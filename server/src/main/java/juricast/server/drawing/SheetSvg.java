package juricast.server.drawing;

import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import juricast.core.drawing.Drawing;

/** A sheet as a drawing that any browser shows (SVG 1.1), 1600 wide and 1000 high. */
public final class SheetSvg {
    public static final int WIDTH = 1600;
    public static final int HEIGHT = 1000;

    private SheetSvg() {}

    /** A picture that lies under it. */
    public record Picture(String type, byte[] bytes, int width, int height) {}

    public static String of(List<Drawing> marks, String label, Optional<Picture> under) {
        return """
                <svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 %d %d" role="img" aria-label="%s">
                <rect width="%d" height="%d" fill="#fff"/>
                %s<g fill="none" stroke-linecap="round" stroke-linejoin="round">
                %s
                </g>
                </svg>
                """
                .formatted(
                        WIDTH,
                        HEIGHT,
                        escaped(label),
                        WIDTH,
                        HEIGHT,
                        under.map(SheetSvg::picture).orElse(""),
                        marks.stream().map(SheetSvg::mark).collect(Collectors.joining("\n")));
    }

    private static String picture(Picture one) {
        return "<image width=\"%d\" height=\"%d\" preserveAspectRatio=\"xMidYMid meet\" href=\"data:%s;base64,%s\"/>\n"
                .formatted(WIDTH, HEIGHT, one.type, Base64.getEncoder().encodeToString(one.bytes));
    }

    private static String mark(Drawing one) {
        List<Integer> at = one.points();
        String pen = "stroke=\"%s\" stroke-width=\"%d\"%s"
                .formatted(
                        colour(one.ink()),
                        2 + 3 * one.width(),
                        dashes(one.ink()).isEmpty() ? "" : " stroke-dasharray=\"" + dashes(one.ink()) + "\"");
        return switch (one.shape()) {
            case PEN -> "<polyline points=\"%s\" %s/>".formatted(points(at), pen);
            case LINE -> "<line x1=\"%d\" y1=\"%d\" x2=\"%d\" y2=\"%d\" %s/>"
                    .formatted(x(at.get(0)), at.get(1), x(at.get(2)), at.get(3), pen);
            case ARROW -> "<path d=\"%s\" %s/>".formatted(arrow(at), pen);
            case BOX -> "<rect x=\"%d\" y=\"%d\" width=\"%d\" height=\"%d\" %s/>"
                    .formatted(
                            x(Math.min(at.get(0), at.get(2))),
                            Math.min(at.get(1), at.get(3)),
                            x(Math.abs(at.get(2) - at.get(0))),
                            Math.abs(at.get(3) - at.get(1)),
                            pen);
            case RING -> "<ellipse cx=\"%d\" cy=\"%d\" rx=\"%d\" ry=\"%d\" %s/>"
                    .formatted(
                            x(at.get(0) + at.get(2)) / 2,
                            (at.get(1) + at.get(3)) / 2,
                            x(Math.abs(at.get(2) - at.get(0))) / 2,
                            Math.abs(at.get(3) - at.get(1)) / 2,
                            pen);
            case TEXT -> "<text x=\"%d\" y=\"%d\" font-size=\"%d\" font-family=\"sans-serif\" fill=\"%s\">%s</text>"
                    .formatted(x(at.get(0)), at.get(1), 20 + 14 * one.width(), colour(one.ink()), escaped(one.text()));
        };
    }

    /** The head of an arrow is two short lines at 27 degrees to it. */
    private static String arrow(List<Integer> at) {
        double fromX = x(at.get(0));
        double fromY = at.get(1);
        double toX = x(at.get(2));
        double toY = at.get(3);
        double turn = Math.atan2(toY - fromY, toX - fromX);
        double length = Math.min(34, Math.hypot(toX - fromX, toY - fromY));
        return String.format(
                Locale.ROOT,
                "M%.0f %.0fL%.0f %.0fM%.0f %.0fL%.0f %.0fL%.0f %.0f",
                fromX,
                fromY,
                toX,
                toY,
                toX - length * Math.cos(turn - 0.47),
                toY - length * Math.sin(turn - 0.47),
                toX,
                toY,
                toX - length * Math.cos(turn + 0.47),
                toY - length * Math.sin(turn + 0.47));
    }

    private static int x(int of) {
        return of * WIDTH / 1000;
    }

    private static String points(List<Integer> line) {
        return IntStream.range(0, line.size() / 2)
                .mapToObj(i -> "%d,%d".formatted(x(line.get(2 * i)), line.get(2 * i + 1)))
                .collect(Collectors.joining(" "));
    }

    private static String colour(Drawing.Ink ink) {
        return switch (ink) {
            case INK -> "#18211c";
            case GREEN -> "#1d6b4f";
            case RED -> "#a3273c";
            case OCHRE -> "#8a5a00";
        };
    }

    private static String dashes(Drawing.Ink ink) {
        return switch (ink) {
            case INK -> "";
            case GREEN -> "26 14";
            case RED -> "3 14";
            case OCHRE -> "26 12 3 12";
        };
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replace("\"", "&quot;");
    }
}
