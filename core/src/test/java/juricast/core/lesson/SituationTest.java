package juricast.core.lesson;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.lesson.LiveLesson.*;
import static juricast.core.rights.RightsPart.RIGHTS;
import static juricast.core.rules.Catalogue.CAMERA;
import static juricast.core.rules.Catalogue.CLASS_CHAT;
import static juricast.core.rules.Catalogue.PRIVATE_CHAT;
import static juricast.core.rules.Catalogue.SPEAK;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.Optional;
import juricast.core.chat.ChatOrder;
import juricast.core.chat.Readers;
import juricast.core.door.DoorOrder;
import juricast.core.entry.Arrival;
import juricast.core.entry.Outcome;
import juricast.core.entry.ReasonCode;
import juricast.core.identity.DeviceId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.live.Refusal;
import juricast.core.live.Visit;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsEvent;
import juricast.core.rights.RightsOrder;
import juricast.core.rules.Circumstance;
import juricast.core.rules.Condition;
import juricast.core.rules.Fact;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting.Force;
import org.junit.jupiter.api.Test;

/** Rules that depend on what happens in the lesson (need A4). */
class SituationTest {
    private static final Condition VISITED = Condition.during(Fact.VISITOR_PRESENT);
    private static final Condition ALONE = Condition.of(new Circumstance.Is(Fact.ADULT_PRESENT, false));

    @Test
    void a_visitors_arrival_closes_what_the_school_closes_for_guests_and_it_opens_again_when_they_go() {
        var lesson = open().invited()
                .school("chat.private", "open", Force.USUAL)
                .school("chat.private", "closed", Force.BINDING, VISITED)
                .present(INES)
                .present(JORY);
        assertThat(whisper(lesson).refused()).isEmpty();

        lesson.present(TOVE);
        assertThat(whisper(lesson).refused()).contains(Refusal.Common.RULE_CLOSED);
        assertThat(lesson.order(new RightsOrder.SetLive(new RuleValue(PRIVATE_CHAT, Permission.OPEN), ORLA))
                        .refused())
                .contains(Refusal.Common.RULE_BOUND);
        assertThat(lesson.order(new RightsOrder.GivePass(INES, PRIVATE_CHAT, minutes(2), ORLA))
                        .refused())
                .contains(Refusal.Common.RULE_BOUND);

        lesson.order(new DoorOrder.Leave(visitOf(TOVE)));
        assertThat(whisper(lesson).refused()).isEmpty();
    }

    @Test
    void what_is_on_goes_off_by_itself_when_a_visitor_comes_in() {
        var lesson = open().invited()
                .school("voice.camera", "on-request", Force.BINDING, VISITED)
                .present(INES)
                .order(new RightsOrder.TurnOn(visitOf(INES), Appliance.CAMERA));
        assertThat(lesson.state().of(RIGHTS).on(INES)).containsExactly(Appliance.CAMERA);

        lesson.present(TOVE);

        assertThat(lesson.state().of(RIGHTS).on(INES)).isEmpty();
        assertThat(lesson.events().get(lesson.events().size() - 1))
                .isEqualTo(new RightsEvent.TurnedOff(INES, Appliance.CAMERA, PersonId.RULES, at("10:00")));
    }

    @Test
    void a_room_that_loses_its_adult_is_in_another_situation_until_one_is_back() {
        var lesson = open().school("chat.class", "closed", Force.BINDING, ALONE).present(INES);
        assertThat(valueFor(lesson, CLASS_CHAT)).isEqualTo(Permission.OPEN);

        lesson.order(new DoorOrder.LoseConnection(visitOf(ORLA)));
        assertThat(valueFor(lesson, CLASS_CHAT)).isEqualTo(Permission.CLOSED);

        lesson.order(new DoorOrder.ComeBack(visitOf(ORLA)));
        assertThat(valueFor(lesson, CLASS_CHAT)).isEqualTo(Permission.OPEN);
    }

    @Test
    void the_clock_is_asked_again_when_the_first_minutes_are_over() {
        var lesson = open().school("voice.speak", "open", Force.USUAL)
                .school("voice.speak", "closed", Force.BINDING, Condition.of(new Circumstance.FirstMinutes(10)))
                .present(INES);
        Instant over = at("10:10");

        assertThat(lesson.order(new RightsOrder.TurnOn(visitOf(INES), Appliance.MICROPHONE))
                        .refused())
                .contains(Refusal.Common.RULE_CLOSED);
        assertThat(lesson.rules().nextTick()).isEqualTo(over);
        assertThat(lesson.time("10:10")
                        .order(new RightsOrder.TurnOn(visitOf(INES), Appliance.MICROPHONE))
                        .refused())
                .isEmpty();
        assertThat(valueFor(lesson, SPEAK)).isEqualTo(Permission.OPEN);
    }

    @Test
    void how_many_are_present_counts_pupils_and_visitors_once_each_and_no_adults() {
        var lesson = open().invited()
                .school("voice.camera", "closed", Force.USUAL, Condition.of(new Circumstance.AtLeast(3)))
                .adult(TAM)
                .present(INES)
                .present(JORY);
        assertThat(valueFor(lesson, CAMERA)).isEqualTo(Permission.OPEN);

        lesson.knock("Jory Pell", "jory's other device")
                .order(new DoorOrder.Admit(visit("jory's other device"), Optional.empty(), ORLA));
        assertThat(valueFor(lesson, CAMERA)).as("two devices of one pupil").isEqualTo(Permission.OPEN);

        lesson.present(TOVE);
        assertThat(valueFor(lesson, CAMERA)).isEqualTo(Permission.CLOSED);
    }

    @Test
    void who_came_by_a_name_alone_has_no_account_and_rules_may_ask_for_one() {
        var lesson = open().school(
                        "chat.class",
                        "closed",
                        Force.USUAL,
                        Condition.of(new Circumstance.Is(Fact.SCHOOL_ACCOUNT, false)))
                .present(INES);

        assertThat(lesson.state().rules(lesson.rulebook()).of(INES).value(CLASS_CHAT, Role.PUPIL, at("10:00")))
                .isEqualTo(Permission.CLOSED);
        assertThat(lesson.state().rules(lesson.rulebook()).of(ORLA).situation().is(Fact.SCHOOL_ACCOUNT))
                .isTrue();
    }

    @Test
    void who_comes_by_a_link_of_their_own_is_who_was_invited_and_has_no_account_of_the_school() {
        var lesson = open().invited()
                .order(new DoorOrder.Knock(Arrival.of(
                        new VisitId("boat"),
                        new DeviceId("boat"),
                        "a phone",
                        Optional.of(TOVE),
                        Arrival.Link.OWN,
                        true)));

        assertThat(lesson.visit("boat").person()).contains(TOVE);
        assertThat(lesson.visit("boat").verdict().outcome())
                .as("a visitor waits for an adult")
                .isEqualTo(Outcome.WAIT);
        lesson.order(new DoorOrder.Admit(new VisitId("boat"), Optional.empty(), ORLA));
        assertThat(lesson.state().of(DOOR).isPresent(TOVE)).isTrue();
        assertThat(lesson.state().of(DOOR).hasAccount(TOVE)).isFalse();
    }

    @Test
    void a_visitor_is_turned_away_where_the_rules_allow_none_and_no_adult_can_let_them_in() {
        var closed = open().invited().school("entry.visitors", "closed", Force.BINDING);
        assertThat(closed.knock("Tove Saltmarsh", "tove")
                        .visit("tove")
                        .verdict()
                        .has(ReasonCode.NO_VISITORS))
                .isTrue();
        assertThat(closed.visit("tove").status()).isEqualTo(Visit.Status.TURNED_AWAY);

        var closesLater = open().invited().knock("Tove Saltmarsh", "tove");
        assertThat(closesLater.visit("tove").status()).isEqualTo(Visit.Status.WAITING);
        closesLater
                .school("entry.visitors", "closed", Force.BINDING)
                .order(new DoorOrder.Admit(visit("tove"), Optional.empty(), ORLA));
        assertThat(closesLater.refused()).contains(Refusal.Common.RULE_CLOSED);
    }

    private static juricast.core.identity.VisitId visit(String device) {
        return new juricast.core.identity.VisitId(device);
    }

    private static LiveLesson whisper(LiveLesson lesson) {
        return lesson.order(new ChatOrder.Say(visitOf(INES), Readers.only(JORY), "psst"));
    }

    private static Permission valueFor(LiveLesson lesson, Rule<Permission> rule) {
        return lesson.state()
                .rules(lesson.rulebook())
                .value(rule, Role.PUPIL, lesson.rules().now());
    }
}
