package juricast.core.charter;

import static juricast.core.charter.ASchool.*;
import static juricast.core.rules.Catalogue.CLASS_CHAT;
import static juricast.core.rules.Catalogue.PRIVATE_CHAT;
import static juricast.core.rules.Permission.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import juricast.core.identity.LessonId;
import juricast.core.identity.Role;
import juricast.core.rules.Condition;
import juricast.core.rules.Fact;
import juricast.core.rules.Setting;
import org.junit.jupiter.api.Test;

class ComparisonTest {
    private static final Condition WITH_VISITOR = Condition.during(Fact.VISITOR_PRESENT);
    private static final Instant TOMORROW = NOON.plus(Duration.ofDays(1));

    private final ASchool school = new ASchool()
            .says(Place.of(LAW.id()), PRIVATE_CHAT, OPEN)
            .plans("law-today", LAW, 0)
            .plans("law-guest", LAW, 3, Fact.VISITOR_PRESENT)
            .plans("law-plain", LAW, 4)
            .plans("knots-guest", KNOTS, 3, Fact.VISITOR_PRESENT);

    @Test
    void closing_private_chat_for_visitors_lessons_changes_the_class_that_opened_it_and_only_its_lesson_with_a_guest() {
        Comparison found = compare(school, edit(Place.SCHOOL, PRIVATE_CHAT, CLOSED, true, WITH_VISITOR));

        assertThat(found.shifts()).singleElement().satisfies(shift -> {
            assertThat(List.of(shift.before(), shift.after())).containsExactly(OPEN, CLOSED);
            assertThat(shift.classes()).extracting(Comparison.InClass::where).containsExactly(LAW);
            assertThat(shift.lessons()).extracting(one -> one.where().id()).containsExactly(new LessonId("law-guest"));
            assertThat(shift.lessons().get(0).situation().is(Fact.VISITOR_PRESENT))
                    .isTrue();
        });
        assertThat(found.overruled()).singleElement().satisfies(held -> {
            assertThat(held.place()).isEqualTo(Place.of(LAW.id()));
            assertThat(held.by().when()).isEqualTo(WITH_VISITOR);
        });
        assertThat(found.freed()).isEmpty();
    }

    @Test
    void taking_a_binding_setting_back_frees_what_it_overruled() {
        school.binds(Place.SCHOOL, PRIVATE_CHAT, CLOSED);
        var takenBack = new Edit(
                Place.SCHOOL,
                PRIVATE_CHAT,
                Role.PUPIL,
                Condition.ALWAYS,
                java.util.Optional.empty(),
                false,
                "",
                Setting.FOR_EVER);

        Comparison found = compare(school, takenBack);

        assertThat(found.freed()).singleElement().satisfies(held -> assertThat(held.place())
                .isEqualTo(Place.of(LAW.id())));
        assertThat(found.lessons())
                .extracting(PlannedLesson::id)
                .containsExactly(new LessonId("law-guest"), new LessonId("law-plain"));
    }

    @Test
    void a_draft_for_some_days_ends_and_what_was_said_before_counts_again() {
        school.says(Place.SCHOOL, CLASS_CHAT, ON_REQUEST);
        var days = new Edit(
                Place.SCHOOL,
                CLASS_CHAT,
                Role.PUPIL,
                Condition.ALWAYS,
                java.util.Optional.of(CLOSED),
                false,
                "Storm week",
                NOON.plus(Duration.ofDays(4)));
        SchoolRules after = school.rules().after(List.of(days), MAREN, NOON, TOMORROW);

        assertThat(after.at(Place.SCHOOL)).hasSize(3);
        assertThat(valueOn(after, 0)).isEqualTo(ON_REQUEST);
        assertThat(valueOn(after, 3)).isEqualTo(CLOSED);
        assertThat(valueOn(after, 4)).isEqualTo(ON_REQUEST);
        assertThat(Comparison.of(school.rules(), after, school.timetable(), TOMORROW)
                        .lessons())
                .extracting(one -> one.id().value())
                .containsExactly("law-guest", "knots-guest");
    }

    @Test
    void a_set_counts_in_the_classes_that_use_it_while_they_do_and_below_it_their_own_deviations() {
        school.says(Place.ofSet("guest-talk"), CLASS_CHAT, CLOSED)
                .uses(KNOTS, "guest-talk", NOON, NOON.plus(Duration.ofDays(2)))
                .uses(LAW, "guest-talk", NOON, Setting.FOR_EVER)
                .says(Place.of(LAW.id()), CLASS_CHAT, ON_REQUEST);
        SchoolRules rules = school.rules();

        assertThat(rules.of(KNOTS).value(CLASS_CHAT, Role.PUPIL, NOON)).isEqualTo(CLOSED);
        assertThat(rules.of(KNOTS).value(CLASS_CHAT, Role.PUPIL, NOON.plus(Duration.ofDays(2))))
                .isEqualTo(OPEN);
        assertThat(rules.of(LAW).value(CLASS_CHAT, Role.PUPIL, NOON)).isEqualTo(ON_REQUEST);
        assertThat(rules.of(KNOTS)
                        .ruling(CLASS_CHAT, Role.PUPIL, NOON)
                        .decider()
                        .setting()
                        .orElseThrow()
                        .bundle())
                .isEqualTo("Guest talk");

        Comparison changed = Comparison.of(
                rules,
                rules.after(
                        List.of(edit(Place.ofSet("guest-talk"), CLASS_CHAT, OPEN, false, Condition.ALWAYS)),
                        MAREN,
                        NOON,
                        NOON),
                school.timetable(),
                NOON);
        assertThat(changed.classes()).containsExactly(KNOTS.id());
    }

    @Test
    void a_stance_is_weighed_after_class_and_lesson_and_stays_within_what_binds() {
        school.says(Place.ofSet("guest-talk"), CLASS_CHAT, OPEN).binds(Place.SCHOOL, CLASS_CHAT, ON_REQUEST);
        SchoolRules rules = school.rules();

        var ruling = rules.inStance(rules.of(LAW), "guest-talk").ruling(CLASS_CHAT, Role.PUPIL, NOON);

        assertThat(ruling.value()).isEqualTo(ON_REQUEST);
        assertThat(ruling.chain())
                .extracting(step -> step.effect().name())
                .containsExactly("REPLACED", "DECIDES", "OVERRULED");
    }

    @Test
    void year_group_and_lesson_refine_the_charter_and_only_what_they_are_about() {
        school.says(Place.ofYear(9), CLASS_CHAT, ON_REQUEST)
                .says(Place.of(new LessonId("law-plain")), CLASS_CHAT, CLOSED);
        SchoolRules rules = school.rules();
        PlannedLesson plain = school.timetable().lessons().get(2);
        PlannedLesson guest = school.timetable().lessons().get(1);

        assertThat(rules.charter().value(CLASS_CHAT, Role.PUPIL, NOON)).isEqualTo(OPEN);
        assertThat(rules.ofYear(9).value(CLASS_CHAT, Role.PUPIL, NOON)).isEqualTo(ON_REQUEST);
        assertThat(rules.of(KNOTS).value(CLASS_CHAT, Role.PUPIL, NOON)).isEqualTo(OPEN);
        assertThat(rules.of(LAW, guest).value(CLASS_CHAT, Role.PUPIL, NOON)).isEqualTo(ON_REQUEST);
        assertThat(rules.of(LAW, plain).value(CLASS_CHAT, Role.PUPIL, NOON)).isEqualTo(CLOSED);
        assertThat(rules.of(LAW, plain).situation().lesson()).contains(plain.time());
        assertThat(rules.of(LAW).situation().present()).isEqualTo(LAW.pupils());
    }

    @Test
    void a_binding_charter_reaches_a_lessons_own_setting_too() {
        school.says(Place.of(new LessonId("law-plain")), CLASS_CHAT, OPEN);

        Comparison found = compare(school, edit(Place.SCHOOL, CLASS_CHAT, ON_REQUEST, true, Condition.ALWAYS));

        assertThat(found.overruled())
                .anySatisfy(held -> assertThat(held.place()).isEqualTo(Place.of(new LessonId("law-plain"))));
        assertThat(found.classes()).containsExactly(LAW.id(), KNOTS.id());
    }

    private Object valueOn(SchoolRules rules, int day) {
        return rules.of(KNOTS).value(CLASS_CHAT, Role.PUPIL, NOON.plus(Duration.ofDays(day)));
    }

    private static Comparison compare(ASchool school, Edit edit) {
        SchoolRules before = school.rules();
        return Comparison.of(before, before.after(List.of(edit), MAREN, NOON, TOMORROW), school.timetable(), TOMORROW);
    }
}
