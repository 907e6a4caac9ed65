package juricast.core.lesson;

import static juricast.core.board.BoardPart.BOARD;
import static juricast.core.lesson.LiveLesson.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import juricast.core.afterwards.Afterwards;
import juricast.core.board.BoardOrder;
import juricast.core.board.BoardPage;
import juricast.core.chat.ChatOrder;
import juricast.core.chat.Readers;
import juricast.core.chat.Words;
import juricast.core.door.DoorOrder;
import juricast.core.drawing.Drawing;
import juricast.core.ending.EndingOrder;
import juricast.core.groups.GroupsOrder;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonOrder;
import juricast.core.live.PlaceId;
import juricast.core.material.Material;
import juricast.core.material.MaterialOrder;
import juricast.core.rules.Setting.Force;
import org.junit.jupiter.api.Test;

class AfterwardsTest {
    private static final Drawing LINE = Drawing.pen(List.of(0, 0, 9, 9));

    private static ChatOrder say(PersonId from, Readers to, String text) {
        return new ChatOrder.Say(visitOf(from), to, text);
    }

    private static LiveLesson draw(LiveLesson lesson, PersonId who) {
        PlaceId in = lesson.state().where().placeOf(who);
        return lesson.order(new BoardOrder.Draw(
                visitOf(who), lesson.state().of(BOARD).of(in).shown(), LINE));
    }

    private static LiveLesson ruled() {
        return open().school("chat.save", "open", Force.USUAL)
                .school("chat.class", "open", Force.USUAL)
                .school("chat.private", "open", Force.USUAL)
                .school("share.draw", "open", Force.USUAL);
    }

    private static Afterwards of(LiveLesson lesson, PersonId pupil) {
        return Afterwards.ofPupil(lesson.events(), lesson.plan(), lesson.rulebook(), pupil, at("12:00"));
    }

    private static List<String> words(Afterwards kept) {
        return kept.words().orElseThrow().stream().map(Words::text).toList();
    }

    private static List<Integer> pages(Afterwards kept) {
        return kept.boards().orElseThrow().stream()
                .flatMap(board -> board.pages().stream())
                .map(BoardPage::id)
                .toList();
    }

    @Test
    void a_pupil_reads_what_they_could_read_until_they_left_and_what_hung_for_all() {
        LiveLesson lesson = ruled().present(INES).present(JORY);
        lesson.order(new MaterialOrder.HandOut(ORLA, "Tide table", "page 4"))
                .order(say(ORLA, Readers.CLASS, "to all"))
                .order(say(ORLA, Readers.only(INES), "to Ines"))
                .order(say(JORY, Readers.only(INES), "between two pupils"))
                .order(new DoorOrder.Leave(visitOf(JORY)))
                .order(say(ORLA, Readers.CLASS, "Jory has gone"))
                .order(new EndingOrder.Dismiss(ORLA));

        assertThat(words(of(lesson, INES))).containsExactly("to all", "to Ines", "between two pupils", "Jory has gone");
        assertThat(words(of(lesson, JORY))).containsExactly("to all", "between two pupils");
        assertThat(words(of(lesson, KESTER))).as("who never came").isEmpty();
        assertThat(of(lesson, KESTER).material().orElseThrow())
                .extracting(Material::title)
                .containsExactly("Tide table");
        assertThat(words(Afterwards.ofAdult(lesson.plan(), lesson.state())))
                .as("as on the desk: nothing of pupils between themselves")
                .containsExactly("to all", "to Ines", "Jory has gone");
    }

    @Test
    void what_the_rules_keep_back_is_nothing_and_not_merely_empty_and_a_rule_made_stricter_since_counts() {
        LiveLesson lesson = open().present(INES).order(say(ORLA, Readers.CLASS, "to all"));
        lesson.order(new EndingOrder.Dismiss(ORLA));
        assertThat(of(lesson, INES).words()).as("as is usual").isEmpty();
        assertThat(of(lesson, INES).boards()).contains(List.of());
        lesson.school("share.save-board", "closed", Force.BINDING)
                .school("share.handed-out-after", "closed", Force.BINDING);
        assertThat(of(lesson, INES)).isEqualTo(new Afterwards(Optional.empty(), Optional.empty(), Optional.empty()));
    }

    @Test
    void pages_that_were_only_turned_through_before_anybody_came_are_shown_to_nobody() {
        LiveLesson lesson = draw(ruled().observedBy(MAREN), ORLA).adult(MAREN);
        assertThat(lesson.state().there().isPresent(MAREN))
                .as("who looks on is no class")
                .isTrue();
        lesson.order(new BoardOrder.AddPages(List.of(Optional.empty()), Optional.empty(), ORLA));
        draw(lesson, ORLA).present(INES).order(new EndingOrder.Dismiss(ORLA));

        int second = lesson.state().of(BOARD).of(PlaceId.TOGETHER).shown();
        assertThat(pages(of(lesson, INES))).containsExactly(second);
        assertThat(pages(of(lesson, KESTER))).as("ill, and needs the notes").containsExactly(second);
        assertThat(pages(Afterwards.ofAdult(lesson.plan(), lesson.state()))).containsExactly(0, second);
    }

    @Test
    void the_board_of_a_group_is_of_those_who_were_in_it() {
        LiveLesson lesson = ruled().ofMore(3);
        List.of(INES, KESTER, pupil(1), JORY, pupil(2), pupil(3)).forEach(lesson::present);
        lesson.order(new GroupsOrder.DrawUp(
                        List.of(
                                new GroupsOrder.Wanted("Reef", List.of(INES, KESTER, pupil(1))),
                                new GroupsOrder.Wanted("Skerry", List.of(JORY, pupil(2), pupil(3)))),
                        "by hand",
                        0,
                        ORLA))
                .order(new GroupsOrder.SendOut(Optional.of(minutes(10)), false, ORLA));
        PlaceId reef = lesson.state().where().placeOf(INES);
        assertThat(reef).isNotEqualTo(PlaceId.TOGETHER);
        draw(draw(lesson, INES), JORY)
                .order(say(JORY, Readers.in(lesson.state().where().placeOf(JORY)), "in the skerry"));
        lesson.time("10:10").order(new LessonOrder.Tick()).order(new EndingOrder.Dismiss(ORLA));

        assertThat(of(lesson, INES).boards().orElseThrow())
                .extracting(Afterwards.Board::place)
                .containsExactly(reef);
        assertThat(words(of(lesson, INES))).isEmpty();
        assertThat(words(of(lesson, JORY))).containsExactly("in the skerry");
        assertThat(Afterwards.ofAdult(lesson.plan(), lesson.state()).boards().orElseThrow())
                .hasSize(2);
    }
}
