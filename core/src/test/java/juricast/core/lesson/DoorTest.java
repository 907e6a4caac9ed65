package juricast.core.lesson;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.lesson.LiveLesson.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import juricast.core.door.DoorOrder;
import juricast.core.door.DoorRefusal;
import juricast.core.entry.Arrival;
import juricast.core.entry.ReasonCode;
import juricast.core.identity.DeviceId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonOrder;
import juricast.core.live.Refusal;
import juricast.core.live.Visit.Status;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsOrder;
import juricast.core.rights.RightsRefusal;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting.Force;
import org.junit.jupiter.api.Test;

class DoorTest {
    @Test
    void nobody_is_in_before_an_adult_even_where_the_door_is_open() {
        var lesson = planned()
                .school("entry.door", "open", Force.USUAL)
                .time("09:55")
                .knock("Ines Carrow", "ines");

        assertThat(lesson.visit("ines").status()).isEqualTo(Status.WAITING);
        assertThat(lesson.visit("ines").verdict().reasons().get(0).code()).isEqualTo(ReasonCode.NO_ADULT_YET);
        assertThat(lesson.desk().door().waiting()).hasSize(1);
    }

    @Test
    void with_the_door_open_the_class_list_walks_in_as_soon_as_the_adult_is_there_and_strangers_wait() {
        var lesson = planned()
                .school("entry.door", "open", Force.USUAL)
                .knock("Ines Carrow", "ines")
                .knock("Somebody Else", "stranger")
                .order(new DoorOrder.Open(ORLA));

        assertThat(lesson.state().of(DOOR).isPresent(INES))
                .as("opened, but no adult in the room" + lesson)
                .isFalse();

        lesson.adult(ORLA);

        assertThat(lesson.state().of(DOOR).isPresent(INES)).isTrue();
        assertThat(lesson.visit("stranger").status()).isEqualTo(Status.WAITING);
    }

    @Test
    void an_adult_opens_no_earlier_than_the_rule_says_and_only_once() {
        var lesson = planned().time("09:29").order(new DoorOrder.Open(ORLA));
        assertThat(lesson.refused()).contains(DoorRefusal.TOO_EARLY_TO_OPEN);

        lesson.time("09:30").order(new DoorOrder.Open(ORLA));
        assertThat(lesson.refused()).isEmpty();

        lesson.order(new DoorOrder.Open(TAM));
        assertThat(lesson.refused()).contains(DoorRefusal.ALREADY_OPEN);
    }

    @Test
    void letting_in_all_on_the_list_leaves_the_tablet_the_double_the_stranger_and_the_slip_waiting() {
        var lesson = open().present(INES)
                .knock("Jory Pell", "jory")
                .knock("kestrel-tab-4", "tablet")
                .knock("Ines Carrow", "second device of ines")
                .knock("Wolf Harrow", "stranger")
                .knock("Kester Tab", "slip")
                .order(new DoorOrder.AdmitAllListed(ORLA));

        assertThat(lesson.state().of(DOOR).isPresent(JORY)).isTrue();
        assertThat(lesson.state().of(DOOR).waiting())
                .extracting(visit -> visit.id().value())
                .containsExactly("tablet", "second device of ines", "stranger", "slip");
    }

    @Test
    void two_devices_under_one_name_are_not_both_let_in_by_the_bulk_action() {
        var lesson = open().knock("Jory Pell", "first")
                .knock("Jory Pell", "second")
                .order(new DoorOrder.AdmitAllListed(ORLA));

        assertThat(lesson.visit("first").status()).isEqualTo(Status.IN);
        assertThat(lesson.visit("second").status()).isEqualTo(Status.WAITING);
        assertThat(lesson.visit("second").verdict().has(ReasonCode.ALREADY_HERE))
                .as("and the desk is told why" + lesson)
                .isTrue();
    }

    @Test
    void someone_unknown_is_let_in_only_as_somebody_on_the_list() {
        var lesson = open().knock("kestrel-tab-4", "tablet");

        lesson.order(new DoorOrder.Admit(new VisitId("tablet"), Optional.empty(), ORLA));
        assertThat(lesson.refused()).contains(DoorRefusal.WHO_IS_IT);

        lesson.order(new DoorOrder.Admit(new VisitId("tablet"), Optional.of(TAM), ORLA));
        assertThat(lesson.refused()).contains(DoorRefusal.NOT_ON_LIST);

        lesson.order(new DoorOrder.Admit(new VisitId("tablet"), Optional.of(KESTER), ORLA));
        assertThat(lesson.state().of(DOOR).isPresent(KESTER)).isTrue();
    }

    @Test
    void who_comes_too_early_waits_and_the_clock_judges_again() {
        var lesson = planned()
                .school("entry.door", "open", Force.USUAL)
                .time("09:40")
                .order(new DoorOrder.Open(ORLA))
                .adult(ORLA)
                .knock("Ines Carrow", "ines");

        assertThat(lesson.visit("ines").verdict().has(ReasonCode.TOO_EARLY)).isTrue();
        assertThat(lesson.rules().nextTick()).isEqualTo(at("09:50"));

        lesson.time("09:50").order(new LessonOrder.Tick());
        assertThat(lesson.state().of(DOOR).isPresent(INES)).isTrue();
    }

    @Test
    void an_adult_cannot_let_a_pupil_in_before_the_rule_allows_it() {
        var lesson = planned()
                .time("09:45")
                .order(new DoorOrder.Open(ORLA))
                .adult(ORLA)
                .present(INES);

        assertThat(lesson.refused()).contains(DoorRefusal.TOO_EARLY_TO_ADMIT);
    }

    @Test
    void removed_means_removed_by_name_and_by_device_until_an_adult_approves() {
        var lesson = open().present(JORY).order(new DoorOrder.Remove(JORY, "shouting", ORLA));
        assertThat(lesson.state().of(DOOR).isPresent(JORY)).isFalse();

        lesson.knock("Jory Pell", "another device").knock("Ines Carrow", "jory");
        assertThat(lesson.visit("another device").verdict().has(ReasonCode.REMOVED_EARLIER))
                .isTrue();
        assertThat(lesson.visit("jory").verdict().has(ReasonCode.REMOVED_EARLIER))
                .isTrue();

        lesson.order(new DoorOrder.AdmitAllListed(ORLA));
        assertThat(lesson.state().of(DOOR).waiting()).hasSize(2);

        lesson.order(new DoorOrder.Admit(new VisitId("another device"), Optional.empty(), ORLA));
        assertThat(lesson.state().of(DOOR).isPresent(JORY)).isTrue();
        assertThat(lesson.visit("jory").verdict().has(ReasonCode.REMOVED_EARLIER))
                .isFalse();
    }

    @Test
    void where_the_rule_says_never_a_removed_pupil_is_turned_away_and_no_adult_can_approve() {
        var lesson = open().school("entry.re-entry", "never", Force.BINDING)
                .present(JORY)
                .order(new DoorOrder.Remove(JORY, "shouting", ORLA))
                .knock("Jory Pell", "another device");

        assertThat(lesson.visit("another device").status()).isEqualTo(Status.TURNED_AWAY);
        assertThat(lesson.desk().door().refused()).hasSize(1);
        assertThat(lesson.order(new DoorOrder.AllowBack(JORY, ORLA)).refused()).contains(Refusal.Common.RULE_CLOSED);
    }

    @Test
    void a_door_that_the_charter_binds_shut_cannot_be_opened_from_the_desk() {
        var lesson = open().school("entry.door", "knock", Force.BINDING)
                .order(new RightsOrder.SetLive(RuleValue.parse("entry.door=open"), ORLA));
        assertThat(lesson.refused()).contains(Refusal.Common.RULE_BOUND);

        lesson.order(new RightsOrder.SetLive(RuleValue.parse("entry.door=shut"), ORLA))
                .knock("Ines Carrow", "ines");
        assertThat(lesson.visit("ines").verdict().has(ReasonCode.DOOR_SHUT)).isTrue();
    }

    @Test
    void who_waits_and_knocks_again_under_another_name_stands_at_the_door_once() {
        var lesson = open().knock("nobody", "tablet");
        lesson.order(new DoorOrder.Knock(Arrival.of(
                new VisitId("again"),
                new DeviceId("tablet"),
                "Ines Carrow",
                Optional.empty(),
                Arrival.Link.CURRENT,
                true)));

        assertThat(lesson.state().of(DOOR).waiting()).singleElement().satisfies(visit -> assertThat(visit.person())
                .contains(INES));
    }

    @Test
    void where_everyone_is_let_in_one_by_one_no_order_lets_the_list_in_at_once() {
        var lesson = open().school("entry.one-by-one", "yes", Force.BINDING)
                .knock("Ines Carrow", "ines")
                .order(new DoorOrder.AdmitAllListed(ORLA));

        assertThat(lesson.refused()).contains(DoorRefusal.ONE_BY_ONE);
        assertThat(lesson.order(new DoorOrder.Admit(new VisitId("ines"), Optional.empty(), ORLA))
                        .refused())
                .isEmpty();
    }

    @Test
    void who_is_signed_in_takes_the_place_of_who_claimed_the_name_who_is_then_asked_at_the_door() {
        var lesson = open().present(INES);
        lesson.order(new DoorOrder.Knock(Arrival.of(
                        new VisitId("own"),
                        new DeviceId("own tablet"),
                        "Ines",
                        Optional.of(INES),
                        Arrival.Link.CURRENT,
                        true)))
                .order(new DoorOrder.AdmitAllListed(ORLA));

        assertThat(lesson.visit("own").status()).isEqualTo(Status.IN);
        assertThat(lesson.visit("ines").status()).isEqualTo(Status.TURNED_AWAY);
        assertThat(lesson.state().of(DOOR).occupants()).isOne();
        lesson.knock("Ines Carrow", "ines");
        assertThat(lesson.state().of(DOOR).waiting()).hasSize(1);
    }

    @Test
    void a_caller_speaks_and_shows_nothing_and_is_not_let_in_as_somebody_whom_the_rules_keep_from_the_telephone() {
        var lesson = open().school("voice.speak", "open", Force.USUAL);
        lesson.order(calls("first"));
        assertThat(lesson.order(new DoorOrder.Admit(new VisitId("first"), Optional.empty(), ORLA))
                        .refused())
                .contains(DoorRefusal.WHO_IS_IT);
        lesson.order(new DoorOrder.Admit(new VisitId("first"), Optional.of(INES), ORLA));

        assertThat(turnsOn(lesson, Appliance.MICROPHONE)).isEmpty();
        assertThat(turnsOn(lesson, Appliance.CAMERA)).contains(RightsRefusal.NOT_FOR_THEM);

        lesson.order(new DoorOrder.Leave(new VisitId("first"))).order(calls("second"));
        assertThat(lesson.visit("second").person()).as("known by the number").contains(INES);
        lesson.school("entry.telephone", "closed", Force.BINDING)
                .order(new DoorOrder.Admit(new VisitId("second"), Optional.of(JORY), ORLA));
        assertThat(lesson.refused()).contains(Refusal.Common.RULE_CLOSED);
    }

    private static Optional<Refusal.Code> turnsOn(LiveLesson lesson, Appliance what) {
        return lesson.order(new RightsOrder.TurnOn(new VisitId("first"), what)).refused();
    }

    private static DoorOrder.Knock calls(String visit) {
        return new DoorOrder.Knock(new Arrival(
                new VisitId(visit),
                new DeviceId(visit),
                "07700 900123",
                Optional.empty(),
                Arrival.Link.CURRENT,
                true,
                Optional.of(new Arrival.Outside(Arrival.Way.TELEPHONE, "07700 900123"))));
    }
}
