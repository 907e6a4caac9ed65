package juricast.core.lesson;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.lesson.LiveLesson.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import juricast.core.door.DoorOrder;
import juricast.core.ending.EndingOrder;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonOrder;
import juricast.core.live.Refusal;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsOrder;
import juricast.core.rights.RightsRefusal;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Door;
import juricast.core.rules.Permission;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting.Force;
import juricast.core.signals.SignalsOrder;
import juricast.core.supervision.SupervisionOrder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What second adults and trusted pupils may do for the lead adult, and who says so (needs A2, F7). */
class HelpingTest {
    private static final RightsOrder.SetLive PAUSE =
            new RightsOrder.SetLive(new RuleValue(Catalogue.CLASS_CHAT, Permission.CLOSED), KESTER);

    @Test
    void a_second_adult_ends_the_lesson_only_when_lent_the_right_or_when_no_lead_adult_is_in() {
        var lesson = open().adult(TAM).order(new EndingOrder.Dismiss(TAM));
        assertThat(lesson.refused()).contains(Refusal.Common.RULE_ON_REQUEST);

        lesson.order(new RightsOrder.GivePass(TAM, Catalogue.HELP_DISMISS, minutes(5), TAM));
        assertThat(lesson.refused()).as("nobody lends to themselves").contains(Refusal.Common.NOT_LEADING);

        lesson.order(new RightsOrder.GivePass(TAM, Catalogue.HELP_DISMISS, minutes(5), ORLA))
                .time("10:06")
                .order(new LessonOrder.Tick())
                .order(new EndingOrder.Dismiss(TAM));
        assertThat(lesson.refused()).as("lent for five minutes").contains(Refusal.Common.RULE_ON_REQUEST);

        lesson.order(new DoorOrder.LoseConnection(visitOf(ORLA))).order(new EndingOrder.Dismiss(TAM));
        assertThat(lesson.refused()).as("whoever is there leads").isEmpty();
        assertThat(lesson.state().of(DOOR).isOver()).isTrue();
    }

    @ParameterizedTest
    @CsvSource({"help.door, door", "help.chat, chat", "help.steer, steer", "supervision.lend, curb", "help.hands, hand"
    })
    void each_help_is_closed_to_a_second_adult_by_its_own_rule_and_never_to_who_leads(String rule, String what) {
        LessonOrder byTam = help(what, TAM);
        var lesson = open().school(rule, "closed", Force.USUAL)
                .adult(TAM)
                .present(INES)
                .order(new SignalsOrder.RaiseHand(visitOf(INES)))
                .order(byTam);
        assertThat(lesson.refused()).contains(Refusal.Common.RULE_CLOSED);
        if (!rule.equals("supervision.lend")) {
            assertThat(lesson.order(help(what, ORLA)).refused()).isEmpty();
        }
        assertThat(open().adult(TAM)
                        .present(INES)
                        .order(new SignalsOrder.RaiseHand(visitOf(INES)))
                        .order(byTam)
                        .refused())
                .as("by the usual rules a second adult helps with it")
                .isEmpty();
    }

    private static LessonOrder help(String what, PersonId by) {
        return switch (what) {
            case "door" -> new RightsOrder.SetLive(new RuleValue(Catalogue.DOOR, Door.OPEN), by);
            case "chat" -> new RightsOrder.SetLive(new RuleValue(Catalogue.CLASS_CHAT, Permission.CLOSED), by);
            case "steer" -> new RightsOrder.MuteAll(true, by);
            case "curb" -> new RightsOrder.GiveCurb(INES, Catalogue.CAMERA, minutes(3), by);
            default -> new SignalsOrder.LowerHand(INES, by);
        };
    }

    @Test
    void whoever_helps_any_adult_may_stop_everything_and_remove_somebody() {
        var lesson = open().school("help.steer", "closed", Force.BINDING)
                .school("help.door", "closed", Force.BINDING)
                .adult(TAM)
                .present(INES)
                .order(new SupervisionOrder.StopEverything("", TAM))
                .order(new DoorOrder.Remove(INES, "", TAM));
        assertThat(lesson.refused()).isEmpty();
        assertThat(lesson.state().of(DOOR).removal(INES)).isPresent();
    }

    @Test
    void a_class_monitor_lets_in_whom_the_list_surely_knows_and_nobody_else() {
        var lesson = open().school("entry.door", "knock", Force.USUAL)
                .present(KESTER)
                .knock("Jory Pell", "jory")
                .knock("Some Stranger", "stranger");
        var admitJory = new DoorOrder.Admit(new VisitId("jory"), Optional.empty(), KESTER);
        assertThat(lesson.order(admitJory).refused()).contains(Refusal.Common.RULE_ON_REQUEST);

        lesson.order(new RightsOrder.GivePass(KESTER, Catalogue.HELP_DOOR, minutes(5), ORLA));
        assertThat(lesson.order(new DoorOrder.Admit(new VisitId("stranger"), Optional.of(INES), KESTER))
                        .refused())
                .as("not a stranger under somebody's name")
                .contains(Refusal.Common.NOT_AN_ADULT_HERE);
        assertThat(lesson.order(new DoorOrder.Admit(new VisitId("jory"), Optional.of(INES), KESTER))
                        .refused())
                .contains(Refusal.Common.NOT_AN_ADULT_HERE);
        for (LessonOrder more : List.of(
                new DoorOrder.TurnAway(new VisitId("stranger"), KESTER),
                new DoorOrder.AdmitAllListed(KESTER),
                new RightsOrder.SetLive(new RuleValue(Catalogue.DOOR, Door.OPEN), KESTER),
                new DoorOrder.AllowBack(INES, KESTER))) {
            assertThat(lesson.order(more).refused()).contains(Refusal.Common.NOT_AN_ADULT_HERE);
        }
        assertThat(lesson.order(admitJory).refused()).isEmpty();
        assertThat(lesson.state().of(DOOR).isPresent(JORY)).isTrue();

        lesson.knock("Ines Carrow", "ines")
                .order(new SupervisionOrder.StopEverything("", ORLA))
                .order(new DoorOrder.Admit(new VisitId("ines"), Optional.empty(), KESTER));
        assertThat(lesson.refused()).as("while everything is stopped").contains(Refusal.Common.RULE_CLOSED);
    }

    @Test
    void a_trusted_pupil_calls_on_raised_hands_for_two_minutes_at_most() {
        var lesson = open().school("voice.speak", "on-request", Force.USUAL)
                .present(KESTER)
                .present(JORY)
                .present(INES)
                .order(new SignalsOrder.RaiseHand(visitOf(JORY)))
                .order(new RightsOrder.GivePass(KESTER, Catalogue.HELP_HANDS, minutes(5), ORLA));

        assertThat(lesson.order(new RightsOrder.GivePass(INES, Catalogue.SPEAK, minutes(2), KESTER))
                        .refused())
                .as("no hand is up")
                .contains(Refusal.Common.NOT_AN_ADULT_HERE);
        assertThat(lesson.order(new RightsOrder.GivePass(JORY, Catalogue.SPEAK, minutes(3), KESTER))
                        .refused())
                .contains(Refusal.Common.NOT_AN_ADULT_HERE);
        lesson.order(new RightsOrder.GivePass(JORY, Catalogue.SPEAK, minutes(2), KESTER));
        assertThat(lesson.refused()).isEmpty();
        assertThat(lesson.order(new RightsOrder.TurnOn(visitOf(JORY), Appliance.MICROPHONE))
                        .refused())
                .isEmpty();

        lesson.order(new RightsOrder.EndLoan(KESTER, Catalogue.HELP_HANDS, ORLA))
                .order(new SignalsOrder.RaiseHand(visitOf(INES)))
                .order(new SignalsOrder.LowerHand(INES, KESTER));
        assertThat(lesson.refused()).as("taken back at once").contains(Refusal.Common.RULE_ON_REQUEST);
    }

    @Test
    void a_trusted_pupil_pauses_the_class_chat_and_ends_only_their_own_pause() {
        var lesson = open().present(KESTER)
                .order(new RightsOrder.GivePass(KESTER, Catalogue.HELP_CHAT, minutes(5), ORLA))
                .order(PAUSE);
        assertThat(lesson.refused()).isEmpty();
        var openAgain = new RightsOrder.SetLive(new RuleValue(Catalogue.CLASS_CHAT, Permission.OPEN), KESTER);
        assertThat(lesson.order(openAgain).refused()).isEmpty();

        lesson.order(new RightsOrder.SetLive(new RuleValue(Catalogue.CLASS_CHAT, Permission.CLOSED), ORLA))
                .order(openAgain);
        assertThat(lesson.refused()).as("the teacher's word stands").contains(Refusal.Common.NOT_AN_ADULT_HERE);
        assertThat(lesson.order(new RightsOrder.SetLive(new RuleValue(Catalogue.SPEAK, Permission.CLOSED), KESTER))
                        .refused())
                .contains(Refusal.Common.NOT_AN_ADULT_HERE);
    }

    @Test
    void rights_are_lent_only_to_whom_their_rule_speaks_of_and_never_beyond_a_binding_one() {
        var lesson = open().school("help.door", "closed", Force.BINDING).present(KESTER);
        assertThat(lesson.order(new RightsOrder.GivePass(KESTER, Catalogue.HELP_DOOR, minutes(5), ORLA))
                        .refused())
                .contains(Refusal.Common.RULE_BOUND);
        assertThat(lesson.order(new RightsOrder.GivePass(KESTER, Catalogue.HELP_DISMISS, minutes(5), ORLA))
                        .refused())
                .as("no pupil ends a lesson")
                .contains(RightsRefusal.NOT_FOR_THEM);
    }
}
