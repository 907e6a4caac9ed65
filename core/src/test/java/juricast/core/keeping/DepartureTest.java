package juricast.core.keeping;

import static juricast.core.lesson.LiveLesson.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import juricast.core.ending.EndingOrder;
import juricast.core.lesson.LiveLesson;
import juricast.core.rights.RightsOrder;
import juricast.core.rules.Catalogue;
import juricast.core.rules.RuleValue;
import org.junit.jupiter.api.Test;

class DepartureTest {
    private static List<String> told(LiveLesson lesson) {
        return Departure.of(lesson.events(), lesson.now()).stream()
                .map(one ->
                        one.kind() + " " + one.rule().key() + " " + one.value().orElse("") + " "
                                + one.of().map(Object::toString).orElse("all") + " "
                                + one.time().length().toMinutes())
                .toList();
    }

    @Test
    void what_was_set_anew_lent_and_taken_is_told_with_how_long_it_was_so() {
        var lesson = open().present(INES).present(JORY).time("10:05");
        lesson.order(new RightsOrder.SetLive(
                        RuleValue.of("chat.class", "closed").orElseThrow(), ORLA))
                .time("10:10")
                .order(new RightsOrder.SetLive(
                        RuleValue.of("chat.class", "open").orElseThrow(), ORLA))
                .order(new RightsOrder.GivePass(INES, Catalogue.SHARE_SCREEN, minutes(3), ORLA))
                .order(new RightsOrder.GiveCurb(JORY, Catalogue.CLASS_CHAT, minutes(30), ORLA))
                .time("10:20")
                .order(new RightsOrder.EndLoan(JORY, Catalogue.CLASS_CHAT, ORLA))
                .time("10:50")
                .order(new EndingOrder.Dismiss(ORLA));

        assertThat(told(lesson))
                .containsExactlyInAnyOrder(
                        "LIVE_ORDER chat.class closed all 5",
                        "PASS share.screen  ines 3",
                        "CURB chat.class  jory 10",
                        "LIVE_ORDER chat.class open all 40");
    }

    @Test
    void a_lesson_as_planned_has_none() {
        assertThat(told(open().present(INES).time("10:50").order(new EndingOrder.Dismiss(ORLA))))
                .isEmpty();
    }
}
