package juricast.core.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import juricast.core.drawing.Drawing.Ink;
import juricast.core.drawing.Drawing.Shape;
import juricast.core.identity.PersonId;
import org.junit.jupiter.api.Test;

class SheetTest {
    private static final PersonId INES = new PersonId("ines");
    private static final PersonId JORY = new PersonId("jory");
    private static final Drawing LINE = Drawing.pen(List.of(0, 0, 9, 9));

    private static List<Integer> numbers(Sheet sheet) {
        return sheet.marks().stream().map(Mark::number).toList();
    }

    private static Drawing shape(Shape shape, String text, Integer... points) {
        return new Drawing(shape, Ink.GREEN, 2, List.of(points), text);
    }

    @Test
    void what_can_be_drawn_has_its_corners_on_the_sheet_and_words_only_where_it_is_a_text() {
        assertThat(LINE.isPossible()).isTrue();
        for (Shape corners : List.of(Shape.LINE, Shape.ARROW, Shape.BOX, Shape.RING)) {
            assertThat(shape(corners, "", 0, 0, 1000, 1000).isPossible()).isTrue();
            assertThat(shape(corners, "", 0, 0, 5, 5, 9, 9).isPossible()).isFalse();
            assertThat(shape(corners, "words", 0, 0, 5, 5).isPossible()).isFalse();
        }
        assertThat(shape(Shape.TEXT, "high water", 5, 5).isPossible()).isTrue();
        assertThat(shape(Shape.TEXT, " ", 5, 5).isPossible()).isFalse();
        assertThat(shape(Shape.TEXT, "x".repeat(201), 5, 5).isPossible()).isFalse();
        assertThat(shape(Shape.TEXT, "high water", 5, 5, 6, 6).isPossible()).isFalse();
        assertThat(shape(Shape.PEN, "", 0, 0, 1001, 5).isPossible()).isFalse();
        assertThat(shape(Shape.PEN, "", 0, 0, 5).isPossible()).isFalse();
        assertThat(new Drawing(Shape.PEN, Ink.INK, 4, List.of(0, 0, 5, 5), "").isPossible())
                .as("there are three widths")
                .isFalse();
        assertThat(Drawing.pen(IntStream.range(0, 600).map(i -> i % 900).boxed().toList())
                        .isPossible())
                .isTrue();
        assertThat(Drawing.pen(IntStream.range(0, 602).map(i -> i % 900).boxed().toList())
                        .isPossible())
                .isFalse();
    }

    @Test
    void undoing_goes_back_through_ones_own_acts_whatever_others_did_between() {
        Sheet sheet = Sheet.EMPTY
                .drawn(1, INES, LINE)
                .drawn(2, JORY, LINE)
                .drawn(3, INES, LINE)
                .erased(4, INES, mark -> mark.number() == 1);
        assertThat(numbers(sheet)).containsExactly(2, 3);
        sheet = sheet.undone(5, INES);
        assertThat(numbers(sheet)).as("the erasing is undone").containsExactly(1, 2, 3);
        sheet = sheet.undone(6, INES).undone(7, INES);
        assertThat(numbers(sheet)).containsExactly(2);
        assertThat(sheet.undoes(INES, 8)).isEmpty();
        assertThat(sheet.undone(8, INES)).isSameAs(sheet);
    }

    @Test
    void who_wipes_anothers_marks_can_undo_it_and_the_author_cannot() {
        Sheet sheet = Sheet.EMPTY.drawn(1, JORY, LINE).drawn(2, JORY, LINE).erased(3, INES, mark -> true);
        assertThat(sheet.undone(4, JORY)).isSameAs(sheet);
        assertThat(numbers(sheet.undone(4, INES))).containsExactly(1, 2);
    }

    @Test
    void what_changed_since_a_number_is_told_and_nothing_else() {
        Sheet sheet = Sheet.EMPTY.drawn(5, INES, LINE).drawn(8, JORY, LINE).erased(9, JORY, mark -> mark.number() == 8);
        assertThat(sheet.changed()).isEqualTo(9);
        assertThat(sheet.after(9)).isEmpty();
        assertThat(sheet.after(5)).extracting(Sheet.Change::number).containsExactly(8, 9);
        assertThat(sheet.after(0)).hasSize(3);
        assertThat(sheet.after(8).get(0).gone()).containsExactly(8);
        assertThat(sheet.erased(10, INES, mark -> mark.number() == 77)).isSameAs(sheet);
    }

    @Test
    void marks_of_an_earlier_board_stand_before_those_drawn_since() {
        Sheet sheet = Sheet.EMPTY
                .brought(4, List.of(new Mark(-2, INES, LINE), new Mark(-1, JORY, LINE)))
                .drawn(5, INES, LINE);
        assertThat(numbers(sheet)).containsExactly(-2, -1, 5);
        assertThat(numbers(sheet.erased(6, JORY, mark -> mark.number() == -1).undone(7, JORY)))
                .containsExactly(-2, -1, 5);
    }

    @Test
    void only_so_many_acts_are_remembered() {
        Sheet sheet = Sheet.EMPTY;
        for (int i = 1; i <= 150; i++) {
            sheet = sheet.drawn(i, INES, LINE);
        }
        for (int i = 151; i <= 320; i++) {
            sheet = sheet.undone(i, INES);
        }
        assertThat(sheet.marks()).as("the first fifty stay").hasSize(50);
    }
}
