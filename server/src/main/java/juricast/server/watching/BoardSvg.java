package juricast.server.watching;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import juricast.core.watching.Playback;

/** A page of the board as a drawing that any browser shows (SVG 1.1): all that was ever on it, oldest first. */
final class BoardSvg {
    private BoardSvg() {}

    static String of(Playback.Page page) {
        String lines = page.strokes().stream()
                .map(stroke -> "<polyline points=\"%s\"/>".formatted(points(stroke.line())))
                .collect(Collectors.joining("\n"));
        return """
                <svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1600 1000" role="img" aria-label="A page of the board">
                <rect width="1600" height="1000" fill="#fff"/>
                <g fill="none" stroke="#1f2a37" stroke-width="4" stroke-linecap="round" stroke-linejoin="round">
                %s
                </g>
                </svg>
                """
                .formatted(lines);
    }

    /** The board is 1000 wide and high in its own measure, and shown as wide as a screen. */
    private static String points(List<Integer> line) {
        return IntStream.range(0, line.size() / 2)
                .mapToObj(i -> "%d,%d".formatted(line.get(2 * i) * 8 / 5, line.get(2 * i + 1)))
                .collect(Collectors.joining(" "));
    }
}
