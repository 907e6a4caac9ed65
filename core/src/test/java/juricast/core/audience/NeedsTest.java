package juricast.core.audience;

import static juricast.core.lesson.LiveLesson.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.chat.ChatOrder;
import juricast.core.chat.Readers;
import juricast.core.door.DoorOrder;
import juricast.core.ending.EndingOrder;
import juricast.core.identity.VisitId;
import juricast.core.lesson.LiveLesson;
import juricast.core.rights.RightsOrder;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Setting.Force;
import juricast.core.signals.Sign;
import juricast.core.signals.SignalsOrder;
import org.junit.jupiter.api.Test;

class NeedsTest {
    private static List<Need.Kind> kinds(LiveLesson lesson) {
        return lesson.desk().needs().stream().map(Need::kind).toList();
    }

    @Test
    void they_are_oldest_first_with_the_class_list_as_one_and_everybody_unsure_on_their_own() {
        var lesson = open().present(INES)
                .time("10:01")
                .knock("Somebody Else", "stranger")
                .time("10:02")
                .knock("Jory Pell", "jory")
                .time("10:03")
                .order(new SignalsOrder.RaiseHand(visitOf(INES)))
                .time("10:04")
                .knock("Kester Tabb", "kester")
                .knock("gone again", "gone")
                .order(new DoorOrder.LoseConnection(new VisitId("gone")));

        List<Need> needs = lesson.desk().needs();

        assertThat(kinds(lesson)).containsExactly(Need.Kind.UNSURE, Need.Kind.LISTED, Need.Kind.HAND);
        assertThat(needs.get(1).visits()).containsExactly(new VisitId("jory"), new VisitId("kester"));
        assertThat(needs.get(1).since()).isEqualTo(at("10:02"));
        assertThat(needs.get(2).person()).contains(INES);
    }

    @Test
    void a_pass_is_told_in_its_last_minute_not_before_and_a_curb_never() {
        var lesson = open().present(INES)
                .present(JORY)
                .order(new RightsOrder.GivePass(INES, Catalogue.SPEAK, minutes(2), ORLA))
                .order(new RightsOrder.GiveCurb(JORY, Catalogue.CLASS_CHAT, minutes(2), ORLA));

        assertThat(kinds(lesson.time("10:00:59"))).isEmpty();
        assertThat(Needs.next(lesson.state(), lesson.rulebook(), at("10:00:59")))
                .isEqualTo(at("10:01"));
        assertThat(lesson.time("10:01").desk().needs()).singleElement().satisfies(need -> {
            assertThat(need.kind()).isEqualTo(Need.Kind.ENDING);
            assertThat(need.rule()).contains(Catalogue.SPEAK);
            assertThat(need.until()).contains(at("10:02"));
        });
        assertThat(Needs.next(lesson.state(), lesson.rulebook(), at("10:01"))).isEqualTo(Instant.MAX);
        assertThat(kinds(lesson.time("10:02"))).isEmpty();
    }

    @Test
    void who_lost_the_line_is_told_since_it_was_lost_and_who_cannot_hear_since_they_said_so() {
        var lesson = open().present(INES)
                .present(JORY)
                .time("10:05")
                .order(new DoorOrder.LoseConnection(visitOf(JORY)))
                .time("10:06")
                .order(new SignalsOrder.ShowSign(visitOf(INES), Optional.of(Sign.CANNOT_HEAR)))
                .time("10:07")
                .order(new SignalsOrder.ShowSign(visitOf(INES), Optional.of(Sign.CANNOT_HEAR)));

        assertThat(lesson.desk().needs())
                .extracting(Need::kind, Need::since)
                .containsExactly(
                        org.assertj.core.api.Assertions.tuple(Need.Kind.LOST, at("10:05")),
                        org.assertj.core.api.Assertions.tuple(Need.Kind.SIGN, at("10:06")));
        lesson.order(new SignalsOrder.ShowSign(visitOf(INES), Optional.of(Sign.AGREE)));
        assertThat(kinds(lesson)).as("nobody needs an answer to a yes").containsExactly(Need.Kind.LOST);
    }

    @Test
    void words_that_wait_ask_for_an_adult_and_a_lesson_that_is_over_asks_for_nothing() {
        var lesson = open().school("chat.approval", "yes", Force.USUAL)
                .present(INES)
                .order(new ChatOrder.Say(visitOf(INES), Readers.CLASS, "may I?"));

        assertThat(lesson.desk().needs()).singleElement().satisfies(need -> {
            assertThat(need.kind()).isEqualTo(Need.Kind.HELD);
            assertThat(need.number()).isEqualTo(lesson.state().number());
        });
        assertThat(kinds(lesson.order(new EndingOrder.Dismiss(ORLA)))).isEmpty();
    }
}
