package juricast.core.register;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.lesson.LiveLesson.*;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import juricast.core.door.DoorOrder;
import juricast.core.ending.EndingOrder;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.lesson.LiveLesson;
import juricast.core.rules.Setting;
import juricast.core.time.Span;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class RegisterTest {
    @Test
    void time_at_the_door_is_not_the_pupils_fault() {
        var lesson = open().time("10:01")
                .knock("Ines Carrow", "ines")
                .time("10:12")
                .order(new DoorOrder.Admit(new VisitId("ines"), Optional.empty(), ORLA))
                .time("10:50")
                .order(new EndingOrder.Dismiss(ORLA));

        RegisterLine ines = line(lesson, INES);

        assertThat(ines.mark()).isEqualTo(Mark.PRESENT);
        assertThat(ines.waited()).isEqualTo(Duration.ofMinutes(11));
        assertThat(ines.minutes()).isEqualTo(38);
    }

    @Test
    void late_is_later_than_the_rules_minutes_and_exactly_on_them_is_not() {
        var lesson = open().time("10:05")
                .present(INES)
                .time("10:05:01")
                .present(JORY)
                .time("10:50");

        lesson.order(new EndingOrder.Dismiss(ORLA));

        assertThat(line(lesson, INES).mark()).isEqualTo(Mark.PRESENT);
        assertThat(line(lesson, JORY).mark()).isEqualTo(Mark.LATE);
        assertThat(line(lesson, JORY).lateMinutes()).isEqualTo(5);
        assertThat(line(lesson, KESTER).mark()).isEqualTo(Mark.ABSENT);
    }

    @Test
    void a_short_drop_is_bridged_and_a_long_one_is_a_gap() {
        var lesson = open().present(INES).present(JORY);
        drop(lesson, INES, "10:10", "10:11:30");
        drop(lesson, JORY, "10:20", "10:25");
        lesson.time("10:50").order(new EndingOrder.Dismiss(ORLA));

        assertThat(line(lesson, INES).minutes()).isEqualTo(50);
        assertThat(line(lesson, INES).longestGap()).isZero();
        assertThat(line(lesson, JORY).minutes()).isEqualTo(45);
        assertThat(line(lesson, JORY).longestGap()).isEqualTo(Duration.ofMinutes(5));
    }

    @Test
    void two_devices_count_once_and_minutes_outside_the_lesson_do_not_count() {
        var lesson = open().time("09:55").present(INES).time("10:10").knock("Ines Carrow", "phone");
        lesson.order(new DoorOrder.Admit(new VisitId("phone"), Optional.empty(), ORLA))
                .time("10:20")
                .order(new DoorOrder.Leave(visitOf(INES)))
                .time("10:55")
                .order(new EndingOrder.Dismiss(ORLA));

        assertThat(line(lesson, INES).minutes()).isEqualTo(50);
        assertThat(line(lesson, INES).attendance().firstIn()).contains(at("09:55"));
        assertThat(line(lesson, INES).attendance().lastOut()).contains(at("10:55"));
    }

    @Test
    void who_was_away_and_has_watched_enough_has_a_mark_of_their_own_where_the_school_counts_it() {
        var lesson = open().present(INES).time("10:50").order(new EndingOrder.Dismiss(ORLA));
        var watched = Map.of(INES, 100, JORY, 80, KESTER, 79);
        var register = Register.of(lesson.plan(), lesson.events(), at("10:50"), lesson.rulebook(), Map.of(), Map.of());

        assertThat(register.watched(watched, lesson.rulebook()))
                .as("not counted")
                .isEqualTo(register);
        lesson.school("register.watched-percent", "80", juricast.core.rules.Setting.Force.USUAL);
        assertThat(register.watched(watched, lesson.rulebook()).lines())
                .extracting(one -> one.pupil().person() + " " + one.mark())
                .containsExactlyInAnyOrder("ines PRESENT", "jory WATCHED", "kester ABSENT");
    }

    @Test
    void a_correction_stands_beside_the_computed_mark() {
        var lesson = open().time("10:50").order(new EndingOrder.Dismiss(ORLA));
        var correction = new Correction(INES, Mark.EXCUSED, "", 0, "sick bed, told by phone", ORLA, at("11:00"));

        var register = Register.of(
                lesson.plan(), lesson.events(), at("10:50"), lesson.rulebook(), Map.of(INES, correction), Map.of());

        assertThat(register.lines().get(0).mark()).isEqualTo(Mark.EXCUSED);
        assertThat(register.lines().get(0).computed()).isEqualTo(Mark.ABSENT);
        assertThat(register.count(Mark.ABSENT)).isEqualTo(2);
        assertThatThrownBy(() -> new Correction(INES, Mark.PRESENT, "", 0, " ", ORLA, at("11:00")))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void who_went_early_was_there_in_part_or_hardly_at_all_is_told_apart_by_the_rules_of_the_day() {
        var lesson = open().present(INES).present(JORY).present(KESTER);
        lesson.time("10:20").order(new DoorOrder.Leave(visitOf(KESTER)));
        drop(lesson, JORY, "10:21", "10:35");
        lesson.time("10:40").order(new DoorOrder.Leave(visitOf(INES)));
        lesson.time("10:50").order(new EndingOrder.Dismiss(ORLA));

        assertThat(line(lesson, INES).mark()).isEqualTo(Mark.LEFT_EARLY);
        assertThat(line(lesson, INES).earlyMinutes()).isEqualTo(10);
        assertThat(line(lesson, JORY).mark()).isEqualTo(Mark.PARTLY);
        assertThat(line(lesson, JORY).share()).isEqualTo(72);
        assertThat(line(lesson, JORY).drops()).isEqualTo(1);
        assertThat(line(lesson, KESTER).mark()).as("twenty of fifty minutes").isEqualTo(Mark.ABSENT);

        lesson.school("register.absent-below", "40", Setting.Force.USUAL)
                .school("register.left-early", "10", Setting.Force.USUAL);
        assertThat(line(lesson, KESTER).mark()).isEqualTo(Mark.LEFT_EARLY);
        assertThat(line(lesson, INES).mark())
                .as("eighty percent, and ten minutes are allowed")
                .isEqualTo(Mark.PRESENT);
    }

    @Test
    void stays_that_another_service_wrote_down_count_beside_those_seen_here() {
        var lesson = open().time("10:30").present(INES).time("10:50").order(new EndingOrder.Dismiss(ORLA));
        assertThat(line(lesson, INES).mark()).isEqualTo(Mark.ABSENT);
        var register = Register.of(
                lesson.plan(),
                lesson.events(),
                at("10:50"),
                lesson.rulebook(),
                Map.of(),
                Map.of(
                        INES, List.of(new Span(at("09:58"), at("10:30"))),
                        JORY, List.of(new Span(at("10:10"), at("10:50")))));
        assertThat(register.lines().get(0).mark()).isEqualTo(Mark.PRESENT);
        assertThat(register.lines().get(0).minutes()).isEqualTo(50);
        assertThat(register.lines().get(1).mark()).isEqualTo(Mark.LATE);
    }

    @Test
    void a_lesson_that_ended_before_its_time_came_has_a_register_too() {
        var lesson = planned()
                .time("09:50")
                .order(new DoorOrder.Open(ORLA))
                .adult(ORLA)
                .time("09:55");
        lesson.order(new EndingOrder.Dismiss(ORLA));
        assertThat(line(lesson, INES).mark()).isEqualTo(Mark.ABSENT);
    }

    @Test
    void who_is_dismissed_early_has_not_left_early() {
        var lesson = open().present(INES).time("10:30").order(new EndingOrder.Dismiss(ORLA));
        assertThat(line(lesson, INES).mark()).isEqualTo(Mark.PRESENT);
        assertThat(line(lesson, INES).share()).isEqualTo(100);
    }

    /** However long somebody waits, at the beginning or after a lost line, the mark is what it is without the wait. */
    @Property(tries = 100)
    void waiting_makes_nobody_late_or_absent(
            @ForAll @IntRange(max = 40) int knock, @ForAll @IntRange(max = 9) int wait) {
        var waited = open().time("10:%02d".formatted(knock))
                .knock("Ines Carrow", "ines")
                .time("10:%02d".formatted(knock + wait))
                .order(new DoorOrder.Admit(new VisitId("ines"), Optional.empty(), ORLA))
                .time("10:50")
                .order(new EndingOrder.Dismiss(ORLA));
        var not = open().time("10:%02d".formatted(knock))
                .present(INES)
                .time("10:50")
                .order(new EndingOrder.Dismiss(ORLA));
        assertThat(line(waited, INES).mark()).isEqualTo(line(not, INES).mark());
        assertThat(line(waited, INES).lateMinutes()).isEqualTo(line(not, INES).lateMinutes());
    }

    private static void drop(LiveLesson lesson, PersonId who, String from, String until) {
        lesson.time(from)
                .order(new DoorOrder.LoseConnection(visitOf(who)))
                .time(until)
                .order(new DoorOrder.ComeBack(visitOf(who)));
    }

    private static RegisterLine line(LiveLesson lesson, PersonId pupil) {
        return Register.of(
                        lesson.plan(),
                        lesson.events(),
                        lesson.state().of(DOOR).dismissedAt().orElseThrow(),
                        lesson.rulebook(),
                        Map.of(),
                        Map.of())
                .lines()
                .stream()
                .filter(line -> line.pupil().person().equals(pupil))
                .findFirst()
                .orElseThrow();
    }
}
