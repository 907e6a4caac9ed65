package juricast.server.drawing;

import static juricast.core.board.BoardPart.BOARD;
import static juricast.core.slates.SlatesPart.SLATES;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import juricast.core.board.BoardPage;
import juricast.core.board.BoardPages;
import juricast.core.drawing.Sheet;
import juricast.core.identity.PersonId;
import juricast.core.live.PlaceId;
import juricast.server.lesson.Snapshot;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * What was drawn since a browser was last told, for those who may see it: of the board the page that is shown where somebody is, of
 * slates one's own; adults are told all. Sheets themselves are fetched once.
 */
@Component
public class Strokes {
    private final JsonMapper json;

    Strokes(JsonMapper json) {
        this.json = json;
    }

    /** By which name a page is known in the browser. */
    public static String page(PlaceId place, int page) {
        return "board " + place.value() + " " + page;
    }

    /** By which name a slate is known in the browser. */
    public static String slate(PersonId person) {
        return "slate " + person.value();
    }

    /** For adults, as a JSON array; empty where nothing was drawn. */
    public String desk(Snapshot at, int after) {
        return at.shared()
                .once(
                        at,
                        "strokes after " + after,
                        () -> encoded(sorted(Stream.concat(
                                at.state().of(BOARD).places().entrySet().stream()
                                        .flatMap(one -> board(
                                                at,
                                                one.getKey(),
                                                one.getValue(),
                                                one.getValue().pages(),
                                                after)),
                                at.state().of(SLATES).now().stream()
                                        .flatMap(round -> round.slates().entrySet().stream())
                                        .flatMap(one -> changes(
                                                at,
                                                slate(one.getKey()),
                                                one.getValue().sheet(),
                                                after))))));
    }

    private record OfPlace(PlaceId place, int after) {}

    /** For one who sits in a place. What is drawn on a board is encoded once for all there. */
    public String seat(Snapshot at, PersonId me, int after) {
        PlaceId place = at.state().where().placeOf(me);
        String board = at.shared().once(at, new OfPlace(place, after), () -> {
            BoardPages pages = at.state().of(BOARD).of(place);
            return encoded(sorted(board(at, place, pages, List.of(pages.shownPage()), after)));
        });
        String own = at.state()
                .of(SLATES)
                .now()
                .map(round -> round.slates().get(me))
                .map(slate ->
                        encoded(changes(at, slate(me), slate.sheet(), after).toList()))
                .orElse("");
        return board.isEmpty() || own.isEmpty()
                ? board + own
                : board.substring(0, board.length() - 1) + "," + own.substring(1);
    }

    private static Stream<DrawingJson.Stroke> board(
            Snapshot at, PlaceId place, BoardPages board, List<BoardPage> pages, int after) {
        Stream<DrawingJson.Stroke> pointed = board.pointed().stream()
                .filter(one -> one.number() > after)
                .filter(one ->
                        pages.stream().anyMatch(page -> page.id() == one.event().page()))
                .map(one -> new DrawingJson.Stroke(
                        one.number(),
                        page(place, one.event().page()),
                        List.of(),
                        List.of(),
                        new DrawingJson.PointerLine(
                                one.event().person().value(),
                                DrawingJson.nameOf(at, one.event().person()),
                                one.event().points())));
        return Stream.concat(
                pages.stream().flatMap(page -> changes(at, page(place, page.id()), page.sheet(), after)), pointed);
    }

    private static Stream<DrawingJson.Stroke> changes(Snapshot at, String name, Sheet sheet, int after) {
        return sheet.after(after).stream()
                .map(change -> new DrawingJson.Stroke(
                        change.number(),
                        name,
                        change.came().stream()
                                .map(mark -> DrawingJson.line(mark, author -> DrawingJson.nameOf(at, author)))
                                .toList(),
                        change.gone(),
                        null));
    }

    private static List<DrawingJson.Stroke> sorted(Stream<DrawingJson.Stroke> strokes) {
        var all = new ArrayList<>(strokes.toList());
        all.sort(Comparator.comparingInt(DrawingJson.Stroke::number));
        return all;
    }

    private String encoded(List<DrawingJson.Stroke> strokes) {
        return strokes.isEmpty() ? "" : json.writeValueAsString(strokes);
    }
}
