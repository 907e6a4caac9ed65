package juricast.server.board;

import java.util.Optional;
import juricast.core.board.BoardPage;
import juricast.core.drawing.Mark;
import juricast.server.drawing.SheetSvg;
import org.springframework.stereotype.Component;

/** A page of a board as one drawing that needs nothing else: what is drawn, on what lies under it. */
@Component
public class PageDrawing {
    private final PagePictures pictures;

    PageDrawing(PagePictures pictures) {
        this.pictures = pictures;
    }

    /** @param title what a reader without eyes is told */
    public String svg(BoardPage page, String title) {
        Optional<SheetSvg.Picture> under = page.under().flatMap(one -> pictures.find(one.file())
                .map(found -> new SheetSvg.Picture(found.type(), found.bytes(), one.width(), one.height())));
        return SheetSvg.of(page.sheet().marks().stream().map(Mark::drawing).toList(), title, under);
    }
}
