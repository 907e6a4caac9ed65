package juricast.core.slates;

import static juricast.core.lesson.LiveLesson.*;
import static juricast.core.slates.SlatesPart.SLATES;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import juricast.core.drawing.Drawing;
import juricast.core.drawing.Mark;
import juricast.core.identity.PersonId;
import juricast.core.lesson.LiveLesson;
import juricast.core.live.Refusal;
import juricast.core.rules.Setting.Force;
import org.junit.jupiter.api.Test;

class SlatesTest {
    private static final Drawing LINE = Drawing.pen(List.of(0, 0, 9, 9));

    private static LiveLesson out() {
        return open().present(INES)
                .present(JORY)
                .present(KESTER)
                .order(new SlatesOrder.GiveOut("A wave", Ground.AXES, ORLA));
    }

    private static SlatesOrder.Draw draw(PersonId person) {
        return new SlatesOrder.Draw(visitOf(person), LINE);
    }

    private static List<Mark> marks(LiveLesson lesson, PersonId person) {
        return lesson.state().of(SLATES).now().orElseThrow().of(person).sheet().marks();
    }

    @Test
    void everybody_draws_on_their_own_until_it_is_handed_in_or_collected() {
        var lesson = out().order(draw(INES)).order(draw(INES)).order(draw(JORY));
        assertThat(marks(lesson, INES)).hasSize(2);
        lesson.order(new SlatesOrder.Undo(visitOf(INES)));
        assertThat(marks(lesson, INES)).hasSize(1);
        lesson.order(new SlatesOrder.Wipe(visitOf(INES), List.of()));
        assertThat(marks(lesson, INES)).isEmpty();
        lesson.order(new SlatesOrder.Undo(visitOf(INES)));
        assertThat(marks(lesson, INES)).as("wiping is undone").hasSize(1);

        lesson.order(new SlatesOrder.HandIn(visitOf(INES)));
        assertThat(lesson.order(draw(INES)).refused()).contains(SlatesRefusal.FROZEN);
        lesson.order(new SlatesOrder.Collect(ORLA));
        assertThat(lesson.order(draw(JORY)).refused()).contains(SlatesRefusal.FROZEN);
        assertThat(lesson.order(draw(KESTER)).refused()).as("who never began").contains(SlatesRefusal.FROZEN);

        lesson.order(new SlatesOrder.GiveBack(Optional.of(JORY), ORLA));
        assertThat(lesson.order(draw(JORY)).refused()).isEmpty();
        assertThat(lesson.order(draw(KESTER)).refused()).contains(SlatesRefusal.FROZEN);
        lesson.order(new SlatesOrder.GiveBack(Optional.empty(), ORLA));
        assertThat(lesson.order(draw(KESTER)).refused()).isEmpty();
    }

    @Test
    void the_class_sees_what_is_shown_as_it_was_then() {
        var lesson = out().order(draw(INES));
        assertThat(lesson.order(new SlatesOrder.Show(List.of(JORY), true, ORLA)).refused())
                .contains(SlatesRefusal.NOBODY_HAS_ONE);
        lesson.order(new SlatesOrder.Show(List.of(INES, JORY), false, ORLA)).order(draw(INES));
        var shown = lesson.state().of(SLATES).shown().orElseThrow();
        assertThat(shown.named()).isFalse();
        assertThat(shown.marks().keySet()).containsExactly(INES);
        assertThat(shown.marks().get(INES)).hasSize(1);
        assertThat(lesson.order(new SlatesOrder.Hide(ORLA)).state().of(SLATES).shown())
                .isEmpty();
        lesson.order(new SlatesOrder.GiveOut("Another", Ground.BLANK, ORLA));
        assertThat(marks(lesson, INES)).isEmpty();
        lesson.order(new SlatesOrder.TakeAway(ORLA));
        assertThat(lesson.order(draw(INES)).refused()).contains(SlatesRefusal.NO_SLATES);
    }

    @Test
    void nonsense_adults_and_floods_are_refused() {
        var lesson = out();
        for (List<Integer> wrong : List.of(
                List.of(0, 0),
                List.of(0, 0, 1001, 3),
                List.of(-1, 0, 1, 3),
                IntStream.range(0, 200_000).map(i -> i % 1000).boxed().toList())) {
            assertThat(lesson.order(new SlatesOrder.Draw(visitOf(INES), Drawing.pen(wrong)))
                            .refused())
                    .contains(SlatesRefusal.NOT_A_MARK);
        }
        assertThat(lesson.order(new SlatesOrder.Draw(
                                visitOf(INES),
                                new Drawing(Drawing.Shape.TEXT, Drawing.Ink.INK, 2, List.of(5, 5), "x".repeat(201))))
                        .refused())
                .contains(SlatesRefusal.NOT_A_MARK);
        assertThat(lesson.order(draw(ORLA)).refused()).contains(SlatesRefusal.NO_SLATES);
        for (int i = 0; i < SlatesPart.MARKS; i++) {
            lesson.order(draw(INES));
        }
        assertThat(lesson.order(draw(INES)).refused()).contains(SlatesRefusal.FULL);
        assertThat(out().school("activities.answer", "closed", Force.USUAL)
                        .order(draw(INES))
                        .refused())
                .contains(Refusal.Common.RULE_CLOSED);
    }
}
