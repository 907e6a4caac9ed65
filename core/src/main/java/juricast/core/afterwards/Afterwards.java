package juricast.core.afterwards;

import static juricast.core.board.BoardPart.BOARD;
import static juricast.core.chat.ChatPart.CHAT;
import static juricast.core.material.MaterialPart.MATERIAL;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.BiPredicate;
import juricast.core.audience.ChatSeat;
import juricast.core.audience.DeskView;
import juricast.core.board.BoardPage;
import juricast.core.chat.Words;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.PlaceId;
import juricast.core.material.Material;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.PlannedRules;
import juricast.core.rules.Rule;

/**
 * What somebody may still read of a lesson that is over. Each is nothing where the rules keep it from this person, and empty
 * where there was none, or where it has been erased since.
 *
 * @param words what was written, oldest first
 * @param boards the boards as they were left, that of the class first; pages with nothing on them are left out
 * @param material what hung for everybody to find when the lesson ended
 */
public record Afterwards(Optional<List<Words>> words, Optional<List<Board>> boards, Optional<List<Material>> material) {
    /** @param pages never none */
    public record Board(PlaceId place, List<BoardPage> pages) {}

    /** Adults read what the desk showed them. */
    public static Afterwards ofAdult(LessonPlan plan, LessonState ended) {
        return new Afterwards(
                Optional.of(DeskView.words(plan, ended, 0)),
                Optional.of(boards(ended, (place, page) -> true)),
                Optional.of(ended.of(MATERIAL).handouts()));
    }

    /**
     * Somebody of the class list reads what they could read or see in the lesson, as far as the rules let it be kept: words until
     * they left for the last time, pages of the class that were shown to a class, pages of a group that were shown while they
     * were in it. Who did not come has missed the words, and needs the notes.
     *
     * @param record all events of the lesson
     * @param rules as they are planned for the lesson
     * @param now the moment in which it is read: a rule that has become stricter since counts
     */
    public static Afterwards ofPupil(
            List<LessonEvent> record, LessonPlan plan, PlannedRules rules, PersonId me, Instant now) {
        Role role = plan.roleOf(me);
        Looked looked = Looked.of(record, me);
        return new Afterwards(
                open(rules, Catalogue.CHAT_SAVE, role, now).map(open -> looked.ended().of(CHAT).after(0).stream()
                        .filter(one -> one.number() <= looked.lastIn())
                        .filter(one -> ChatSeat.mayRead(looked.ended(), me, one))
                        .toList()),
                open(rules, Catalogue.SAVE_BOARD, role, now).map(open -> boards(looked.ended(), looked::hasSeen)),
                open(rules, Catalogue.MATERIAL_AFTERWARDS, role, now)
                        .map(open -> looked.ended().of(MATERIAL).handouts()));
    }

    private static Optional<Permission> open(PlannedRules rules, Rule<Permission> rule, Role role, Instant now) {
        return Optional.of(rules.value(rule, role, now)).filter(Permission.OPEN::equals);
    }

    private static List<Board> boards(LessonState ended, BiPredicate<PlaceId, Integer> isSeen) {
        return ended.of(BOARD).places().keySet().stream()
                .sorted(Comparator.comparing((PlaceId place) -> !place.equals(PlaceId.TOGETHER))
                        .thenComparing(PlaceId::value))
                .map(place -> new Board(
                        place,
                        ended.of(BOARD).of(place).pages().stream()
                                .filter(page -> !page.isEmpty() && isSeen.test(place, page.id()))
                                .toList()))
                .filter(board -> !board.pages().isEmpty())
                .toList();
    }
}
