package juricast.core.help;

import static juricast.core.help.HelpPart.HELP;
import static juricast.core.lesson.LiveLesson.*;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import juricast.core.door.DoorEvent;
import juricast.core.door.DoorOrder;
import juricast.core.door.DoorRefusal;
import juricast.core.ending.EndingOrder;
import juricast.core.entry.ReasonCode;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.lesson.LiveLesson;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonOrder.Tick;
import juricast.core.live.Refusal;
import juricast.core.live.RunningOrder;
import juricast.core.live.Stance;
import juricast.core.live.Visit.Status;
import juricast.core.register.Mark;
import juricast.core.register.Register;
import juricast.core.register.RegisterLine;
import juricast.core.rules.Fact;
import juricast.core.rules.Setting.Force;
import juricast.core.signals.SignalsOrder;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class HelpTest {
    private static final RunningOrder ORDER =
            new RunningOrder(List.of(new RunningOrder.Step(new Stance("quiet", "Quiet", List.of()), 10)), false);

    /** Orla's lesson with three in it, near its end; her door is open. */
    private static LiveLesson nearlyOver() {
        return open().school("entry.door", "open", Force.USUAL)
                .present(INES)
                .present(JORY)
                .present(KESTER)
                .time("10:48");
    }

    private static LiveLesson staying() {
        return nearlyOver().order(new HelpOrder.Stay(20, ORLA));
    }

    private static HelpState help(LiveLesson lesson) {
        return lesson.state().of(HELP);
    }

    private static List<ReasonCode> reasons(LiveLesson lesson, String device) {
        return lesson.visit(device).verdict().reasons().stream()
                .map(one -> one.code())
                .toList();
    }

    @Test
    void one_press_near_the_end_lets_the_class_go_and_keeps_those_whose_hand_is_up() {
        var lesson = nearlyOver()
                .order(new SignalsOrder.RaiseHand(new VisitId("ines")))
                .order(new SignalsOrder.RaiseHand(new VisitId("kester")))
                .order(new HelpOrder.Stay(20, ORLA));
        assertThat(help(lesson).isOn()).isTrue();
        assertThat(lesson.visit("jory").status()).isEqualTo(Status.LEFT);
        assertThat(lesson.visit("ines").status()).isEqualTo(Status.IN);
        assertThat(help(lesson).came()).isEqualTo(2);
        assertThat(lesson.rulebookNow().situation().is(Fact.HELP_HOUR)).isTrue();
        assertThat(lesson.state().there().isOver()).as("the room stays open").isFalse();
    }

    @Test
    void a_single_hand_does_not_stay_alone_with_one_adult_but_does_beside_a_second_one() {
        var hand = new SignalsOrder.RaiseHand(new VisitId("ines"));
        assertThat(nearlyOver()
                        .order(hand)
                        .order(new HelpOrder.Stay(20, ORLA))
                        .visit("ines")
                        .status())
                .isEqualTo(Status.LEFT);
        assertThat(nearlyOver()
                        .adult(TAM)
                        .order(hand)
                        .order(new HelpOrder.Stay(20, ORLA))
                        .visit("ines")
                        .status())
                .isEqualTo(Status.IN);
    }

    @Test
    void it_is_not_begun_in_the_middle_of_a_lesson_nor_twice_nor_by_a_pupil_nor_for_ever() {
        assertThat(open().order(new HelpOrder.Stay(20, ORLA)).refused()).contains(HelpRefusal.LESSON_GOES_ON);
        assertThat(staying().order(new HelpOrder.Stay(20, ORLA)).refused()).contains(HelpRefusal.IS_ONE_ALREADY);
        assertThat(nearlyOver().order(new HelpOrder.Stay(500, ORLA)).refused()).contains(HelpRefusal.WRONG_LENGTH);
        assertThat(nearlyOver().order(new HelpOrder.Stay(20, INES)).refused())
                .contains(Refusal.Common.NOT_AN_ADULT_HERE);
    }

    @Test
    void one_waits_kindly_until_another_comes_and_then_both_come_in() {
        var lesson = staying().time("10:50").knock("Ines Carrow", "ines");
        assertThat(lesson.visit("ines").status()).isEqualTo(Status.WAITING);
        assertThat(reasons(lesson, "ines")).contains(ReasonCode.WOULD_BE_ALONE);
        assertThat(lesson.order(new DoorOrder.Admit(new VisitId("ines"), Optional.empty(), ORLA))
                        .refused())
                .as("no adult's word is enough for that")
                .contains(DoorRefusal.ALONE_WITH_ONE);
        lesson.knock("Jory Pell", "jory");
        assertThat(lesson.visit("jory").status()).isEqualTo(Status.IN);
        assertThat(lesson.visit("ines").status()).as("judged again at once").isEqualTo(Status.IN);
    }

    @Test
    void where_everyone_knocks_the_two_are_let_in_together() {
        var lesson = staying()
                .school("entry.door", "knock", Force.BINDING)
                .knock("Ines Carrow", "ines")
                .knock("Jory Pell", "jory");
        assertThat(reasons(lesson, "ines")).doesNotContain(ReasonCode.WOULD_BE_ALONE);
        lesson.order(new DoorOrder.AdmitAllListed(ORLA));
        assertThat(lesson.visit("ines").status()).isEqualTo(Status.IN);
        assertThat(lesson.visit("jory").status()).isEqualTo(Status.IN);
    }

    @Test
    void where_the_rule_lets_it_or_a_second_adult_is_there_one_comes_in_alone() {
        assertThat(staying()
                        .school("supervision.one-to-one", "no", Force.USUAL)
                        .knock("Ines Carrow", "ines")
                        .visit("ines")
                        .status())
                .isEqualTo(Status.IN);
        assertThat(staying()
                        .adult(TAM)
                        .knock("Ines Carrow", "ines")
                        .visit("ines")
                        .status())
                .isEqualTo(Status.IN);
    }

    @Test
    void not_more_are_in_than_the_rule_says_and_the_first_of_the_row_comes_in_when_one_goes() {
        var lesson = staying()
                .school("entry.help-at-once", "2", Force.USUAL)
                .knock("Ines Carrow", "ines")
                .knock("Jory Pell", "jory")
                .knock("Kester Tabb", "kester");
        assertThat(reasons(lesson, "kester")).contains(ReasonCode.HELP_IS_FULL);
        assertThat(lesson.order(new DoorOrder.Admit(new VisitId("kester"), Optional.empty(), ORLA))
                        .refused())
                .contains(DoorRefusal.HELP_IS_FULL);
        lesson.time("10:53").order(new DoorOrder.Leave(new VisitId("ines")));
        assertThat(lesson.visit("kester").status()).isEqualTo(Status.IN);
        assertThat(help(lesson).been()).containsOnlyKeys(INES);
        assertThat(help(lesson).came()).isEqualTo(3);
    }

    @Test
    void whoever_is_left_alone_goes_to_the_row_after_a_minute_unless_somebody_else_has_come() {
        var lesson = staying()
                .knock("Ines Carrow", "ines")
                .knock("Jory Pell", "jory")
                .time("10:55");
        lesson.order(new DoorOrder.Leave(new VisitId("jory"))).time("10:55:30").order(new Tick());
        assertThat(lesson.visit("ines").status()).isEqualTo(Status.IN);
        assertThat(lesson.rules().nextTick()).isEqualTo(at("10:56"));
        lesson.time("10:56").order(new Tick());
        assertThat(lesson.visit("ines").status()).isEqualTo(Status.LEFT);
    }

    @Test
    void it_ends_with_the_adult_and_a_lost_line_has_the_time_that_the_rules_give() {
        var gone = staying().knock("Ines Carrow", "ines").knock("Jory Pell", "jory");
        gone.order(new DoorOrder.Leave(visitOf(ORLA)));
        assertThat(gone.state().there().isOver()).isTrue();
        var lost = staying()
                .knock("Ines Carrow", "ines")
                .knock("Jory Pell", "jory")
                .time("10:52");
        lost.order(new DoorOrder.LoseConnection(visitOf(ORLA))).time("10:53").order(new Tick());
        assertThat(lost.state().there().isOver()).isFalse();
        lost.time("10:54").order(new Tick());
        assertThat(lost.state().there().isOver()).isTrue();
        assertThat(dismissals(lost)).containsExactly(PersonId.RULES);
        var ended = staying().order(new EndingOrder.Dismiss(ORLA));
        assertThat(ended.state().there().isOver()).isTrue();
    }

    private static List<PersonId> dismissals(LiveLesson lesson) {
        return lesson.events().stream()
                .filter(DoorEvent.Dismissed.class::isInstance)
                .map(one -> ((DoorEvent.Dismissed) one).by())
                .toList();
    }

    @Test
    void a_planned_one_is_a_help_hour_from_its_opening_and_an_ordinary_lesson_never_by_itself() {
        var planned = open().helpHour();
        planned.order(new Tick());
        assertThat(help(planned).begun()).hasValueSatisfying(one -> {
            assertThat(one.stayed()).isFalse();
            assertThat(one.until()).isEqualTo(at("10:50"));
        });
        assertThat(help(open().order(new Tick())).isOn()).isFalse();
        List<LessonEvent> again = planned.order(new Tick()).events();
        assertThat(again.stream().filter(HelpEvent.Begun.class::isInstance)).hasSize(1);
    }

    @Test
    void the_register_of_the_lesson_ends_where_the_help_hour_begins_and_that_of_a_planned_one_has_a_mark_of_its_own() {
        var lesson = staying()
                .time("10:49")
                .knock("Ines Carrow", "ines")
                .knock("Jory Pell", "jory")
                .time("11:10");
        Register stayed =
                Register.of(lesson.plan(), lesson.events(), at("11:10"), lesson.rulebook(), Map.of(), Map.of());
        assertThat(stayed.window().until()).isEqualTo(at("10:48"));
        var planned = open().helpHour().school("entry.door", "open", Force.USUAL);
        planned.order(new Tick())
                .knock("Ines Carrow", "ines")
                .knock("Jory Pell", "jory")
                .time("10:40");
        Register register =
                Register.of(planned.plan(), planned.events(), at("10:40"), planned.rulebook(), Map.of(), Map.of());
        assertThat(register.lines())
                .extracting(line -> line.pupil().person(), RegisterLine::mark)
                .containsExactlyInAnyOrder(
                        tuple(INES, Mark.CAME), tuple(JORY, Mark.CAME), tuple(KESTER, Mark.NOT_EXPECTED));
        assertThat(Mark.CAME.counts()).as("no rate knows of it").isFalse();
    }

    @Test
    void nothing_is_made_anew_where_nobody_came_or_went_and_no_running_order_of_the_class_is_played_in_one() {
        var lesson = staying().knock("Ines Carrow", "ines").knock("Jory Pell", "jory");
        HelpState is = help(lesson);
        assertThat(is.counted(lesson.state().there(), lesson.now().plusSeconds(60)))
                .isSameAs(is);
        LiveLesson ordered = open().helpHour();
        assertThat(ordered.plan().with(ORDER, ordered.plan().watched()).order()).isEqualTo(RunningOrder.NONE);
        assertThat(open().plan().with(ORDER, ordered.plan().watched()).order()).isNotEqualTo(RunningOrder.NONE);
    }

    @Test
    void the_row_is_told_how_long_it_may_take_by_how_long_it_took_so_far() {
        Instant now = at("11:00");
        var fresh = new HelpState(
                Optional.empty(), Map.of(INES, at("10:58")), Map.of(), 0, true, Optional.empty(), Optional.empty());
        assertThat(HelpRow.waits(fresh, 1, 3, now)).containsExactly(minutes(3), minutes(8), minutes(13));
        assertThat(HelpRow.waits(fresh, 3, 2, now)).as("two places are free").containsExactly(minutes(0), minutes(0));
        var slow = new HelpState(
                Optional.empty(),
                Map.of(INES, at("10:30")),
                Map.of(JORY, minutes(20)),
                2,
                true,
                Optional.empty(),
                Optional.empty());
        assertThat(HelpRow.waits(slow, 1, 2, now))
                .as("longer than usual: soon")
                .containsExactly(minutes(1), minutes(11));
    }

    @Property(tries = 200)
    void nobody_further_back_in_the_row_is_expected_before_somebody_further_ahead(
            @ForAll @Size(max = 8) List<@IntRange(max = 40) Integer> minutesIn,
            @ForAll @IntRange(min = 1, max = 6) int places,
            @ForAll @IntRange(max = 12) int waiting) {
        Instant now = at("11:00");
        var in = new java.util.LinkedHashMap<PersonId, Instant>();
        for (int n = 0; n < minutesIn.size(); n++) {
            in.put(new PersonId("p" + n), now.minus(minutes(minutesIn.get(n))));
        }
        var state = new HelpState(Optional.empty(), in, Map.of(), 0, true, Optional.empty(), Optional.empty());
        List<Duration> waits = HelpRow.waits(state, places, waiting, now);
        assertThat(waits).hasSize(waiting).isSorted().noneMatch(Duration::isNegative);
    }
}
