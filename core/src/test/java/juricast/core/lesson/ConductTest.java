package juricast.core.lesson;

import static juricast.core.conduct.ConductPart.CONDUCT;
import static juricast.core.conduct.ConductRefusal.*;
import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.lesson.LiveLesson.*;
import static juricast.core.rights.RightsPart.RIGHTS;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import juricast.core.conduct.ConductEvent;
import juricast.core.conduct.ConductOrder;
import juricast.core.conduct.Taken;
import juricast.core.conduct.Worry;
import juricast.core.door.DoorEvent;
import juricast.core.door.DoorOrder;
import juricast.core.entry.Outcome;
import juricast.core.entry.ReasonCode;
import juricast.core.identity.PersonId;
import juricast.core.ladder.Conduct;
import juricast.core.ladder.Earlier;
import juricast.core.ladder.Ladder;
import juricast.core.ladder.Past;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonOrder;
import juricast.core.live.Refusal;
import juricast.core.live.Visit;
import juricast.core.presence.Presence;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsOrder;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Setting.Force;
import juricast.core.supervision.SupervisionOrder;
import org.junit.jupiter.api.Test;

class ConductTest {
    private static ConductOrder.TakeStep step(PersonId person, String act, String step, String why, PersonId by) {
        return new ConductOrder.TakeStep(
                List.of(person), act, step, ConductOrder.How.USUAL, why, minutes(5), Integer.MAX_VALUE, by);
    }

    private static ConductOrder.TakeStep seeing(int seen, PersonId person, PersonId by) {
        return new ConductOrder.TakeStep(
                List.of(person), "insult", "reminder", ConductOrder.How.USUAL, "", minutes(5), seen, by);
    }

    private static List<Taken> steps(LiveLesson lesson, PersonId of) {
        return lesson.state().of(CONDUCT).against(of);
    }

    @Test
    void a_proposed_step_is_taken_by_one_order_and_does_what_it_says() {
        LiveLesson lesson = open().present(INES).order(step(INES, "insult", "reminder", "", ORLA));
        assertThat(lesson.refused()).isEmpty();
        lesson.order(step(INES, "insult", "curb", "", ORLA));

        assertThat(steps(lesson, INES))
                .extracting(one -> one.event().against().get(0).proposed())
                .containsExactly(2, 3);
        assertThat(lesson.state().of(RIGHTS).loan(INES, Catalogue.CLASS_CHAT, lesson.now()))
                .as("closed for as long as the ladder says")
                .hasValueSatisfying(loan -> assertThat(loan.until()).isEqualTo(at("10:15")));
    }

    @Test
    void what_a_pupil_brings_along_is_in_the_proposal() {
        var before = new Earlier("insult", "curb", "a curb", 3, Duration.ofDays(25), at("09:00"));
        LiveLesson lesson = open().meeting(
                        new Conduct(Ladder.USUAL, Map.of(INES, new Past(List.of(before), 3)), Set.of()))
                .present(INES)
                .present(JORY)
                .order(step(INES, "insult", "curb", "", ORLA))
                .order(step(JORY, "insult", "reminder", "", ORLA));

        assertThat(lesson.refused()).isEmpty();
        assertThat(steps(lesson, INES)).hasSize(1);
        assertThat(steps(lesson, JORY)).hasSize(1);
    }

    @Test
    void another_step_than_the_proposed_one_needs_a_reason_and_no_rule_against_it() {
        LiveLesson lesson = open().present(INES).order(step(INES, "insult", "out", " ", ORLA));
        assertThat(lesson.refused()).contains(WHY_NEEDED);

        lesson.school("conduct.steps-above", "1", Force.USUAL).order(step(INES, "insult", "out", "others upset", ORLA));
        assertThat(lesson.refused()).contains(STEP_TOO_HIGH);
        lesson.order(step(INES, "insult", "curb", "others upset", ORLA));
        assertThat(lesson.refused()).isEmpty();
    }

    @Test
    void some_steps_are_for_fewer_people() {
        LiveLesson lesson = open().adult(TAM).present(INES);

        assertThat(lesson.order(step(INES, "threat", "series", "said it twice", TAM))
                        .refused())
                .contains(STEP_NOT_YOURS);
        assertThat(lesson.order(step(INES, "threat", "series", "said it twice", ORLA))
                        .refused())
                .isEmpty();
        assertThat(lesson.state().of(DOOR).removal(INES)).isPresent();
    }

    @Test
    void what_cannot_be_is_refused_in_its_own_words() {
        LiveLesson lesson = open().present(INES);

        assertThat(lesson.order(step(INES, "insult", "none", "", ORLA)).refused())
                .contains(NO_SUCH_STEP);
        assertThat(lesson.order(step(INES, "none", "word", "", ORLA)).refused()).contains(NO_SUCH_ACT);
        assertThat(lesson.order(step(TAM, "insult", "word", "", ORLA)).refused())
                .contains(NOT_A_PUPIL);
        assertThat(lesson.order(step(JORY, "insult", "reminder", "", ORLA)).refused())
                .as("who is not there, or has left")
                .contains(Refusal.Common.NOT_PRESENT);
        assertThat(lesson.order(step(JORY, "threat", "referred", "by mail", ORLA))
                        .refused())
                .as("but what has happened elsewhere can be referred")
                .isEmpty();
        assertThat(lesson.order(step(INES, "insult", "reminder", "", INES)).refused())
                .contains(Refusal.Common.NOT_AN_ADULT_HERE);
        assertThat(lesson.order(step(INES, "insult", "reminder", "x".repeat(501), ORLA))
                        .refused())
                .contains(Refusal.Common.TEXT_TOO_LONG);
    }

    @Test
    void two_adults_do_not_act_on_one_pupil_without_knowing_of_each_other() {
        LiveLesson lesson = open().adult(TAM).present(INES);
        int seen = lesson.state().of(CONDUCT).latest();
        lesson.order(seeing(seen, INES, ORLA)).order(seeing(seen, INES, TAM));

        assertThat(lesson.refused()).contains(SOMEBODY_ACTED);
        assertThat(steps(lesson, INES)).hasSize(1);

        lesson.order(new ConductOrder.TakeStep(
                List.of(INES),
                "insult",
                "curb",
                ConductOrder.How.USUAL,
                "",
                minutes(5),
                lesson.state().of(CONDUCT).latest(),
                TAM));
        assertThat(lesson.refused()).isEmpty();
    }

    @Test
    void a_row_of_pupils_is_one_event_with_what_was_proposed_for_each() {
        LiveLesson lesson = open().present(INES).present(JORY);
        lesson.order(new ConductOrder.TakeStep(
                List.of(INES, JORY, INES),
                "noise",
                "curb",
                new ConductOrder.How(
                        Optional.of(Catalogue.SPEAK), Optional.of(minutes(3)), Optional.of(Catalogue.SPEAK)),
                "",
                minutes(1),
                0,
                ORLA));

        assertThat(lesson.refused()).isEmpty();
        assertThat(LessonEvent.of(lesson.events(), ConductEvent.StepTaken.class))
                .singleElement()
                .satisfies(one -> assertThat(one.against()).hasSize(2));
        for (PersonId pupil : List.of(INES, JORY)) {
            assertThat(lesson.state()
                            .of(RIGHTS)
                            .loan(pupil, Catalogue.SPEAK, lesson.now())
                            .orElseThrow()
                            .until())
                    .isEqualTo(at("10:03"));
        }
    }

    @Test
    void a_step_taken_in_error_stays_in_the_record_and_counts_no_more() {
        LiveLesson lesson = open().adult(TAM).present(INES).order(step(INES, "insult", "curb", "loud", ORLA));
        int number = lesson.state().of(CONDUCT).latest();

        assertThat(lesson.order(new ConductOrder.Withdraw(number, "it was Jory", TAM))
                        .refused())
                .contains(STEP_NOT_YOURS);
        lesson.order(new ConductOrder.Withdraw(number, "it was Jory", ORLA));

        assertThat(steps(lesson, INES)).isEmpty();
        assertThat(lesson.state().of(RIGHTS).loan(INES, Catalogue.CLASS_CHAT, lesson.now()))
                .isEmpty();
        assertThat(lesson.order(new ConductOrder.Withdraw(number, "once more", ORLA))
                        .refused())
                .contains(ALREADY_WITHDRAWN);
    }

    @Test
    void a_removal_by_itself_is_a_step_once_and_one_by_a_step_is_not_counted_twice() {
        LiveLesson lesson = open().present(INES).present(JORY).order(new DoorOrder.Remove(INES, "shouting", ORLA));
        lesson.order(step(JORY, "threat", "out", "", ORLA));

        assertThat(steps(lesson, INES)).singleElement().satisfies(one -> {
            assertThat(one.event().step().id()).isEqualTo("out");
            assertThat(one.event().why()).isEqualTo("shouting");
            assertThat(one.event().act().id()).isEqualTo(Ladder.OTHER);
        });
        assertThat(steps(lesson, JORY)).hasSize(1);
        assertThat(LessonEvent.of(lesson.events(), DoorEvent.Removed.class)).hasSize(2);
    }

    @Test
    void back_to_the_door_is_no_removal_and_an_adult_lets_in_again() {
        LiveLesson lesson = open().school("entry.door", "open", Force.USUAL)
                .school("voice.speak", "open", Force.USUAL)
                .present(INES)
                .order(new RightsOrder.TurnOn(visitOf(INES), Appliance.MICROPHONE))
                .time("10:05")
                .order(step(INES, "insult", "door", "calm down", ORLA));

        assertThat(lesson.visit("ines").status()).isEqualTo(Visit.Status.WAITING);
        assertThat(lesson.visit("ines").verdict().has(ReasonCode.SENT_TO_DOOR)).isTrue();
        assertThat(lesson.state().of(DOOR).removal(INES)).isEmpty();
        assertThat(lesson.state().of(RIGHTS).on(INES)).isEmpty();

        lesson.time("10:09").order(new DoorOrder.AdmitAllListed(ORLA));
        assertThat(lesson.visit("ines").isWaiting())
                .as("no key for all lets them in")
                .isTrue();
        lesson.order(new DoorOrder.Admit(visitOf(INES), Optional.empty(), ORLA));
        assertThat(lesson.visit("ines").status()).isEqualTo(Visit.Status.IN);
        assertThat(lesson.state().of(DOOR).sentToDoor()).isEmpty();
        assertThat(Presence.of(lesson.events(), at("10:20"))
                        .get(INES)
                        .timeWithin(lesson.plan().time(), Duration.ZERO))
                .as("the minutes at the door are no presence")
                .isEqualTo(minutes(5 + 11));
    }

    @Test
    void as_ruled_they_come_in_by_themselves_after_some_minutes_and_not_by_leaving_and_knocking_again() {
        LiveLesson lesson = open().school("conduct.back-from-door", "minutes", Force.USUAL)
                .school("conduct.door-minutes", "3", Force.USUAL)
                .present(INES)
                .order(new DoorOrder.SendToDoor(INES, ORLA))
                .time("10:01")
                .order(new DoorOrder.Leave(visitOf(INES)))
                .knock("Ines Carrow", "another tablet");
        assertThat(lesson.visit("another tablet").verdict().outcome()).isEqualTo(Outcome.WAIT);

        assertThat(lesson.rules().nextTick()).isEqualTo(at("10:03"));
        lesson.time("10:03").order(new LessonOrder.Tick());
        assertThat(lesson.visit("another tablet").status()).isEqualTo(Visit.Status.IN);
    }

    @Test
    void only_a_pupil_or_visitor_who_is_in_is_sent_to_the_door() {
        LiveLesson lesson = open().adult(TAM);

        assertThat(lesson.order(new DoorOrder.SendToDoor(TAM, ORLA)).refused()).contains(Refusal.Common.NOT_PRESENT);
        assertThat(lesson.order(new DoorOrder.SendToDoor(INES, ORLA)).refused()).contains(Refusal.Common.NOT_PRESENT);
    }

    @Test
    void a_worry_is_for_the_adults_or_the_lead_alone_as_ruled_and_about_an_adult_always_for_the_lead() {
        LiveLesson lesson = open().observedBy(MAREN).present(INES);
        lesson.order(new ConductOrder.RaiseWorry(visitOf(INES), Worry.About.A_PUPIL, "he writes to me", false))
                .order(new ConductOrder.RaiseWorry(visitOf(INES), Worry.About.AN_ADULT, "", false))
                .order(new ConductOrder.RaiseWorry(visitOf(INES), Worry.About.NOTHING_SAID, "", true))
                .school("conduct.worries", "lead", Force.USUAL)
                .order(new ConductOrder.RaiseWorry(visitOf(INES), Worry.About.A_PUPIL, "", false));

        assertThat(lesson.state().of(CONDUCT).worries())
                .extracting(Worry::isForAdults)
                .containsExactly(true, false, false, false);

        int first = lesson.state().of(CONDUCT).worries().get(0).number();
        int second = lesson.state().of(CONDUCT).worries().get(1).number();
        assertThat(lesson.order(new ConductOrder.SettleWorry(second, ORLA)).refused())
                .contains(NO_SUCH_WORRY);
        lesson.order(new ConductOrder.SettleWorry(first, ORLA));
        assertThat(lesson.state().of(CONDUCT).open()).hasSize(3);
    }

    @Test
    void nobody_floods_the_adults_with_worries_and_adults_have_other_ways() {
        LiveLesson lesson = open().present(INES);
        for (int i = 0; i < 10; i++) {
            lesson.order(new ConductOrder.RaiseWorry(visitOf(INES), Worry.About.NOTHING_SAID, "", false));
            assertThat(lesson.refused()).isEmpty();
        }
        assertThat(lesson.order(new ConductOrder.RaiseWorry(visitOf(INES), Worry.About.A_PUPIL, "", false))
                        .refused())
                .contains(Refusal.Common.TOO_MUCH);
        assertThat(lesson.order(new ConductOrder.RaiseWorry(visitOf(ORLA), Worry.About.A_PUPIL, "", false))
                        .refused())
                .contains(NOT_A_PUPIL);
    }

    @Test
    void a_moment_is_marked_by_any_adult_and_whoever_looks_on_and_noted_later() {
        LiveLesson lesson = open().observedBy(MAREN).present(INES).adult(MAREN);
        lesson.order(new ConductOrder.MarkMoment("", MAREN)).order(new ConductOrder.MarkMoment("", ORLA));
        int moment = lesson.state().of(CONDUCT).moments().get(1);

        lesson.order(new ConductOrder.Note(moment, "the drawing on page 2", ORLA));
        assertThat(lesson.refused()).isEmpty();
        assertThat(lesson.order(new ConductOrder.Note(1, "what", ORLA)).refused())
                .contains(NO_SUCH_STEP);
        assertThat(lesson.order(new ConductOrder.MarkMoment("", INES)).refused())
                .contains(Refusal.Common.NOT_AN_ADULT_HERE);
        assertThat(lesson.order(new SupervisionOrder.StopEverything("", ORLA)).refused())
                .isEmpty();
    }
}
