package juricast.core.lines;

import static juricast.core.lesson.LiveLesson.*;
import static juricast.core.lines.LinesPart.LINES;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import juricast.core.audience.Need;
import juricast.core.door.DoorOrder;
import juricast.core.identity.PersonId;
import juricast.core.lesson.LiveLesson;
import juricast.core.live.Refusal;
import juricast.core.rights.RightsOrder;
import org.junit.jupiter.api.Test;

class LinesTest {
    private static LiveLesson weak(LiveLesson lesson, PersonId... people) {
        for (PersonId one : people) {
            lesson.order(new LinesOrder.Tell(visitOf(one), true));
        }
        return lesson;
    }

    private static Optional<Integer> proposed(LiveLesson lesson) {
        return lesson.desk().needs().stream()
                .filter(one -> one.kind() == Need.Kind.LINES_WEAK)
                .map(Need::number)
                .findFirst();
    }

    @Test
    void a_light_lesson_is_proposed_when_several_are_weak_and_not_when_it_is_light_or_was_left() {
        LiveLesson lesson = open().present(INES).present(JORY).present(KESTER);
        assertThat(proposed(weak(lesson, INES))).as("one alone").isEmpty();
        int events = lesson.events().size();
        assertThat(weak(lesson, INES).events()).as("told once").hasSize(events);
        assertThat(proposed(lesson.time("10:05").order(new LinesOrder.Tell(visitOf(JORY), true))))
                .contains(2);
        assertThat(lesson.state().of(LINES).proposesLight(3))
                .as("since the second")
                .contains(at("10:05"));

        assertThat(lesson.order(new LinesOrder.Leave(INES)).refused()).contains(Refusal.Common.NOT_AN_ADULT_HERE);
        assertThat(proposed(lesson.order(new LinesOrder.Leave(ORLA))))
                .as("left as it is")
                .isEmpty();
        assertThat(proposed(weak(lesson, KESTER))).as("more are weak than then").contains(3);
        assertThat(proposed(lesson.order(new RightsOrder.Lighten(true, ORLA))))
                .as("it is light already")
                .isEmpty();
    }

    @Test
    void in_a_large_class_one_in_ten_must_be_weak() {
        var two = new LinesState(Map.of(INES, at("10:01"), JORY, at("10:02")), 0);
        assertThat(two.proposesLight(20)).contains(at("10:02"));
        assertThat(two.proposesLight(21)).as("2 of 21").isEmpty();
        var three = two.weakened(new LinesEvent.Weakened(KESTER, at("10:03")));
        assertThat(three.proposesLight(21)).as("since the third").contains(at("10:03"));
    }

    @Test
    void who_goes_takes_the_weak_line_along_and_when_all_carry_again_what_was_left_is_forgotten() {
        LiveLesson lesson = weak(open().present(INES).present(JORY), INES, JORY);
        lesson.order(new LinesOrder.Leave(ORLA))
                .order(new DoorOrder.Leave(visitOf(JORY)))
                .order(new LinesOrder.Tell(visitOf(INES), false));
        assertThat(lesson.state().of(LINES)).isEqualTo(LinesState.NEW);
        assertThat(lesson.order(new LinesOrder.Tell(visitOf(JORY), true)).refused())
                .as("who is not in")
                .contains(Refusal.Common.NOT_PRESENT);
        assertThat(List.copyOf(lesson.state().of(LINES).weak().keySet())).isEmpty();
    }
}
