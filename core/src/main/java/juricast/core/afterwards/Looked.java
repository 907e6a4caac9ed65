package juricast.core.afterwards;

import static juricast.core.board.BoardPart.BOARD;
import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.groups.GroupsPart.GROUPS;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import juricast.core.identity.PersonId;
import juricast.core.lesson.Parts;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonState;
import juricast.core.live.PlaceId;

/**
 * What one person had before them in a lesson, found by going through it once more.
 *
 * @param ended the lesson as it ended
 * @param lastIn the number of the last event after which this person was in; 0 for who never was
 */
record Looked(LessonState ended, int lastIn, Set<Leaf> seen) {
    /** A page of the board of one place. */
    record Leaf(PlaceId place, int page) {}

    static Looked of(List<LessonEvent> record, PersonId me) {
        LessonState state = Parts.NEW;
        int lastIn = 0;
        var seen = new HashSet<Leaf>();
        for (LessonEvent event : record) {
            LessonState next = state.after(event);
            if (next.there().isPresent(me)) {
                lastIn = next.number();
            }
            if (!next.isSame(state, BOARD) || !next.isSame(state, GROUPS) || !next.isSame(state, DOOR)) {
                shownNow(next, me, seen);
            }
            state = next;
        }
        return new Looked(state, lastIn, seen);
    }

    /** What an adult turned through before anybody was in is not counted: nobody was shown it. */
    private static void shownNow(LessonState now, PersonId me, Set<Leaf> seen) {
        boolean isClassThere = now.there().visits().stream()
                .filter(one -> one.isPresent() && one.role().isPupil())
                .flatMap(one -> one.person().stream())
                .anyMatch(one -> now.where().placeOf(one).equals(PlaceId.TOGETHER));
        if (isClassThere) {
            seen.add(shown(now, PlaceId.TOGETHER));
        }
        if (now.there().isPresent(me)) {
            seen.add(shown(now, now.where().placeOf(me)));
        }
    }

    private static Leaf shown(LessonState now, PlaceId place) {
        return new Leaf(place, now.of(BOARD).of(place).shown());
    }

    boolean hasSeen(PlaceId place, int page) {
        return seen.contains(new Leaf(place, page));
    }
}
