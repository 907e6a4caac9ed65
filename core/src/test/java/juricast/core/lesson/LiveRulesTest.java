package juricast.core.lesson;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.lesson.LiveLesson.*;
import static juricast.core.supervision.SupervisionPart.SUPERVISION;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import juricast.core.door.DoorOrder;
import juricast.core.door.DoorRefusal;
import juricast.core.entry.ReasonCode;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonOrder;
import juricast.core.live.Refusal;
import juricast.core.live.Stance;
import juricast.core.live.Visit;
import juricast.core.rights.RightsOrder;
import juricast.core.rules.Circumstance;
import juricast.core.rules.Condition;
import juricast.core.rules.Fact;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting.Force;
import org.junit.jupiter.api.Test;

/** What is so in a lesson decides in it: each decision asks the live rules, under a condition and in a stance. */
class LiveRulesTest {
    private static final Condition VISITOR = Condition.during(Fact.VISITOR_PRESENT);
    private static final Condition NO_ADULT = Condition.of(new Circumstance.Is(Fact.ADULT_PRESENT, false));
    private static final Condition TWO_IN = Condition.of(new Circumstance.AtLeast(2));

    private static LiveLesson withVisitor() {
        return open().invited().present(TOVE);
    }

    private static Stance stance(Role role, String... values) {
        return new Stance(
                "s",
                "Quiet work",
                Arrays.stream(values)
                        .map(value -> new Stance.Part(RuleValue.parse(value), role, Condition.ALWAYS))
                        .toList());
    }

    private static LiveLesson in(LiveLesson lesson, Stance stance) {
        return lesson.order(new RightsOrder.SwitchStance(stance, false, ORLA));
    }

    private static DoorOrder.Admit admit(String device) {
        return new DoorOrder.Admit(new VisitId(device), Optional.empty(), ORLA);
    }

    @Test
    void the_door_opens_by_a_condition_and_by_a_stance() {
        var alone = open().school("entry.door", "open", Force.USUAL, VISITOR).knock("Ines Carrow", "ines");
        assertThat(alone.visit("ines").status()).isEqualTo(Visit.Status.WAITING);

        var visited =
                withVisitor().school("entry.door", "open", Force.USUAL, VISITOR).knock("Ines Carrow", "ines");
        assertThat(visited.visit("ines").status()).isEqualTo(Visit.Status.IN);

        var stanced = open().knock("Jory Pell", "jory");
        assertThat(in(stanced, stance(Role.PUPIL, "entry.door=open"))
                        .visit("jory")
                        .status())
                .as("who waits is judged again when the stance changes")
                .isEqualTo(Visit.Status.IN);
    }

    @Test
    void who_waits_is_judged_again_when_the_situation_changes() {
        var lesson = open().school("entry.door", "open", Force.USUAL, TWO_IN)
                .present(INES)
                .knock("Kester Tabb", "kester");
        assertThat(lesson.visit("kester").status()).isEqualTo(Visit.Status.WAITING);

        assertThat(lesson.present(JORY).visit("kester").status()).isEqualTo(Visit.Status.IN);
    }

    @Test
    void capacity_counts_as_it_is_live_at_the_door_and_by_an_adults_word() {
        var lesson = withVisitor()
                .school("entry.capacity", "1", Force.BINDING, VISITOR)
                .knock("Jory Pell", "jory");
        assertThat(lesson.visit("jory").verdict().has(ReasonCode.ROOM_IS_FULL)).isTrue();
        assertThat(lesson.order(admit("jory")).refused()).contains(DoorRefusal.ROOM_IS_FULL);

        lesson.order(new DoorOrder.Leave(visitOf(TOVE))).order(admit("jory"));
        assertThat(lesson.refused())
                .as("the visitor has gone, and the condition with them")
                .isEmpty();
    }

    @Test
    void visitors_are_let_in_as_the_rules_are_live() {
        var lesson = open().invited()
                .school("entry.visitors", "closed", Force.BINDING, TWO_IN)
                .present(INES)
                .knock("Tove Saltmarsh", "tove");
        assertThat(lesson.visit("tove").verdict().has(ReasonCode.NO_VISITORS)).isFalse();

        assertThat(lesson.present(JORY).visit("tove").verdict().has(ReasonCode.NO_VISITORS))
                .isTrue();
    }

    @Test
    void coming_back_is_decided_by_the_rules_as_they_are_live() {
        var lesson = withVisitor()
                .school("entry.re-entry", "never", Force.BINDING, VISITOR)
                .present(INES)
                .order(new DoorOrder.Remove(INES, "", ORLA));
        assertThat(lesson.order(new DoorOrder.AllowBack(INES, ORLA)).refused()).contains(Refusal.Common.RULE_CLOSED);
        assertThat(lesson.knock("Ines Carrow", "again").visit("again").verdict().has(ReasonCode.REMOVED_FOR_GOOD))
                .isTrue();

        lesson.order(new DoorOrder.Leave(visitOf(TOVE))).order(new DoorOrder.AllowBack(INES, ORLA));
        assertThat(lesson.state().of(DOOR).removal(INES)).isEmpty();
    }

    @Test
    void how_long_pupils_may_be_alone_is_asked_while_they_are() {
        var lesson = open().school("supervision.alone-minutes", "9", Force.USUAL)
                .school("supervision.alone-minutes", "1", Force.BINDING, NO_ADULT)
                .present(INES)
                .time("10:10")
                .order(new DoorOrder.LoseConnection(visitOf(ORLA)));

        assertThat(lesson.rules().nextTick()).isEqualTo(at("10:11"));
        lesson.time("10:10:59").order(new LessonOrder.Tick());
        assertThat(lesson.state().of(SUPERVISION).quietSince()).isEmpty();
        lesson.time("10:11").order(new LessonOrder.Tick());
        assertThat(lesson.state().of(SUPERVISION).quietSince()).contains(at("10:11"));
    }

    @Test
    void a_rule_that_ends_by_the_clock_opens_the_door_to_who_waits() {
        var lesson = open().school("entry.door", "open", Force.USUAL, Condition.of(new Circumstance.LastMinutes(20)))
                .knock("Ines Carrow", "ines");
        assertThat(lesson.visit("ines").status()).isEqualTo(Visit.Status.WAITING);
        assertThat(lesson.rules().nextTick()).isEqualTo(at("10:30"));

        lesson.time("10:30").order(new LessonOrder.Tick());

        assertThat(lesson.visit("ines").status()).isEqualTo(Visit.Status.IN);
    }

    @Test
    void what_a_stance_closes_is_closed_for_everyone_but_its_adults() {
        var lesson = open().school("voice.speak", "open", Force.USUAL).present(INES);
        in(lesson, stance(Role.PUPIL, "voice.speak=closed"));

        assertThat(lesson.rulebookNow().of(INES).value(juricast.core.rules.Catalogue.SPEAK, Role.PUPIL, lesson.now()))
                .isEqualTo(juricast.core.rules.Permission.CLOSED);
        assertThat(List.of(lesson.rulebookNow().situation().present())).containsExactly(1);
    }
}
