package juricast.core.board;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * The board of one place.
 *
 * @param pages in their order; never none
 * @param shown the id of the page that is shown
 * @param changed the number of the event that last changed anything of it; 0 if none did
 * @param pointed the latest pointers, oldest first
 */
public record BoardPages(
        List<BoardPage> pages, int shown, int changed, Optional<Instant> changedAt, List<Pointer> pointed) {
    static final BoardPages NEW = new BoardPages(List.of(BoardPage.FIRST), 0, 0, Optional.empty(), List.of());
    /** Pointers that are remembered: who looks on is told of each once. */
    private static final int POINTERS = 20;

    /** @param number of its event */
    public record Pointer(int number, BoardEvent.Pointed event) {}

    public Optional<BoardPage> page(int id) {
        return pages.stream().filter(one -> one.id() == id).findFirst();
    }

    public BoardPage shownPage() {
        return page(shown).orElseThrow();
    }

    /** How many marks are on all of them. */
    public int marks() {
        return pages.stream().mapToInt(one -> one.sheet().marks().size()).sum();
    }

    BoardPages on(int id, UnaryOperator<BoardPage> how) {
        return new BoardPages(
                pages.stream().map(one -> one.id() == id ? how.apply(one) : one).toList(),
                shown,
                changed,
                changedAt,
                pointed);
    }

    BoardPages all(UnaryOperator<BoardPage> how) {
        return new BoardPages(pages.stream().map(how).toList(), shown, changed, changedAt, pointed);
    }

    /** With pages after the one that is shown; the first of them is shown. An untouched first page makes room. */
    BoardPages with(List<BoardPage> more) {
        var next = new ArrayList<>(pages);
        int place = pages.indexOf(shownPage());
        next.addAll(place + 1, more);
        if (shownPage().isEmpty()
                && shownPage().sheet().changes().isEmpty()
                && more.get(0).under().isPresent()) {
            next.remove(place);
        }
        return new BoardPages(List.copyOf(next), more.get(0).id(), changed, changedAt, pointed);
    }

    BoardPages turned(int id) {
        return page(id).isEmpty() ? this : new BoardPages(pages, id, changed, changedAt, pointed);
    }

    /** The one after it is shown then, or the one before. */
    BoardPages without(int id) {
        if (page(id).isEmpty() || pages.size() == 1) {
            return this;
        }
        int place = pages.indexOf(page(id).get());
        List<BoardPage> left = pages.stream().filter(one -> one.id() != id).toList();
        int next = shown == id ? left.get(Math.min(place, left.size() - 1)).id() : shown;
        return new BoardPages(left, next, changed, changedAt, pointed);
    }

    BoardPages pointedAt(int number, BoardEvent.Pointed event) {
        var next = new ArrayList<>(pointed);
        next.add(new Pointer(number, event));
        return new BoardPages(
                pages,
                shown,
                changed,
                changedAt,
                List.copyOf(next.subList(Math.max(0, next.size() - POINTERS), next.size())));
    }

    BoardPages changed(int number, Instant at) {
        return new BoardPages(pages, shown, number, Optional.of(at), pointed);
    }
}
