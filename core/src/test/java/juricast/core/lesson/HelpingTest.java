package juricast.core.lesson;

import static juricast.core.lesson.LiveLesson.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.lesson.Refusal.Code;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Door;
import juricast.core.rules.Permission;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting.Force;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What second adults and trusted pupils may do for the lead adult, and who says so (needs A2, F7). */
class HelpingTest {
    private static final LessonOrder.SetLive PAUSE =
            new LessonOrder.SetLive(new RuleValue(Catalogue.CLASS_CHAT, Permission.CLOSED), KESTER);

    @Test
    void a_second_adult_ends_the_lesson_only_when_lent_the_right_or_when_no_lead_adult_is_in() {
        var lesson = open().adult(TAM).order(new LessonOrder.Dismiss(TAM));
        assertThat(lesson.refused()).contains(Code.RULE_ON_REQUEST);

        lesson.order(new LessonOrder.GivePass(TAM, Catalogue.HELP_DISMISS, minutes(5), TAM));
        assertThat(lesson.refused()).as("nobody lends to themselves").contains(Code.NOT_LEADING);

        lesson.order(new LessonOrder.GivePass(TAM, Catalogue.HELP_DISMISS, minutes(5), ORLA))
                .time("10:06")
                .order(new LessonOrder.Tick())
                .order(new LessonOrder.Dismiss(TAM));
        assertThat(lesson.refused()).as("lent for five minutes").contains(Code.RULE_ON_REQUEST);

        lesson.order(new LessonOrder.LoseConnection(visitOf(ORLA))).order(new LessonOrder.Dismiss(TAM));
        assertThat(lesson.refused()).as("whoever is there leads").isEmpty();
        assertThat(lesson.state().isOver()).isTrue();
    }

    @ParameterizedTest
    @CsvSource({"help.door, door", "help.chat, chat", "help.steer, steer", "supervision.lend, curb", "help.hands, hand"
    })
    void each_help_is_closed_to_a_second_adult_by_its_own_rule_and_never_to_who_leads(String rule, String what) {
        LessonOrder byTam = help(what, TAM);
        var lesson = open().school(rule, "closed", Force.USUAL)
                .adult(TAM)
                .present(INES)
                .order(new LessonOrder.RaiseHand(visitOf(INES)))
                .order(byTam);
        assertThat(lesson.refused()).contains(Code.RULE_CLOSED);
        if (!rule.equals("supervision.lend")) {
            assertThat(lesson.order(help(what, ORLA)).refused()).isEmpty();
        }
        assertThat(open().adult(TAM)
                        .present(INES)
                        .order(new LessonOrder.RaiseHand(visitOf(INES)))
                        .order(byTam)
                        .refused())
                .as("by the usual rules a second adult helps with it")
                .isEmpty();
    }

    private static LessonOrder help(String what, PersonId by) {
        return switch (what) {
            case "door" -> new LessonOrder.SetLive(new RuleValue(Catalogue.DOOR, Door.OPEN), by);
            case "chat" -> new LessonOrder.SetLive(new RuleValue(Catalogue.CLASS_CHAT, Permission.CLOSED), by);
            case "steer" -> new LessonOrder.MuteAll(true, by);
            case "curb" -> new LessonOrder.GiveCurb(INES, Catalogue.CAMERA, minutes(3), by);
            default -> new LessonOrder.LowerHand(INES, by);
        };
    }

    @Test
    void whoever_helps_any_adult_may_stop_everything_and_remove_somebody() {
        var lesson = open().school("help.steer", "closed", Force.BINDING)
                .school("help.door", "closed", Force.BINDING)
                .adult(TAM)
                .present(INES)
                .order(new LessonOrder.StopEverything("", TAM))
                .order(new LessonOrder.Remove(INES, "", TAM));
        assertThat(lesson.refused()).isEmpty();
        assertThat(lesson.state().removal(INES)).isPresent();
    }

    @Test
    void a_class_monitor_lets_in_whom_the_list_surely_knows_and_nobody_else() {
        var lesson = open().school("entry.door", "knock", Force.USUAL)
                .present(KESTER)
                .knock("Jory Pell", "jory")
                .knock("Some Stranger", "stranger");
        var admitJory = new LessonOrder.Admit(new VisitId("jory"), Optional.empty(), KESTER);
        assertThat(lesson.order(admitJory).refused()).contains(Code.RULE_ON_REQUEST);

        lesson.order(new LessonOrder.GivePass(KESTER, Catalogue.HELP_DOOR, minutes(5), ORLA));
        assertThat(lesson.order(new LessonOrder.Admit(new VisitId("stranger"), Optional.of(INES), KESTER))
                        .refused())
                .as("not a stranger under somebody's name")
                .contains(Code.NOT_AN_ADULT_HERE);
        assertThat(lesson.order(new LessonOrder.Admit(new VisitId("jory"), Optional.of(INES), KESTER))
                        .refused())
                .contains(Code.NOT_AN_ADULT_HERE);
        for (LessonOrder more : List.of(
                new LessonOrder.TurnAway(new VisitId("stranger"), KESTER),
                new LessonOrder.AdmitAllListed(KESTER),
                new LessonOrder.SetLive(new RuleValue(Catalogue.DOOR, Door.OPEN), KESTER),
                new LessonOrder.AllowBack(INES, KESTER))) {
            assertThat(lesson.order(more).refused()).contains(Code.NOT_AN_ADULT_HERE);
        }
        assertThat(lesson.order(admitJory).refused()).isEmpty();
        assertThat(lesson.state().isPresent(JORY)).isTrue();

        lesson.knock("Ines Carrow", "ines")
                .order(new LessonOrder.StopEverything("", ORLA))
                .order(new LessonOrder.Admit(new VisitId("ines"), Optional.empty(), KESTER));
        assertThat(lesson.refused()).as("while everything is stopped").contains(Code.RULE_CLOSED);
    }

    @Test
    void a_trusted_pupil_calls_on_raised_hands_for_two_minutes_at_most() {
        var lesson = open().school("voice.speak", "on-request", Force.USUAL)
                .present(KESTER)
                .present(JORY)
                .present(INES)
                .order(new LessonOrder.RaiseHand(visitOf(JORY)))
                .order(new LessonOrder.GivePass(KESTER, Catalogue.HELP_HANDS, minutes(5), ORLA));

        assertThat(lesson.order(new LessonOrder.GivePass(INES, Catalogue.SPEAK, minutes(2), KESTER))
                        .refused())
                .as("no hand is up")
                .contains(Code.NOT_AN_ADULT_HERE);
        assertThat(lesson.order(new LessonOrder.GivePass(JORY, Catalogue.SPEAK, minutes(3), KESTER))
                        .refused())
                .contains(Code.NOT_AN_ADULT_HERE);
        lesson.order(new LessonOrder.GivePass(JORY, Catalogue.SPEAK, minutes(2), KESTER));
        assertThat(lesson.refused()).isEmpty();
        assertThat(lesson.order(new LessonOrder.TurnOn(visitOf(JORY), Appliance.MICROPHONE))
                        .refused())
                .isEmpty();

        lesson.order(new LessonOrder.EndLoan(KESTER, Catalogue.HELP_HANDS, ORLA))
                .order(new LessonOrder.RaiseHand(visitOf(INES)))
                .order(new LessonOrder.LowerHand(INES, KESTER));
        assertThat(lesson.refused()).as("taken back at once").contains(Code.RULE_ON_REQUEST);
    }

    @Test
    void a_trusted_pupil_pauses_the_class_chat_and_ends_only_their_own_pause() {
        var lesson = open().present(KESTER)
                .order(new LessonOrder.GivePass(KESTER, Catalogue.HELP_CHAT, minutes(5), ORLA))
                .order(PAUSE);
        assertThat(lesson.refused()).isEmpty();
        var openAgain = new LessonOrder.SetLive(new RuleValue(Catalogue.CLASS_CHAT, Permission.OPEN), KESTER);
        assertThat(lesson.order(openAgain).refused()).isEmpty();

        lesson.order(new LessonOrder.SetLive(new RuleValue(Catalogue.CLASS_CHAT, Permission.CLOSED), ORLA))
                .order(openAgain);
        assertThat(lesson.refused()).as("the teacher's word stands").contains(Code.NOT_AN_ADULT_HERE);
        assertThat(lesson.order(new LessonOrder.SetLive(new RuleValue(Catalogue.SPEAK, Permission.CLOSED), KESTER))
                        .refused())
                .contains(Code.NOT_AN_ADULT_HERE);
    }

    @Test
    void rights_are_lent_only_to_whom_their_rule_speaks_of_and_never_beyond_a_binding_one() {
        var lesson = open().school("help.door", "closed", Force.BINDING).present(KESTER);
        assertThat(lesson.order(new LessonOrder.GivePass(KESTER, Catalogue.HELP_DOOR, minutes(5), ORLA))
                        .refused())
                .contains(Code.RULE_BOUND);
        assertThat(lesson.order(new LessonOrder.GivePass(KESTER, Catalogue.HELP_DISMISS, minutes(5), ORLA))
                        .refused())
                .as("no pupil ends a lesson")
                .contains(Code.NOT_FOR_THEM);
    }
}
