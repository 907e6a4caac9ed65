package juricast.core.lesson;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.lesson.LiveLesson.*;
import static juricast.core.rights.RightsPart.RIGHTS;
import static juricast.core.rules.Catalogue.*;
import static juricast.core.signals.SignalsPart.SIGNALS;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import juricast.core.chat.ChatOrder;
import juricast.core.chat.Readers;
import juricast.core.door.DoorOrder;
import juricast.core.door.DoorRefusal;
import juricast.core.ending.EndingOrder;
import juricast.core.live.LessonOrder;
import juricast.core.live.Refusal;
import juricast.core.live.Visit;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsOrder;
import juricast.core.rights.RightsRefusal;
import juricast.core.rules.Permission;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting;
import juricast.core.rules.Setting.Force;
import juricast.core.signals.SignalsOrder;
import org.junit.jupiter.api.Test;

class SteeringTest {
    @Test
    void a_pass_to_speak_takes_the_hand_and_ends_by_itself_with_the_microphone() {
        var lesson = open().present(INES).order(new SignalsOrder.RaiseHand(visitOf(INES)));
        assertThat(turnOnMicrophone(lesson).refused()).contains(Refusal.Common.RULE_ON_REQUEST);

        lesson.order(new RightsOrder.GivePass(INES, SPEAK, minutes(2), ORLA));
        assertThat(lesson.state().of(SIGNALS).hands()).isEmpty();
        assertThat(turnOnMicrophone(lesson).refused()).isEmpty();
        assertThat(lesson.rules().nextTick()).isEqualTo(at("10:02"));

        lesson.time("10:01:59").order(new LessonOrder.Tick());
        assertThat(lesson.state().of(RIGHTS).on(INES)).containsExactly(Appliance.MICROPHONE);

        lesson.time("10:02").order(new LessonOrder.Tick());
        assertThat(lesson.state().of(RIGHTS).on(INES)).isEmpty();
        assertThat(turnOnMicrophone(lesson).refused()).contains(Refusal.Common.RULE_ON_REQUEST);
        assertThat(lesson.state().of(RIGHTS).timesSpoken(INES)).isEqualTo(1);
    }

    @Test
    void no_pass_can_give_what_a_binding_rule_closes() {
        var lesson = open().school("share.screen", "closed", Force.BINDING)
                .present(INES)
                .order(new RightsOrder.GivePass(INES, SHARE_SCREEN, minutes(2), ORLA));

        assertThat(lesson.refused()).contains(Refusal.Common.RULE_BOUND);
    }

    @Test
    void a_curb_closes_one_right_to_one_pupil_for_its_minutes() {
        var lesson =
                open().present(INES).present(JORY).order(new RightsOrder.GiveCurb(JORY, CLASS_CHAT, minutes(5), ORLA));

        assertThat(say(lesson, JORY, "psst").refused()).contains(Refusal.Common.RULE_CLOSED);
        assertThat(say(lesson, INES, "good morning").refused()).isEmpty();
        assertThat(say(lesson.time("10:05"), JORY, "thank you").refused()).isEmpty();
    }

    @Test
    void closing_the_chat_stops_pupils_at_once_but_never_writing_to_the_adults() {
        var lesson =
                open().present(INES).order(new RightsOrder.SetLive(new RuleValue(CLASS_CHAT, Permission.CLOSED), ORLA));

        assertThat(say(lesson, INES, "hello").refused()).contains(Refusal.Common.RULE_CLOSED);
        assertThat(lesson.order(new ChatOrder.Say(visitOf(INES), Readers.ADULTS, "help"))
                        .refused())
                .isEmpty();
        assertThat(say(lesson, ORLA, "Charts out, please").refused()).isEmpty();

        lesson.order(new RightsOrder.SetLive(new RuleValue(CLASS_CHAT, Permission.OPEN), ORLA));
        assertThat(say(lesson, INES, "hello").refused()).isEmpty();
    }

    @Test
    void the_chat_closed_for_some_minutes_is_by_itself_as_it_was_before_however_often_it_was_closed() {
        var lesson = open().present(INES)
                .order(new RightsOrder.SetLive(new RuleValue(CLASS_CHAT, Permission.ON_REQUEST), ORLA))
                .order(closedFor(5))
                .time("10:02")
                .order(closedFor(6));
        assertThat(lesson.order(closedFor(0)).refused()).contains(RightsRefusal.WRONG_LENGTH);
        assertThat(lesson.rules().nextTick()).isEqualTo(at("10:08"));

        assertThat(say(lesson.time("10:07"), INES, "hello").refused()).contains(Refusal.Common.RULE_CLOSED);
        lesson.time("10:08").order(new LessonOrder.Tick());
        assertThat(say(lesson, INES, "hello").refused()).contains(Refusal.Common.RULE_ON_REQUEST);
        assertThat(lesson.state().of(RIGHTS).liveOrders())
                .allSatisfy(one -> assertThat(one.until()).isEqualTo(Setting.FOR_EVER));
    }

    @Test
    void a_chat_closed_for_some_minutes_can_be_opened_before_and_stays_open_then() {
        var lesson = open().present(INES)
                .order(closedFor(5))
                .order(new RightsOrder.SetLive(new RuleValue(CLASS_CHAT, Permission.OPEN), ORLA));

        assertThat(say(lesson, INES, "hello").refused()).isEmpty();
        lesson.time("10:05").order(new LessonOrder.Tick());
        assertThat(say(lesson, INES, "hello").refused()).isEmpty();
    }

    private static RightsOrder closedFor(int minutes) {
        return new RightsOrder.SetLive(
                new RuleValue(CLASS_CHAT, Permission.CLOSED), Optional.of(minutes(minutes)), ORLA);
    }

    @Test
    void mute_all_switches_pupils_off_and_keeps_them_so_if_asked_but_leaves_adults_alone() {
        var lesson = open().order(new RightsOrder.SetLive(new RuleValue(SPEAK, Permission.OPEN), ORLA))
                .order(new RightsOrder.TurnOn(visitOf(ORLA), Appliance.MICROPHONE))
                .present(INES);
        turnOnMicrophone(lesson).order(new RightsOrder.MuteAll(false, ORLA));
        assertThat(lesson.state().of(RIGHTS).on(INES)).isEmpty();
        assertThat(lesson.state().of(RIGHTS).on(ORLA)).containsExactly(Appliance.MICROPHONE);
        assertThat(turnOnMicrophone(lesson).refused()).isEmpty();

        lesson.order(new RightsOrder.MuteAll(true, ORLA));
        assertThat(turnOnMicrophone(lesson).refused()).contains(Refusal.Common.RULE_ON_REQUEST);
    }

    @Test
    void every_hand_goes_down_at_once_by_an_adult_and_by_nobody_else() {
        var lesson = open().present(INES)
                .present(JORY)
                .order(new SignalsOrder.RaiseHand(visitOf(INES)))
                .order(new SignalsOrder.RaiseHand(visitOf(JORY)));

        assertThat(lesson.order(new SignalsOrder.HandsDown(INES)).refused()).contains(Refusal.Common.NOT_AN_ADULT_HERE);
        assertThat(lesson.state().of(SIGNALS).hands()).hasSize(2);
        assertThat(lesson.order(new SignalsOrder.HandsDown(ORLA))
                        .state()
                        .of(SIGNALS)
                        .hands())
                .isEmpty();
        assertThat(lesson.order(new SignalsOrder.HandsDown(ORLA)).refused()).isEmpty();
    }

    @Test
    void a_pupil_cannot_do_what_adults_do() {
        var lesson = open().present(INES).present(JORY);

        assertThat(lesson.order(new EndingOrder.Dismiss(INES)).refused()).contains(Refusal.Common.NOT_AN_ADULT_HERE);
        assertThat(lesson.order(new RightsOrder.TurnOff(JORY, Appliance.CAMERA, INES))
                        .refused())
                .contains(Refusal.Common.NOT_AN_ADULT_HERE);
        assertThat(lesson.order(new SignalsOrder.LowerHand(JORY, INES)).refused())
                .contains(Refusal.Common.NOT_AN_ADULT_HERE);
        assertThat(lesson.order(new DoorOrder.Remove(JORY, "", INES)).refused())
                .contains(Refusal.Common.NOT_AN_ADULT_HERE);
        assertThat(lesson.order(new DoorOrder.Open(INES)).refused()).contains(Refusal.Common.NOT_AN_ADULT_HERE);
    }

    @Test
    void the_last_adult_cannot_leave_pupils_behind() {
        var lesson = open().present(INES).order(new DoorOrder.Leave(visitOf(ORLA)));
        assertThat(lesson.refused()).contains(DoorRefusal.LAST_ADULT);

        lesson.adult(TAM).order(new DoorOrder.Leave(visitOf(ORLA)));
        assertThat(lesson.refused()).isEmpty();
        assertThat(lesson.order(new RightsOrder.MuteAll(true, ORLA)).refused()).contains(Refusal.Common.ADULT_NOT_IN);
    }

    @Test
    void dismissing_puts_everyone_out_shuts_the_door_and_nothing_goes_afterwards() {
        var lesson = open().present(INES).knock("Jory Pell", "jory").order(new EndingOrder.Dismiss(ORLA));

        assertThat(lesson.state().of(DOOR).present()).isEmpty();
        assertThat(lesson.state().of(DOOR).waiting()).isEmpty();
        assertThat(lesson.knock("Kester Tabb", "kester").visit("kester").status())
                .isEqualTo(Visit.Status.TURNED_AWAY);
        assertThat(lesson.order(new RightsOrder.MuteAll(true, ORLA)).refused()).contains(Refusal.Common.LESSON_OVER);
        assertThat(say(lesson, INES, "wait").refused()).contains(Refusal.Common.LESSON_OVER);
    }

    @Test
    void messages_are_neither_empty_nor_endless() {
        var lesson = open().present(INES);

        assertThat(say(lesson, INES, "  \n ").refused()).contains(Refusal.Common.EMPTY_TEXT);
        assertThat(say(lesson, INES, "x".repeat(1001)).refused()).contains(Refusal.Common.TEXT_TOO_LONG);
        assertThat(say(lesson, INES, "x".repeat(1000)).refused()).isEmpty();
    }

    @Test
    void who_acts_with_a_lost_line_is_heard_of_again() {
        var lesson = open().present(INES)
                .order(new RightsOrder.GivePass(INES, SPEAK, minutes(2), ORLA))
                .order(new DoorOrder.LoseConnection(visitOf(INES)));
        assertThat(lesson.state().of(DOOR).isPresent(INES)).isFalse();

        assertThat(turnOnMicrophone(lesson).refused()).isEmpty();
        assertThat(lesson.state().of(DOOR).isPresent(INES)).isTrue();
        assertThat(lesson.state().of(RIGHTS).on(INES)).containsExactly(Appliance.MICROPHONE);
    }

    private static LiveLesson turnOnMicrophone(LiveLesson lesson) {
        return lesson.order(new RightsOrder.TurnOn(visitOf(INES), Appliance.MICROPHONE));
    }

    private static LiveLesson say(LiveLesson lesson, juricast.core.identity.PersonId who, String text) {
        return lesson.order(new ChatOrder.Say(visitOf(who), Readers.CLASS, text));
    }
}
