package juricast.core.inspection;

import static juricast.core.inspection.APlan.MONDAY;
import static juricast.core.inspection.APlan.at;
import static juricast.core.inspection.APlan.cover;
import static juricast.core.inspection.FindingKind.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Choice;
import juricast.core.rules.Count;
import juricast.core.rules.Door;
import juricast.core.rules.Fact;
import juricast.core.rules.Minutes;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.YesNo;
import org.junit.jupiter.api.Test;

class InspectionTest {
    private static final Role PUPIL = Role.PUPIL;
    private static final Role WHOLE = Rule.ANSWERS;

    private final APlan plan = new APlan()
            .aClass("Knots", "orla", "ines")
            .aClass("Law", "tam", "ines")
            .lesson("Knots", "09:00", "09:50")
            .lesson("Law", "11:00", "11:50");

    @Test
    void a_plan_in_which_all_is_well_has_no_finding() {
        assertThat(plan.inspected().findings()).isEmpty();
    }

    @Test
    void an_adult_in_two_lessons_at_once_is_covered_by_somebody_who_is_free() {
        Finding twice =
                plan.aClass("Tides", "orla").lesson("Tides", "09:40", "10:30").only(ADULT_TWICE);
        assertThat(twice.people()).containsExactly(person("orla"));
        assertThat(twice.is()).as("minutes at once").isEqualTo(10);
        assertThat(twice.other()).contains(id("Knots 2026-09-14 09:00"));
        assertThat(twice.mend()).contains(new Mend.Cover(id("Tides 2026-09-14 09:40"), person("orla"), person("ilse")));
    }

    @Test
    void whoever_is_to_stay_apart_and_does_not_is_found_each_with_a_key_of_their_own() {
        plan.notApart(
                "Knots",
                new InspectedClass.KeptApart(List.of(person("ines"), person("jory")), 6),
                new InspectedClass.KeptApart(List.of(person("edda"), person("jory")), 2),
                new InspectedClass.KeptApart(List.of(person("ines"), person("jory")), 0));
        List<Finding> found = plan.inspected().findings();
        assertThat(found).extracting(Finding::kind).containsExactly(KEPT_APART_MET, KEPT_APART_MET, KEPT_APART_PLANNED);
        assertThat(found).extracting(Finding::is).containsExactly(6, 2, 0);
        assertThat(found).extracting(Finding::key).doesNotHaveDuplicates();
    }

    @Test
    void a_lesson_that_begins_when_another_ends_is_not_at_once_but_too_close() {
        Finding close =
                plan.aClass("Tides", "orla").lesson("Tides", "09:50", "10:40").only(GAP_FOR_ADULT);
        assertThat(close.is()).isZero();
        assertThat(close.wanted()).isEqualTo(5);
        assertThat(close.mend())
                .as("the one before ends early")
                .contains(new Mend.EndEarlier(id("Knots 2026-09-14 09:00"), at(MONDAY, "09:45")));
        assertThat(plan.kinds()).containsOnly(GAP_FOR_ADULT);
    }

    @Test
    void just_the_gap_that_is_wanted_is_enough() {
        assertThat(plan.aClass("Tides", "orla")
                        .lesson("Tides", "09:55", "10:40")
                        .kinds())
                .isEmpty();
    }

    @Test
    void a_help_hour_takes_no_pupil_from_a_lesson_and_may_follow_one_at_once_but_needs_its_adult() {
        assertThat(new APlan()
                        .aClass("Knots", "orla")
                        .lesson("Knots", "09:00", "09:50")
                        .lesson("Knots", "09:50", "10:20", Fact.HELP_HOUR)
                        .kinds())
                .as("it follows its own lesson")
                .doesNotContain(GAP_FOR_ADULT, GAP_FOR_PUPILS);
        assertThat(plan.lesson("Law", "09:30", "10:20", Fact.HELP_HOUR).kinds()).doesNotContain(PUPIL_TWICE);
        assertThat(plan.aClass("Tides", "orla")
                        .lesson("Tides", "09:40", "10:30", Fact.HELP_HOUR)
                        .kinds())
                .contains(ADULT_TWICE);
    }

    @Test
    void a_help_hour_for_one_at_a_time_with_one_adult_is_for_nobody_where_nobody_may_be_alone() {
        var one = new APlan().aClass("Knots", "orla").lesson("Knots", "14:00", "14:50", Fact.HELP_HOUR);
        assertThat(one.kinds()).doesNotContain(NOBODY_CAN_COME);
        one.says(Catalogue.HELP_AT_ONCE, WHOLE, new Count(1));
        assertThat(one.kinds()).contains(NOBODY_CAN_COME);
        one.says(Catalogue.NEVER_ALONE_WITH_ONE, WHOLE, YesNo.NO);
        assertThat(one.kinds()).doesNotContain(NOBODY_CAN_COME);
    }

    @Test
    void a_lesson_is_not_mended_down_to_nothing() {
        plan.says(Catalogue.GAP, WHOLE, new Minutes(45));
        assertThat(plan.aClass("Tides", "orla")
                        .lesson("Tides", "10:00", "10:40")
                        .only(GAP_FOR_ADULT)
                        .mend())
                .isEmpty();
    }

    @Test
    void pupils_in_two_lessons_at_once_are_named() {
        Finding twice = plan.lesson("Law", "09:30", "10:20").only(PUPIL_TWICE);
        assertThat(twice.people()).containsExactly(person("ines"));
        assertThat(twice.is()).isEqualTo(20);
    }

    @Test
    void pupils_need_the_gap_too_also_between_two_lessons_of_their_own_class() {
        assertThat(plan.lesson("Law", "09:52", "10:40").only(GAP_FOR_PUPILS).is())
                .isEqualTo(2);
        assertThat(new APlan()
                        .aClass("Knots", "orla")
                        .lesson("Knots", "09:00", "09:50")
                        .lesson("Knots", "09:50", "10:40")
                        .kinds())
                .containsExactlyInAnyOrder(GAP_FOR_ADULT, GAP_FOR_PUPILS);
    }

    @Test
    void two_lessons_behind_one_link_at_the_same_hour() {
        assertThat(plan.aClass("Tides", "pernel")
                        .withLinkOf("Tides", "Knots")
                        .lesson("Tides", "09:10", "10:00")
                        .kinds())
                .containsOnly(LINK_TWICE);
    }

    @Test
    void a_lesson_without_an_adult_gets_one_who_is_free() {
        Finding none =
                plan.aClass("Tides", "").lesson("Tides", "09:10", "10:00").only(NO_ADULT);
        assertThat(none.mend()).contains(new Mend.AddAdult(id("Tides 2026-09-14 09:10"), person("ilse")));
    }

    @Test
    void one_adult_where_the_charter_wants_two() {
        Finding few = plan.says(Catalogue.ADULTS_PRESENT, WHOLE, new Count(2))
                .inspected()
                .findings()
                .get(0);
        assertThat(few.kind()).isEqualTo(TOO_FEW_ADULTS);
        assertThat(few.wanted()).isEqualTo(2);
    }

    @Test
    void who_covers_takes_the_place_and_must_stay_to_the_end() {
        assertThat(plan.lessonOn(
                                MONDAY.plusDays(1),
                                "Knots",
                                "09:00",
                                "09:50",
                                List.of(new InspectedLesson.Cover(
                                        person("tam"),
                                        java.util.Optional.of(person("orla")),
                                        at(MONDAY.plusDays(1), "09:50"))))
                        .kinds())
                .isEmpty();
        Finding early = plan.lessonOn(MONDAY, "Knots", "13:00", "13:50", List.of(cover("tam", "orla", "13:30")))
                .only(COVER_ENDS_EARLY);
        assertThat(early.is()).as("minutes without").isEqualTo(20);
        assertThat(early.mend()).contains(new Mend.CoverLonger(id("Knots 2026-09-14 13:00"), at(MONDAY, "13:50")));
    }

    @Test
    void who_is_covered_is_free_elsewhere() {
        assertThat(plan.aClass("Tides", "orla")
                        .lessonOn(MONDAY, "Tides", "09:10", "10:00", List.of(cover("ilse", "orla", "10:00")))
                        .kinds())
                .isEmpty();
    }

    @Test
    void one_adult_and_one_pupil() {
        assertThat(plan.aClassOf("Tides", "orla", Set.of(person("ines")))
                        .lesson("Tides", "13:00", "13:50")
                        .kinds())
                .containsExactly(ALONE_WITH_ONE_PUPIL);
    }

    @Test
    void holidays_days_off_hours_and_what_is_out_of_term() {
        plan.lessonOn(MONDAY.plusDays(35), "Knots", "09:00", "09:50", List.of())
                .lessonOn(MONDAY.plusDays(5), "Knots", "09:00", "09:50", List.of())
                .lessonOn(MONDAY.plusDays(91), "Knots", "09:00", "09:50", List.of())
                .lessonOn(MONDAY.plusDays(1), "Knots", "15:30", "16:10", List.of())
                .lessonOn(MONDAY.plusDays(2), "Knots", "08:00", "16:00", List.of());
        assertThat(plan.kinds()).containsExactly(IN_A_HOLIDAY, OUT_OF_TERM, ON_A_DAY_OFF, OUTSIDE_SCHOOL_HOURS);
        assertThat(plan.only(IN_A_HOLIDAY).mend()).containsInstanceOf(Mend.LeaveOut.class);
    }

    @Test
    void nobody_on_the_list_or_more_than_the_room_holds() {
        assertThat(plan.aClassOf("Tides", "orla", Set.of())
                        .lesson("Tides", "13:00", "13:50")
                        .kinds())
                .containsExactly(NO_ROSTER);
        assertThat(plan.says(Catalogue.CAPACITY, WHOLE, new Count(2)).kinds()).contains(MORE_THAN_THE_ROOM_HOLDS);
    }

    @Test
    void a_crowd_with_one_adult_is_worth_knowing() {
        Set<PersonId> crowd =
                IntStream.range(0, 31).mapToObj(n -> person("p" + n)).collect(Collectors.toSet());
        assertThat(plan.aClassOf("Tides", "orla", crowd)
                        .lesson("Tides", "13:00", "13:50")
                        .kinds())
                .containsExactly(NOBODY_TO_HELP);
    }

    @Test
    void a_visitor_where_the_rules_close_the_door_to_visitors_or_open_it_to_all() {
        plan.lesson("Knots", "13:00", "13:50", Fact.VISITOR_PRESENT);
        assertThat(plan.kinds()).as("on request is what an invitation is for").isEmpty();
        assertThat(plan.says(Catalogue.DOOR, PUPIL, Door.OPEN).kinds()).containsExactly(STRANGERS_AT_AN_OPEN_DOOR);
        assertThat(plan.says(Catalogue.VISITORS, Role.VISITOR, Permission.CLOSED)
                        .kinds())
                .containsExactly(VISITOR_FORBIDDEN);
    }

    @Test
    void a_recording_that_is_required_where_not_everybody_may_be_recorded() {
        plan.unrecorded("Knots", "Knots one");
        assertThat(plan.kinds()).as("nothing has to be recorded").isEmpty();
        plan.says(Catalogue.RECORDING_MODE, WHOLE, new Choice("required"));
        assertThat(plan.kinds()).as("as is usual").containsExactly(RECORDED_WITHOUT_SOME);
        plan.says(Catalogue.CONSENT, PUPIL, new Choice("not-asked"));
        assertThat(plan.kinds()).isEmpty();
        plan.says(Catalogue.CONSENT, PUPIL, new Choice("no-recording"));
        assertThat(plan.kinds()).as("the stricter of two").containsExactly(RECORDING_PREVENTED);
    }

    @Test
    void what_is_planned_against_the_rules() {
        plan.lesson("Knots", "13:00", "13:50", Fact.RECORDING, Fact.IN_GROUPS)
                .says(Catalogue.RECORDING_MODE, WHOLE, new Choice("forbidden"))
                .says(Catalogue.GROUP_ALONE, WHOLE, new Minutes(0));
        assertThat(plan.kinds()).containsExactly(RECORDING_FORBIDDEN, GROUPS_WITH_ONE_ADULT);
        assertThat(plan.says(Catalogue.MAKE_GROUPS, Role.LEAD_ADULT, Permission.CLOSED)
                        .kinds())
                .containsExactly(RECORDING_FORBIDDEN, GROUPS_FORBIDDEN);
    }

    @Test
    void rights_that_open_a_way_past_the_adults() {
        assertThat(plan.says(Catalogue.ADULTS_FIRST, PUPIL, YesNo.NO)
                        .says(Catalogue.PRIVATE_CHAT, PUPIL, Permission.OPEN)
                        .says(Catalogue.WHOLE_SCREEN, PUPIL, Permission.OPEN)
                        .kinds())
                .containsOnly(PUPILS_BEFORE_AN_ADULT, PUPILS_WRITE_UNSEEN, WHOLE_SCREENS_OPEN)
                .hasSize(6);
    }

    @Test
    void words_that_are_weak_or_near_and_links_that_come_too_late() {
        assertThat(plan.withWord("Knots", "otter-1").only(WORD_TOO_WEAK).wanted())
                .isEqualTo(18);
        plan.withWord("Knots", "jolly-walrus-83");
        assertThat(plan.only(WORD_TOO_NEAR).is()).isEqualTo(1);
        assertThat(plan.says(Catalogue.LINK_SHOWN, PUPIL, new Minutes(5)).kinds())
                .contains(LINK_HIDDEN_TOO_LONG);
    }

    @Test
    void a_class_for_which_nothing_is_planned_any_more() {
        assertThat(plan.aClass("Tides", "orla").kinds()).containsExactly(NO_MORE_LESSONS);
    }

    @Test
    void kinds_are_written_down_from_the_gravest_to_the_mildest() {
        assertThat(Arrays.stream(FindingKind.values()).map(FindingKind::severity))
                .as("the order of kinds is the order of the list")
                .isSorted();
        assertThat(FindingKind.values()).hasSizeGreaterThanOrEqualTo(20);
    }

    private static PersonId person(String id) {
        return new PersonId(id);
    }

    private static LessonId id(String id) {
        return new LessonId(id);
    }
}
