package juricast.core.lesson;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.lesson.LiveLesson.*;
import static juricast.core.rights.RightsPart.RIGHTS;
import static juricast.core.supervision.SupervisionPart.SUPERVISION;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import juricast.core.chat.ChatOrder;
import juricast.core.chat.Readers;
import juricast.core.door.DoorOrder;
import juricast.core.door.DoorRefusal;
import juricast.core.identity.DeviceId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonOrder;
import juricast.core.live.LessonState;
import juricast.core.live.PlaceId;
import juricast.core.live.Refusal;
import juricast.core.live.WhoIsWhere;
import juricast.core.presence.Supervision;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsOrder;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting.Force;
import juricast.core.supervision.SupervisionOrder;
import juricast.core.supervision.SupervisionRefusal;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;

class SupervisionTest {
    @Test
    void a_lost_line_is_bridged_and_then_the_room_goes_quiet_by_itself() {
        var lesson = open().school("entry.door", "open", Force.USUAL)
                .present(INES)
                .order(new DoorOrder.LoseConnection(visitOf(ORLA)));
        assertThat(lesson.rules().nextTick()).isEqualTo(at("10:02"));

        lesson.time("10:01:59").order(new LessonOrder.Tick());
        assertThat(say(lesson).refused()).as("within the rule's minutes").isEmpty();

        lesson.time("10:02").order(new LessonOrder.Tick());
        assertThat(say(lesson).refused()).contains(Refusal.Common.RULE_CLOSED);
        assertThat(lesson.seat("ines").quiet()).isTrue();
        assertThat(lesson.knock("Jory Pell", "jory").visit("jory").isWaiting()).isTrue();

        lesson.time("10:04").order(new DoorOrder.ComeBack(visitOf(ORLA)));
        assertThat(lesson.seat("ines").quiet()).isFalse();
        assertThat(say(lesson).refused()).isEmpty();
        assertThat(lesson.state().of(DOOR).isPresent(JORY))
                .as("the open door lets in again" + lesson)
                .isTrue();
        assertThat(Supervision.of(lesson.events(), at("10:30")).total()).isEqualTo(Duration.ofMinutes(4));
    }

    @Test
    void with_no_tolerance_it_is_quiet_at_once_and_a_second_adult_is_enough() {
        var alone = open().school("supervision.alone-minutes", "0", Force.BINDING)
                .present(INES)
                .order(new DoorOrder.LoseConnection(visitOf(ORLA)));
        assertThat(alone.state().of(SUPERVISION).quietSince()).contains(at("10:00"));

        var two = open().school("supervision.alone-minutes", "0", Force.BINDING)
                .adult(TAM)
                .present(INES)
                .order(new DoorOrder.LoseConnection(visitOf(ORLA)));
        assertThat(two.state().of(SUPERVISION).quietSince()).isEmpty();
    }

    @Test
    void stepping_out_needs_another_adult_in_charge() {
        var lesson = open().present(INES).order(new DoorOrder.Leave(visitOf(ORLA)));
        assertThat(lesson.refused()).contains(DoorRefusal.LAST_ADULT);
        assertThat(lesson.adult(TAM).order(new DoorOrder.Leave(visitOf(ORLA))).refused())
                .isEmpty();
    }

    @Test
    void an_observer_looks_on_and_takes_charge_only_of_a_room_without_an_adult() {
        var lesson = open().observedBy(MAREN)
                .present(INES)
                .order(new DoorOrder.Join(visitOf(MAREN), new DeviceId("corridor"), MAREN));
        assertThat(lesson.state().of(DOOR).isPresent(MAREN)).isTrue();
        assertThat(lesson.order(new RightsOrder.MuteAll(true, MAREN)).refused())
                .contains(Refusal.Common.NOT_AN_ADULT_HERE);
        for (Readers to : List.of(Readers.CLASS, Readers.ADULTS, Readers.only(INES), Readers.only(ORLA))) {
            assertThat(lesson.order(new ChatOrder.Say(visitOf(MAREN), to, "hello"))
                            .refused())
                    .contains(Refusal.Common.NOT_AN_ADULT_HERE);
        }
        assertThat(lesson.order(new SupervisionOrder.TakeCharge(MAREN)).refused())
                .contains(SupervisionRefusal.AN_ADULT_IS_IN);

        lesson.order(new DoorOrder.LoseConnection(visitOf(ORLA))).time("10:02").order(new LessonOrder.Tick());
        assertThat(lesson.state().of(SUPERVISION).quietSince())
                .as("an observer is no adult in charge")
                .isPresent();

        lesson.order(new SupervisionOrder.TakeCharge(MAREN));
        assertThat(lesson.state().of(SUPERVISION).quietSince()).isEmpty();
        assertThat(lesson.order(new RightsOrder.MuteAll(true, MAREN)).refused()).isEmpty();
        assertThat(lesson.state().of(DOOR).visit(visitOf(MAREN)).orElseThrow().role())
                .isEqualTo(Role.SECOND_ADULT);
    }

    /** Whatever happens: beyond the tolerance, no room without an adult has an open chat, a board or a shared screen. */
    @Property(tries = 300)
    void a_room_without_an_adult_is_never_open_beyond_the_tolerance(@ForAll("happenings") List<Integer> happenings) {
        var lesson = open().school("share.screen", "open", Force.USUAL)
                .school("share.draw", "open", Force.USUAL)
                .school("entry.door", "open", Force.USUAL);
        int second = 0;
        for (int what : happenings) {
            second += 25;
            lesson.time("10:%02d:%02d".formatted(second / 60, second % 60)).order(new LessonOrder.Tick());
            happen(lesson, what);
            LessonState state = lesson.state();
            boolean tooLong = state.of(DOOR)
                    .aloneSince()
                    .filter(since -> !lesson.now().isBefore(since.plusSeconds(120)))
                    .isPresent();
            assertThat(tooLong && state.of(SUPERVISION).quietSince().isEmpty())
                    .as("alone too long, and not quiet" + lesson)
                    .isFalse();
            assertThat(state.of(SUPERVISION).quietSince().isPresent()
                            && state.of(DOOR).anAdultIsIn())
                    .as("quiet though an adult is in" + lesson)
                    .isFalse();
            if (tooLong) {
                for (var right : List.of(Catalogue.CLASS_CHAT, Catalogue.SHARE_SCREEN, Catalogue.DRAW)) {
                    assertThat(lesson.rulebookNow().value(right, Role.PUPIL, lesson.now()))
                            .isEqualTo(Permission.CLOSED);
                }
                assertThat(state.of(RIGHTS).showing(WhoIsWhere.ALL_TOGETHER, PlaceId.TOGETHER))
                        .isEmpty();
            }
        }
    }

    private static void happen(LiveLesson lesson, int what) {
        VisitId ines = visitOf(INES);
        switch (what) {
            case 0 -> lesson.knock("Ines Carrow", "ines");
            case 1 -> lesson.order(new DoorOrder.LoseConnection(visitOf(ORLA)));
            case 2 -> lesson.order(new DoorOrder.ComeBack(visitOf(ORLA)));
            case 3 -> lesson.order(new DoorOrder.LoseConnection(ines));
            case 4 -> lesson.order(new DoorOrder.ComeBack(ines));
            case 5 -> lesson.order(new RightsOrder.TurnOn(ines, Appliance.SCREEN));
            case 6 -> lesson.order(new RightsOrder.SetLive(RuleValue.parse("chat.class=open"), ORLA));
            case 7 -> lesson.order(new RightsOrder.GivePass(INES, Catalogue.DRAW, minutes(10), ORLA));
            case 8 -> lesson.order(new SupervisionOrder.StopEverything("", ORLA));
            case 9 -> lesson.order(new SupervisionOrder.Resume(ORLA));
            default -> lesson.order(new DoorOrder.Leave(visitOf(what % 2 == 0 ? ORLA : INES)));
        }
    }

    @Provide
    Arbitrary<List<Integer>> happenings() {
        return Arbitraries.integers().between(0, 11).list().ofMinSize(5).ofMaxSize(60);
    }

    private static LiveLesson say(LiveLesson lesson) {
        return lesson.order(new ChatOrder.Say(visitOf(INES), Readers.CLASS, "is anybody there?"));
    }
}
