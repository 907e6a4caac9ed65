package juricast.core.presence;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.lesson.LiveLesson.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import juricast.core.door.DoorOrder;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.lesson.LiveLesson;
import juricast.core.time.Span;
import org.junit.jupiter.api.Test;

class PresenceTest {
    private static final Duration GRACE = Duration.ofSeconds(90);

    @Test
    void a_stay_that_goes_on_ends_now() {
        var lesson = open().present(INES);

        assertThat(of(lesson, "10:07").get(INES).stays()).containsExactly(new Span(at("10:00"), at("10:07")));
        assertThat(of(lesson, "10:07").get(ORLA).firstIn()).contains(at("09:50"));
    }

    @Test
    void a_removal_ends_the_stay_on_every_device_and_a_return_begins_another() {
        var lesson = open().present(JORY).knock("Jory Pell", "phone");
        lesson.order(new DoorOrder.Admit(new VisitId("phone"), Optional.empty(), ORLA))
                .time("10:10")
                .order(new DoorOrder.Remove(JORY, "", ORLA))
                .time("10:20")
                .knock("Jory Pell", "jory again")
                .time("10:22")
                .order(new DoorOrder.Admit(new VisitId("jory again"), Optional.empty(), ORLA));

        assertThat(of(lesson, "10:30").get(JORY).stays())
                .containsExactly(new Span(at("10:00"), at("10:10")), new Span(at("10:22"), at("10:30")));
        assertThat(of(lesson, "10:30").get(JORY).longestGap(GRACE)).isEqualTo(Duration.ofMinutes(12));
    }

    @Test
    void who_is_let_in_while_the_line_is_lost_is_there_from_when_they_are_heard_again() {
        var lesson = open().knock("Ines Carrow", "ines")
                .order(new DoorOrder.LoseConnection(new VisitId("ines")))
                .time("10:02")
                .order(new DoorOrder.Admit(new VisitId("ines"), Optional.empty(), ORLA));
        assertThat(of(lesson, "10:05").get(INES).stays()).isEmpty();

        lesson.time("10:06").order(new DoorOrder.ComeBack(new VisitId("ines")));
        assertThat(of(lesson, "10:08").get(INES).stays()).containsExactly(new Span(at("10:06"), at("10:08")));
    }

    @Test
    void a_wait_that_ended_outside_is_nobodys_wait_and_one_that_lasts_is() {
        var lesson = open().knock("Jory Pell", "jory")
                .knock("kestrel-tab-4", "tablet")
                .time("10:04")
                .order(new DoorOrder.TurnAway(new VisitId("tablet"), ORLA));

        assertThat(of(lesson, "10:06")).containsOnlyKeys(ORLA, JORY);
        assertThat(of(lesson, "10:06").get(JORY).waited()).isEqualTo(Duration.ofMinutes(6));
        assertThat(of(lesson, "10:06").get(JORY).cameAt()).isEmpty();
    }

    @Test
    void who_leaves_and_comes_again_came_when_they_first_knocked() {
        var lesson = open().time("10:02").present(INES).time("10:10").order(new DoorOrder.Leave(visitOf(INES)));
        lesson.time("10:30")
                .knock("Ines Carrow", "ines again")
                .order(new DoorOrder.Admit(new VisitId("ines again"), Optional.empty(), ORLA));

        assertThat(of(lesson, "10:40").get(INES).cameAt()).contains(at("10:02"));
        assertThat(of(lesson, "10:40").get(INES).timeWithin(lesson.plan().time(), GRACE))
                .isEqualTo(Duration.ofMinutes(18));
    }

    @Test
    void a_device_that_comes_back_after_it_was_put_out_is_not_present() {
        var lesson = open().present(JORY)
                .order(new DoorOrder.LoseConnection(visitOf(JORY)))
                .time("10:05")
                .order(new DoorOrder.Remove(JORY, "", ORLA))
                .time("10:06")
                .order(new DoorOrder.ComeBack(visitOf(JORY)));

        assertThat(lesson.state().of(DOOR).isPresent(JORY)).isFalse();
        assertThat(of(lesson, "10:20").get(JORY).timeWithin(lesson.plan().time(), GRACE))
                .isZero();
    }

    @Test
    void a_gap_of_exactly_the_grace_is_bridged_and_a_longer_one_is_not() {
        var short_ = attendance(new Span(at("10:00"), at("10:10")), new Span(at("10:11:30"), at("10:20")));
        var long_ = attendance(new Span(at("10:00"), at("10:10")), new Span(at("10:11:31"), at("10:20")));
        var window = new Span(at("10:00"), at("10:50"));

        assertThat(short_.timeWithin(window, GRACE)).isEqualTo(Duration.ofMinutes(20));
        assertThat(short_.longestGap(GRACE)).isZero();
        assertThat(long_.timeWithin(window, GRACE)).isEqualTo(Duration.ofSeconds(20 * 60 - 91));
        assertThat(long_.longestGap(GRACE)).isEqualTo(Duration.ofSeconds(91));
    }

    private static Attendance attendance(Span... stays) {
        return new Attendance(INES, java.util.List.of(stays), java.util.List.of(), Optional.empty());
    }

    private static Map<PersonId, Attendance> of(LiveLesson lesson, String now) {
        return Presence.of(lesson.events(), at(now));
    }
}
