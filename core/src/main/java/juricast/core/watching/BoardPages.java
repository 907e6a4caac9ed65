package juricast.core.watching;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import juricast.core.board.BoardEvent;
import juricast.core.identity.PersonId;

/** The board of the class as it was recorded: a new page begins where everything was wiped. */
final class BoardPages {
    private final Timeline line;
    private final List<List<Mark>> pages = new ArrayList<>();
    private List<Mark> page = new ArrayList<>();

    private record Mark(PersonId by, Playback.Stroke stroke) {}

    BoardPages(Timeline line) {
        this.line = line;
    }

    void drawn(BoardEvent.Drawn event) {
        line.at(event.at())
                .ifPresent(place ->
                        page.add(new Mark(event.person(), new Playback.Stroke(place, Optional.empty(), event.line()))));
    }

    /** What was wiped while nothing was recorded is gone all the same. */
    void wiped(BoardEvent.Wiped event) {
        Duration place = line.from(event.at());
        page.replaceAll(mark -> event.of().map(mark.by::equals).orElse(true) ? gone(mark, place) : mark);
        boolean isEmpty = page.stream().allMatch(mark -> mark.stroke.until().isPresent());
        if (isEmpty && !page.isEmpty()) {
            pages.add(page);
            page = new ArrayList<>();
        }
    }

    private static Mark gone(Mark mark, Duration place) {
        return mark.stroke.until().isPresent()
                ? mark
                : new Mark(mark.by, new Playback.Stroke(mark.stroke.from(), Optional.of(place), mark.stroke.line()));
    }

    List<Playback.Page> pages() {
        var all = new ArrayList<>(pages);
        if (!page.isEmpty()) {
            all.add(page);
        }
        return all.stream()
                .map(marks -> new Playback.Page(marks.stream().map(Mark::stroke).toList()))
                .toList();
    }
}
