package juricast.server.watching;

import java.util.Optional;
import juricast.core.watching.Playback;
import juricast.server.drawing.SheetSvg;

/** A page of the board in a copy: all that was ever on it, oldest first. */
final class BoardSvg {
    private BoardSvg() {}

    static String of(Playback.Page page) {
        return SheetSvg.of(
                page.strokes().stream().map(Playback.Stroke::drawing).distinct().toList(),
                "A page of the board",
                Optional.empty());
    }
}
