package juricast.core.lesson;

import static juricast.core.lesson.LiveLesson.*;
import static juricast.core.merits.MeritsPart.MERITS;
import static org.assertj.core.api.Assertions.assertThat;

import juricast.core.live.Refusal;
import juricast.core.merits.MeritsEvent;
import juricast.core.merits.MeritsOrder;
import org.junit.jupiter.api.Test;

class MeritsTest {
    @Test
    void an_adult_gives_a_merit_for_something_to_a_pupil_who_is_there() {
        var lesson = open().present(INES).order(new MeritsOrder.Give(INES, " asked a good question ", ORLA));

        assertThat(lesson.state().of(MERITS).of(INES))
                .extracting(MeritsEvent.Given::reason)
                .containsExactly("asked a good question");
        assertThat(lesson.state().of(MERITS).of(JORY)).isEmpty();
        assertThat(lesson.order(new MeritsOrder.Give(JORY, "for nothing", ORLA)).refused())
                .contains(Refusal.Common.NOT_PRESENT);
        assertThat(lesson.order(new MeritsOrder.Give(INES, " ", ORLA)).refused())
                .contains(Refusal.Common.EMPTY_TEXT);
        assertThat(lesson.order(new MeritsOrder.Give(INES, "myself", INES)).refused())
                .contains(Refusal.Common.NOT_AN_ADULT_HERE);
    }
}
