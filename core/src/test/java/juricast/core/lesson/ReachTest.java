package juricast.core.lesson;

import static juricast.core.lesson.LiveLesson.INES;
import static juricast.core.lesson.LiveLesson.ORLA;
import static juricast.core.supervision.SupervisionPart.SUPERVISION;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.door.DoorOrder;
import juricast.core.door.DoorRefusal;
import juricast.core.entry.Arrival;
import juricast.core.identity.DeviceId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonOrder;
import juricast.core.live.LessonState;
import juricast.core.recording.RecordingOrder;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Circumstance;
import juricast.core.rules.Condition;
import juricast.core.rules.Fact;
import juricast.core.rules.LiveRules;
import juricast.core.rules.PlannedRules;
import juricast.core.rules.Reach;
import juricast.core.rules.Rule;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Situation;
import juricast.core.time.Span;
import org.junit.jupiter.api.Test;

/** Every condition that the charter offers is met both so and not so by the book that decisions ask. */
class ReachTest {
    private static final Span LESSON = new Span(LiveLesson.at("10:00"), LiveLesson.at("10:50"));

    private static List<Circumstance> everyKind() {
        return List.of(
                new Circumstance.Is(Fact.VISITOR_PRESENT, true),
                new Circumstance.Is(Fact.RECORDING, true),
                new Circumstance.Is(Fact.IN_GROUPS, true),
                new Circumstance.Is(Fact.ADULT_PRESENT, true),
                new Circumstance.Is(Fact.SCHOOL_ACCOUNT, true),
                new Circumstance.FirstMinutes(10),
                new Circumstance.LastMinutes(5),
                new Circumstance.Years(List.of(7)),
                new Circumstance.AtLeast(1),
                new Circumstance.AtMost(1));
    }

    /** A book as decisions about a rule ask it, and when. */
    private record Asked(Rulebook book, Instant at) {}

    @Test
    void every_condition_that_is_offered_for_a_rule_is_met_both_so_and_not_so() {
        List<Asked> planned = planned(LESSON.from());
        var byTheClock = new ArrayList<>(planned);
        for (String time : List.of("09:50", "10:02", "10:30", "10:48")) {
            byTheClock.addAll(planned(LiveLesson.at(time)));
        }
        List<Asked> live = live();
        var offered = 0;
        for (Rule<?> rule : Catalogue.ALL) {
            List<Asked> asked =
                    switch (rule.enforced()) {
                        case IN_THE_REGISTER, IN_THE_INSPECTION, IN_THE_RECORD -> planned;
                        case ON_THE_OWN_PAGE, IN_THE_OUTBOX -> byTheClock;
                        case AT_SIGN_IN -> List.of();
                        case AT_THE_DOOR, IN_THE_LESSON, IN_THE_CORRIDOR, NOT_YET -> live;
                    };
            for (Role role : rule.roles()) {
                for (Circumstance one : everyKind()) {
                    Set<Boolean> met = asked.stream()
                            .map(book -> one.holds(book.book.situation(), book.at))
                            .collect(Collectors.toSet());
                    if (Reach.meets(rule, role, one)) {
                        offered++;
                        assertThat(met)
                                .as("%s for %s while %s", rule.key(), role, one.text())
                                .hasSize(2);
                    } else if (!isAskedOtherwise(rule, one)) {
                        assertThat(met)
                                .as("%s for %s while %s could matter", rule.key(), role, one.text())
                                .hasSizeLessThan(2);
                    }
                }
            }
        }
        assertThat(offered).isGreaterThan(1500);
    }

    /** Accounts matter to few, and whether there may be a recording is asked as if there were none. */
    private static boolean isAskedOtherwise(Rule<?> rule, Circumstance one) {
        return one instanceof Circumstance.Is fact
                && (fact.fact() == Fact.SCHOOL_ACCOUNT
                        || fact.fact() == Fact.RECORDING && rule == Catalogue.RECORDING_MODE);
    }

    /** Plans differ by what is expected and by the year. */
    private static List<Asked> planned(Instant at) {
        return List.of(
                new Asked(book(new Situation(EnumSet.noneOf(Fact.class), 7, 0, Optional.of(LESSON))), at),
                new Asked(
                        book(new Situation(
                                EnumSet.of(Fact.VISITOR_PRESENT, Fact.RECORDING, Fact.IN_GROUPS),
                                8,
                                0,
                                Optional.of(LESSON))),
                        at));
    }

    private static Rulebook book(Situation situation) {
        return Rulebook.of(List.of()).in(situation);
    }

    /** What decisions in a lesson and at its door ask: with and without adult, visitor, pupils and account, over time. */
    private static List<Asked> live() {
        var all = new ArrayList<Asked>();
        for (Asked plan : planned(LESSON.from())) {
            for (String time : List.of("09:55", "10:02", "10:30", "10:48")) {
                LiveLesson empty = LiveLesson.planned();
                LiveLesson full =
                        LiveLesson.open().invited().adult(ORLA).present(INES).present(LiveLesson.TOVE);
                LiveLesson recorded = LiveLesson.open()
                        .order(new RecordingOrder.Start(ORLA))
                        .time("10:01")
                        .order(new LessonOrder.Tick());
                for (LiveLesson lesson : List.of(empty, full, recorded)) {
                    LessonState state = lesson.state();
                    all.add(new Asked(state.rules(new PlannedRules(plan.book)).all(), LiveLesson.at(time)));
                    all.add(new Asked(state.rules(new PlannedRules(plan.book)).of(INES), LiveLesson.at(time)));
                }
            }
        }
        all.add(atDoor(false));
        all.add(atDoor(true));
        return all;
    }

    private static Asked atDoor(boolean account) {
        var arrival = Arrival.of(
                new VisitId("v"),
                new DeviceId("d"),
                "Ines Carrow",
                account ? Optional.of(INES) : Optional.empty(),
                Arrival.Link.CURRENT,
                true);
        LiveRules live = LiveLesson.open()
                .state()
                .rules(new PlannedRules(planned(LESSON.from()).get(0).book));
        return new Asked(live.atDoor(arrival.hasAccount()).all(), LiveLesson.at("10:02"));
    }

    @Test
    void a_capacity_while_a_visitor_is_present_counts_when_somebody_is_let_in() {
        var lesson = LiveLesson.open()
                .school(
                        "entry.capacity",
                        "1",
                        juricast.core.rules.Setting.Force.BINDING,
                        Condition.during(Fact.VISITOR_PRESENT))
                .invited()
                .present(LiveLesson.TOVE)
                .knock("Jory Pell", "jory")
                .order(new DoorOrder.Admit(new VisitId("jory"), Optional.empty(), ORLA));

        assertThat(lesson.refused()).contains(DoorRefusal.ROOM_IS_FULL);
    }

    @Test
    void what_holds_while_no_adult_is_in_decides_how_long_pupils_may_be_alone() {
        var lesson = LiveLesson.open()
                .school(
                        "supervision.alone-minutes",
                        "0",
                        juricast.core.rules.Setting.Force.BINDING,
                        Condition.of(new Circumstance.Is(Fact.ADULT_PRESENT, false)))
                .present(INES);
        lesson.order(new DoorOrder.LoseConnection(new VisitId(ORLA.value())))
                .time("10:05")
                .order(new LessonOrder.Tick());

        assertThat(lesson.state().of(SUPERVISION).quietSince()).isPresent();
    }
}
