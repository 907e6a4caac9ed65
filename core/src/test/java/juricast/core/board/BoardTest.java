package juricast.core.board;

import static juricast.core.board.BoardPart.BOARD;
import static juricast.core.lesson.LiveLesson.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import juricast.core.drawing.Drawing;
import juricast.core.drawing.Mark;
import juricast.core.drawing.Sheet;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.lesson.LiveLesson;
import juricast.core.live.Authority;
import juricast.core.live.LessonOrder;
import juricast.core.live.PlaceId;
import juricast.core.live.Refusal;
import juricast.core.rules.Setting.Force;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class BoardTest {
    private static final Drawing LINE = Drawing.pen(List.of(0, 0, 9, 9));

    private static LiveLesson drawing() {
        return open().school("share.draw", "open", Force.USUAL).present(INES).present(JORY);
    }

    private static BoardPages board(LiveLesson lesson) {
        return lesson.state().of(BOARD).of(PlaceId.TOGETHER);
    }

    private static LessonOrder draw(LiveLesson lesson, PersonId person) {
        return new BoardOrder.Draw(visitOf(person), board(lesson).shown(), LINE);
    }

    private static List<PersonId> authors(LiveLesson lesson) {
        return board(lesson).shownPage().sheet().marks().stream()
                .map(Mark::author)
                .toList();
    }

    @Test
    void one_act_takes_the_right_and_wipes_what_that_author_drew_everywhere() {
        var lesson = drawing().order(draw(drawing(), INES)).order(draw(drawing(), JORY));
        lesson.order(new BoardOrder.AddPages(List.of(Optional.empty()), Optional.empty(), ORLA));
        lesson.order(draw(lesson, JORY)).order(draw(lesson, INES));

        lesson.order(new BoardOrder.TakeAway(JORY, minutes(5), ORLA));
        assertThat(lesson.state().of(BOARD).marks()).extracting(Mark::author).containsExactly(INES, INES);
        assertThat(lesson.order(draw(lesson, JORY)).refused()).contains(Refusal.Common.RULE_CLOSED);
        assertThat(lesson.order(new BoardOrder.Undo(visitOf(JORY), board(lesson).shown()))
                        .refused())
                .isEmpty();
        assertThat(authors(lesson)).as("undoing brings nothing back").containsExactly(INES);
        assertThat(lesson.order(new BoardOrder.TakeAway(INES, minutes(5), INES)).refused())
                .contains(Refusal.Common.NOT_AN_ADULT_HERE);
    }

    @Test
    void everybody_undoes_their_own_and_erases_their_own_adults_any() {
        var lesson = drawing();
        lesson.order(draw(lesson, INES)).order(draw(lesson, JORY)).order(draw(lesson, INES));
        int hers = board(lesson).shownPage().sheet().marks().get(0).number();
        int his = board(lesson).shownPage().sheet().marks().get(1).number();
        assertThat(lesson.order(new BoardOrder.Erase(visitOf(INES), 0, List.of(hers, his)))
                        .refused())
                .contains(BoardRefusal.NOT_YOURS);
        lesson.order(new BoardOrder.Erase(visitOf(INES), 0, List.of(hers)));
        assertThat(authors(lesson)).containsExactly(JORY, INES);
        lesson.order(new BoardOrder.Undo(visitOf(INES), 0));
        assertThat(authors(lesson)).containsExactly(INES, JORY, INES);
        lesson.order(new BoardOrder.Undo(visitOf(INES), 0)).order(new BoardOrder.Undo(visitOf(INES), 0));
        assertThat(authors(lesson)).containsExactly(JORY);
        assertThat(lesson.order(new BoardOrder.Undo(visitOf(INES), 0)).refused())
                .isEmpty();
        lesson.order(new BoardOrder.Erase(visitOf(ORLA), 0, List.of(his)));
        assertThat(authors(lesson)).isEmpty();
    }

    @Test
    void pages_are_turned_by_adults_and_one_draws_on_the_page_that_is_shown() {
        var lesson = drawing()
                .order(new BoardOrder.AddPages(
                        List.of(Optional.of(new Under("f", 800, 600)), Optional.empty()), Optional.empty(), ORLA));
        List<Integer> ids = board(lesson).pages().stream().map(BoardPage::id).toList();
        assertThat(ids).as("an untouched first page made room").hasSize(2);
        assertThat(board(lesson).shown()).isEqualTo(ids.get(0));
        lesson.order(draw(lesson, INES));
        var late = draw(lesson, JORY);
        lesson.order(new BoardOrder.Turn(ids.get(1), Optional.empty(), ORLA));
        assertThat(lesson.order(late).refused()).contains(BoardRefusal.PAGE_TURNED);
        assertThat(lesson.order(new BoardOrder.Turn(ids.get(0), Optional.empty(), INES))
                        .refused())
                .contains(Refusal.Common.NOT_AN_ADULT_HERE);
        assertThat(lesson.order(new BoardOrder.Turn(77, Optional.empty(), ORLA)).refused())
                .contains(BoardRefusal.NO_SUCH_PAGE);
        lesson.order(new BoardOrder.RemovePage(ids.get(1), Optional.empty(), ORLA));
        assertThat(board(lesson).shown()).isEqualTo(ids.get(0));
        assertThat(lesson.order(new BoardOrder.RemovePage(ids.get(0), Optional.empty(), ORLA))
                        .refused())
                .contains(BoardRefusal.LAST_PAGE);
        var many = new ArrayList<Optional<Under>>();
        for (int i = 0; i < 60; i++) {
            many.add(Optional.empty());
        }
        assertThat(lesson.order(new BoardOrder.AddPages(many, Optional.empty(), ORLA))
                        .refused())
                .contains(BoardRefusal.TOO_MANY_PAGES);
    }

    @Test
    void an_earlier_board_is_opened_again_without_names_of_another_class() {
        var stranger = new PersonId("of-another-class");
        var page = new BoardEvent.BroughtPage(
                Optional.empty(),
                List.of(new BoardEvent.BroughtMark(INES, LINE), new BoardEvent.BroughtMark(stranger, LINE)));
        var lesson = drawing();
        lesson.order(draw(lesson, JORY))
                .order(new BoardOrder.Bring(new LessonId("before"), List.of(page), Optional.empty(), ORLA));
        assertThat(authors(lesson)).containsExactly(INES, BoardPart.EARLIER);
        lesson.order(draw(lesson, JORY));
        assertThat(authors(lesson)).containsExactly(INES, BoardPart.EARLIER, JORY);
        lesson.order(new BoardOrder.Wipe(Optional.of(INES), Optional.empty(), ORLA));
        assertThat(authors(lesson)).containsExactly(BoardPart.EARLIER, JORY);
        assertThat(drawing()
                        .school("share.open-again", "closed", Force.BINDING)
                        .order(new BoardOrder.Bring(new LessonId("before"), List.of(page), Optional.empty(), ORLA))
                        .refused())
                .contains(Refusal.Common.RULE_CLOSED);
    }

    @Test
    void who_may_save_a_copy_is_a_rule() {
        var lesson = drawing();
        var who = new Authority(lesson.plan(), lesson.state().there(), lesson.rulebookNow(), lesson.now());
        assertThat(BoardPart.save(who, INES)).isEmpty();
        var closed = drawing().school("share.save-board", "closed", Force.BINDING);
        var refused = new Authority(closed.plan(), closed.state().there(), closed.rulebookNow(), closed.now());
        assertThat(BoardPart.save(refused, INES)).isPresent();
        assertThat(BoardPart.save(refused, ORLA)).as("adults are bound too").isPresent();
    }

    @Test
    void a_pointer_is_seen_and_leaves_no_mark() {
        var lesson = drawing().order(new BoardOrder.Point(visitOf(INES), 0, List.of(1, 1, 2, 2)));
        assertThat(board(lesson).pointed())
                .extracting(one -> one.event().person())
                .containsExactly(INES);
        assertThat(lesson.state().of(BOARD).marks()).isEmpty();
    }

    /** Whatever is drawn, erased, undone and wiped: what changed adds up to what is there. */
    @Property(tries = 300)
    void what_changed_since_any_moment_added_to_it_is_what_is_there(
            @ForAll @Size(min = 1, max = 40) List<@IntRange(min = 0, max = 99) Integer> acts,
            @ForAll @IntRange(max = 40) int since) {
        Sheet sheet = Sheet.EMPTY;
        Sheet then = Sheet.EMPTY;
        for (int i = 0; i < acts.size(); i++) {
            int act = acts.get(i);
            PersonId who = List.of(INES, JORY).get(act % 2);
            int number = i + 1;
            sheet = switch (act % 5) {
                case 0, 1 -> sheet.drawn(number, who, LINE);
                case 2 -> sheet.undone(number, who);
                case 3 -> sheet.erased(number, who, mark -> mark.author().equals(who) && mark.number() % 2 == 0);
                default -> sheet.erased(number, ORLA, mark -> mark.author().equals(who));
            };
            if (number <= since) {
                then = sheet;
            }
        }
        var seen = new ArrayList<>(then.marks());
        for (Sheet.Change change : sheet.after(then.changed())) {
            seen.removeIf(mark -> change.gone().contains(mark.number()));
            seen.addAll(change.came());
        }
        assertThat(seen).containsExactlyInAnyOrderElementsOf(sheet.marks());
        assertThat(sheet.marks())
                .extracting(Mark::number)
                .doesNotHaveDuplicates()
                .isSorted();
    }

    @Property(tries = 100)
    void what_was_wiped_by_another_is_brought_back_by_no_undoing_of_its_author(
            @ForAll @Size(min = 1, max = 20) List<@IntRange(min = 0, max = 2) Integer> acts) {
        Sheet sheet = Sheet.EMPTY;
        int number = 0;
        for (int act : acts) {
            number++;
            sheet = act == 0
                    ? sheet.undone(number, JORY)
                    : act == 1
                            ? sheet.drawn(number, JORY, LINE)
                            : sheet.erased(number, JORY, mark -> mark.number() % 2 == 0);
        }
        sheet = sheet.erased(100, ORLA, mark -> mark.author().equals(JORY));
        // A sheet on which nothing of theirs was left keeps what they themselves erased; all else is out of their
        // hands.
        boolean wiped = sheet.changed() == 100;
        for (int i = 101; i < 120 && wiped; i++) {
            sheet = sheet.undone(i, JORY);
            assertThat(sheet.marks()).isEmpty();
        }
    }
}
