package juricast.core.audience;

import static juricast.core.conduct.ConductPart.CONDUCT;
import static juricast.core.lesson.LiveLesson.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import juricast.core.audience.CorridorView.Kind;
import juricast.core.audience.CorridorView.Worry;
import juricast.core.chat.ChatOrder;
import juricast.core.conduct.ConductOrder;
import juricast.core.conduct.Worry.About;
import juricast.core.door.DoorOrder;
import juricast.core.entry.Sweep;
import juricast.core.identity.DeviceId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.lesson.LiveLesson;
import juricast.core.live.LessonOrder;
import juricast.core.rights.RightsOrder;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting.Force;
import juricast.core.supervision.SupervisionOrder;
import org.junit.jupiter.api.Test;

class CorridorViewTest {
    @Test
    void a_lesson_in_which_all_is_well_is_no_worry() {
        var line = line(open().present(INES));

        assertThat(line.worries()).isEmpty();
        assertThat(line.present()).isEqualTo(1);
        assertThat(line.adultsIn()).extracting(one -> one.person()).containsExactly(ORLA);
    }

    @Test
    void a_lost_adult_is_told_at_once_and_again_worse_when_the_room_has_gone_quiet() {
        var lesson = open().present(INES).time("10:05").order(new DoorOrder.LoseConnection(visitOf(ORLA)));
        assertThat(line(lesson).worries()).containsExactly(new Worry(Kind.NO_ADULT, at("10:05"), List.of()));

        lesson.time("10:07").order(new LessonOrder.Tick());
        assertThat(line(lesson).worries()).containsExactly(new Worry(Kind.QUIET_WITHOUT_ADULT, at("10:05"), List.of()));
    }

    @Test
    void what_happens_at_the_door_is_told_by_name() {
        var lesson = open().school("entry.door", "open", Force.USUAL)
                .present(JORY)
                .order(new DoorOrder.Remove(JORY, "shouting", ORLA))
                .time("10:01")
                .knock("Jory Pell", "another device")
                .knock("Wolf Harrow", "stranger")
                .order(new DoorOrder.NoticeSweep(new Sweep(
                        new DeviceId("stranger"), "Wolf Harrow", Set.of(new LessonId("a"), new LessonId("b")))));

        assertThat(kinds(lesson)).containsExactly(Kind.SWEEP, Kind.REMOVED_KNOCKS, Kind.STRANGER_AT_OPEN_DOOR);
        assertThat(kinds(lesson.time("10:04"))).contains(Kind.WAITS_LONG);
        assertThat(line(lesson).worries().get(1).who()).containsExactly("Jory Pell");

        lesson.order(new RightsOrder.SetLive(RuleValue.parse("entry.door=shut"), ORLA));
        assertThat(kinds(lesson)).doesNotContain(Kind.STRANGER_AT_OPEN_DOOR);
    }

    @Test
    void too_few_adults_words_that_wait_a_stop_and_overtime_are_told() {
        var lesson = open().school("supervision.adults", "2", Force.BINDING)
                .present(INES)
                .order(new ChatOrder.Say(visitOf(INES), juricast.core.chat.Readers.CLASS, "see www.tides for more"));
        assertThat(kinds(lesson)).containsExactly(Kind.TOO_FEW_ADULTS);

        assertThat(kinds(lesson.adult(TAM).time("10:03"))).containsExactly(Kind.WORDS_WAIT);
        assertThat(kinds(lesson.order(new SupervisionOrder.StopEverything("", TAM))
                        .time("10:53")))
                .containsExactly(Kind.STOPPED, Kind.WORDS_WAIT, Kind.OVER_TIME);
    }

    @Test
    void a_pupils_worry_is_told_without_a_name_and_one_about_an_adult_to_no_lead_of_that_lesson() {
        var lesson = open().present(INES)
                .present(JORY)
                .order(new ConductOrder.RaiseWorry(visitOf(INES), About.A_PUPIL, "he writes to me", false))
                .time("10:03")
                .order(new ConductOrder.RaiseWorry(visitOf(JORY), About.AN_ADULT, "", false));

        var line = line(lesson);
        assertThat(line.seenBy(new PersonId("maren"))).isEqualTo(line);
        assertThat(line.worries())
                .containsExactly(
                        new Worry(Kind.WORRY_ABOUT_ADULT, at("10:03"), List.of()),
                        new Worry(Kind.PUPILS_WORRY, at("10:00"), List.of()));
        assertThat(line.seenBy(ORLA).worries()).extracting(Worry::kind).containsExactly(Kind.PUPILS_WORRY);

        int settled = lesson.state().of(CONDUCT).open().get(0).number();
        assertThat(kinds(lesson.order(new ConductOrder.SettleWorry(settled, ORLA))))
                .containsExactly(Kind.WORRY_ABOUT_ADULT);
    }

    @Test
    void the_worst_comes_first_and_a_lesson_nobody_opened_is_among_them() {
        var fine = line(open().present(INES));
        var unopened = line(planned().time("10:02"));
        var alone = line(open().present(INES).order(new DoorOrder.LoseConnection(visitOf(ORLA))));

        assertThat(line(planned().time("10:01:59")).worries()).isEmpty();
        assertThat(CorridorView.of(List.of(fine, unopened, alone)).lines()).containsExactly(alone, unopened, fine);
    }

    private static CorridorView.Line line(LiveLesson lesson) {
        return CorridorView.line(lesson.plan(), lesson.state(), lesson.rulebook(), lesson.now());
    }

    private static List<Kind> kinds(LiveLesson lesson) {
        return line(lesson).worries().stream().map(Worry::kind).toList();
    }
}
