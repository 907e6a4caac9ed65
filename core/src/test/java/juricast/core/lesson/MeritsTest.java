package juricast.core.lesson;

import static juricast.core.lesson.LiveLesson.*;
import static juricast.core.merits.MeritsPart.MERITS;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import juricast.core.live.Refusal;
import juricast.core.merits.MeritsOrder;
import juricast.core.merits.MeritsRefusal;
import juricast.core.merits.SeenBy;
import juricast.core.rules.Setting.Force;
import org.junit.jupiter.api.Test;

class MeritsTest {
    @Test
    void an_adult_gives_merits_for_something_to_pupils_who_are_there() {
        var lesson = open().present(INES)
                .present(KESTER)
                .order(new MeritsOrder.Give(List.of(INES, KESTER, INES), " asked a good question ", ORLA));

        assertThat(lesson.state().of(MERITS).of(INES))
                .extracting(one -> one.given().reason())
                .containsExactly("asked a good question");
        assertThat(lesson.state().of(MERITS).of(KESTER)).hasSize(1);
        assertThat(lesson.order(new MeritsOrder.Give(List.of(INES, JORY), "both", ORLA))
                        .refused())
                .contains(Refusal.Common.NOT_PRESENT);
        assertThat(lesson.state().of(MERITS).of(INES)).as("nothing half done").hasSize(1);
        assertThat(lesson.order(new MeritsOrder.Give(List.of(INES), " ", ORLA)).refused())
                .contains(Refusal.Common.EMPTY_TEXT);
        assertThat(lesson.order(new MeritsOrder.Give(List.of(INES), "myself", INES))
                        .refused())
                .contains(Refusal.Common.NOT_AN_ADULT_HERE);
    }

    @Test
    void a_merit_is_taken_back_for_some_minutes_and_stays_in_the_record() {
        var lesson = open().present(INES).order(new MeritsOrder.Give(List.of(INES), "helping", ORLA));
        int merit = lesson.state().of(MERITS).of(INES).get(0).number();

        assertThat(lesson.order(new MeritsOrder.TakeBack(merit + 1, ORLA)).refused())
                .contains(MeritsRefusal.NO_SUCH_MERIT);
        lesson.order(new MeritsOrder.TakeBack(merit, ORLA));
        assertThat(lesson.state().of(MERITS).of(INES)).isEmpty();
        assertThat(lesson.state().of(MERITS).all()).hasSize(1);

        lesson.order(new MeritsOrder.Give(List.of(INES), "helping", ORLA)).time("10:11");
        assertThat(lesson.order(new MeritsOrder.TakeBack(
                                lesson.state().of(MERITS).of(INES).get(0).number(), ORLA))
                        .refused())
                .contains(MeritsRefusal.TOO_LATE_TO_TAKE_BACK);
    }

    @Test
    void a_rule_says_who_gives_them() {
        var lesson = open().school("merits.give", "closed", Force.BINDING).present(INES);
        assertThat(lesson.order(new MeritsOrder.Give(List.of(INES), "helping", ORLA))
                        .refused())
                .contains(Refusal.Common.RULE_CLOSED);
    }

    @Test
    void a_rule_says_who_sees_them_and_by_itself_it_is_who_got_one() {
        assertThat(seenBy(open())).isEqualTo(SeenBy.PUPIL);
        assertThat(seenBy(open().school("merits.seen", "adults", Force.BINDING)).isSeenByPupil())
                .isFalse();
        assertThat(seenBy(open().school("merits.seen", "class", Force.BINDING)).isSeenByClass())
                .isTrue();
    }

    private static SeenBy seenBy(LiveLesson lesson) {
        return SeenBy.of(lesson.rulebookNow().all(), lesson.now());
    }
}
