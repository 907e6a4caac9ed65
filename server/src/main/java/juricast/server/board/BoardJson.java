package juricast.server.board;

import static juricast.core.board.BoardPart.BOARD;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.board.BoardPage;
import juricast.core.board.BoardPages;
import juricast.core.board.BoardPart;
import juricast.core.board.Under;
import juricast.core.identity.PersonId;
import juricast.core.live.Authority;
import juricast.core.live.Decision;
import juricast.core.live.PlaceId;
import juricast.server.drawing.DrawingJson;
import juricast.server.drawing.Strokes;
import juricast.server.lesson.Snapshot;
import org.jspecify.annotations.Nullable;

/** The board on the wire: pages and which is shown here; marks are fetched once and then travel as strokes. */
public final class BoardJson {
    private BoardJson() {}

    /** @param shown the id of the page that is shown @param pages all of them; for a seat only that one */
    public record BoardShown(String place, int shown, List<PageLine> pages) {}

    /** @param under the picture under it, if there is one */
    public record PageLine(int id, @Nullable UnderLine under) {}

    public record UnderLine(String file, int width, int height) {}

    /**
     * A page with all that is on it.
     *
     * @param number up to which strokes are in it
     * @param me who asks
     * @param keep whether who asks may keep a copy
     */
    public record BoardSheet(
            int number, String sheet, String me, boolean keep, PageLine page, List<DrawingJson.MarkLine> marks) {}

    /** The board of one place, for adults. */
    public static BoardShown desk(Snapshot at, PlaceId in) {
        return at.piece(
                "board desk",
                in,
                List.of(BOARD),
                () -> shown(at, in, at.state().of(BOARD).of(in).pages()));
    }

    /** The page that is shown in a place: others are not told of, for an adult may prepare them. */
    public static BoardShown seat(Snapshot at, PlaceId in) {
        return at.piece(
                "board seat",
                in,
                List.of(BOARD),
                () -> shown(at, in, List.of(at.state().of(BOARD).of(in).shownPage())));
    }

    private static BoardShown shown(Snapshot at, PlaceId in, List<BoardPage> pages) {
        return new BoardShown(
                in.value(),
                at.state().of(BOARD).of(in).shown(),
                pages.stream().map(BoardJson::line).toList());
    }

    public static final BoardShown FROM_OUTSIDE = new BoardShown("", 0, List.of());

    private static PageLine line(BoardPage page) {
        return new PageLine(page.id(), page.under().map(BoardJson::line).orElse(null));
    }

    private static UnderLine line(Under one) {
        return new UnderLine(one.file(), one.width(), one.height());
    }

    /** Why this person may not keep a copy of the board, if so. */
    static Optional<Decision> keepsNone(Snapshot at, PersonId person, Instant now) {
        return BoardPart.save(new Authority(at.plan(), at.state().there(), at.live(), now), person);
    }

    static BoardSheet sheet(Snapshot at, PersonId me, PlaceId in, int id, Instant now) {
        BoardPages board = at.state().of(BOARD).of(in);
        BoardPage page = board.page(id).orElseGet(board::shownPage);
        return new BoardSheet(
                at.state().number(),
                Strokes.page(in, page.id()),
                me.value(),
                keepsNone(at, me, now).isEmpty(),
                line(page),
                page.sheet().marks().stream()
                        .map(mark -> DrawingJson.line(mark, author -> DrawingJson.nameOf(at, author)))
                        .toList());
    }
}
