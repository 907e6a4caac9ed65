package juricast.core.watching;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.stream.Collectors;
import juricast.core.board.BoardPage;
import juricast.core.board.BoardState;
import juricast.core.drawing.Mark;
import juricast.core.identity.PersonId;
import juricast.core.live.PlaceId;

/**
 * The board of the class as it was recorded: each mark from when it was seen until it was not, page by page. What was drawn while
 * nothing was recorded is not in it; what was taken off meanwhile is gone all the same.
 */
final class BoardStory {
    private final Timeline line;
    private final BiPredicate<PersonId, Instant> mayBe;
    private final Map<Leaf, List<Stroke>> pages = new LinkedHashMap<>();
    private final Set<Key> recorded = new HashSet<>();

    /** How often everything was wiped from a page until now. */
    private final Map<Integer, Integer> wiped = new HashMap<>();

    /** A page of the recording: one of the board, until everything on it is gone. */
    private record Leaf(int page, int wiped) {}

    private record Key(int page, int mark) {}

    private record Stroke(Key key, Playback.Stroke stroke) {}

    /** @param mayBe whether somebody may be recorded at a moment */
    BoardStory(Timeline line, BiPredicate<PersonId, Instant> mayBe) {
        this.line = line;
        this.mayBe = mayBe;
    }

    /** @param isRecorded whether anything is recorded at that moment */
    void changed(BoardState before, BoardState after, boolean isRecorded, Instant at) {
        BoardPage was = before.of(PlaceId.TOGETHER).shownPage();
        BoardPage is = after.of(PlaceId.TOGETHER).shownPage();
        Map<Key, Mark> seen = marks(was);
        Map<Key, Mark> now = marks(is);
        seen.keySet().stream().filter(key -> !now.containsKey(key)).forEach(key -> gone(key, line.from(at)));
        boolean isSamePage = was.id() == is.id();
        if (isSamePage && now.isEmpty() && !seen.isEmpty()) {
            wiped.merge(is.id(), 1, Integer::sum);
        }
        now.forEach((key, mark) -> {
            if (seen.containsKey(key)) {
                return;
            }
            if (isRecorded && isSamePage && mayBe.test(mark.author(), at)) {
                recorded.add(key);
            }
            if (recorded.contains(key)) {
                Optional<Duration> place = isRecorded ? line.at(at) : Optional.of(line.from(at));
                place.ifPresent(from -> pages.computeIfAbsent(leaf(key.page), any -> new ArrayList<>())
                        .add(new Stroke(key, new Playback.Stroke(from, Optional.empty(), mark.drawing()))));
            }
        });
    }

    private Leaf leaf(int page) {
        return new Leaf(page, wiped.getOrDefault(page, 0));
    }

    private static Map<Key, Mark> marks(BoardPage page) {
        return page.sheet().marks().stream()
                .collect(Collectors.toMap(
                        mark -> new Key(page.id(), mark.number()), mark -> mark, (a, b) -> a, LinkedHashMap::new));
    }

    private void gone(Key key, Duration place) {
        pages.computeIfPresent(leaf(key.page), (leaf, strokes) -> {
            strokes.replaceAll(one -> one.key.equals(key) && one.stroke.until().isEmpty()
                    ? new Stroke(key, new Playback.Stroke(one.stroke.from(), Optional.of(place), one.stroke.drawing()))
                    : one);
            return strokes;
        });
    }

    List<Playback.Page> pages() {
        return pages.values().stream()
                .map(strokes ->
                        new Playback.Page(strokes.stream().map(Stroke::stroke).toList()))
                .toList();
    }
}
