package juricast.core.charter;

import static juricast.core.charter.ASchool.*;
import static juricast.core.rules.Catalogue.*;
import static juricast.core.rules.Permission.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import juricast.core.charter.Finding.Kind;
import juricast.core.rules.Choice;
import juricast.core.rules.Circumstance;
import juricast.core.rules.Condition;
import juricast.core.rules.Fact;
import org.junit.jupiter.api.Test;

class AnalysisTest {
    private final ASchool school = new ASchool();

    @Test
    void a_sound_charter_has_no_findings() {
        school.binds(Place.SCHOOL, PRIVATE_CHAT, CLOSED)
                .says(Place.SCHOOL, CLASS_CHAT, CLOSED, true, Condition.during(Fact.VISITOR_PRESENT))
                .says(Place.of(LAW.id()), SPEAK, OPEN);

        assertThat(findings()).isEmpty();
    }

    @Test
    void a_class_that_opens_what_the_school_binds_never_counts_and_the_binding_is_its_cause() {
        school.binds(Place.SCHOOL, PRIVATE_CHAT, CLOSED).says(Place.of(LAW.id()), PRIVATE_CHAT, OPEN);

        assertThat(findings()).singleElement().satisfies(one -> {
            assertThat(one.kind()).isEqualTo(Kind.NEVER_COUNTS);
            assertThat(one.causes())
                    .extracting(Finding.Written::place)
                    .containsExactly(Place.of(LAW.id()), Place.SCHOOL);
        });
    }

    @Test
    void on_request_below_a_binding_closed_promises_a_pass_that_can_never_be_given() {
        school.binds(Place.SCHOOL, PRIVATE_CHAT, CLOSED).says(Place.of(LAW.id()), PRIVATE_CHAT, ON_REQUEST);

        assertThat(findings()).extracting(Finding::kind).containsExactly(Kind.PASS_NEVER_GIVEN);
    }

    @Test
    void two_bindings_that_cannot_both_be_are_a_contradiction_also_where_values_have_no_order() {
        school.binds(Place.SCHOOL, SHARE_SCREEN, CLOSED)
                .binds(Place.ofYear(9), SHARE_SCREEN, ON_REQUEST)
                .binds(Place.SCHOOL, SHOWN_NAME, new Choice("first-name"))
                .binds(Place.of(KNOTS.id()), SHOWN_NAME, new Choice("full-name"));

        assertThat(findings())
                .extracting(Finding::kind)
                .containsExactly(Kind.CONTRADICTORY_BINDINGS, Kind.CONTRADICTORY_BINDINGS);
    }

    @Test
    void conditions_that_cannot_come_about_are_named() {
        school.says(Place.SCHOOL, CLASS_CHAT, CLOSED, false, Condition.of(new Circumstance.Years(List.of(12))))
                .says(Place.SCHOOL, SPEAK, CLOSED, false, Condition.of(new Circumstance.AtLeast(90)))
                .says(
                        Place.SCHOOL,
                        DRAW,
                        CLOSED,
                        false,
                        Condition.of(
                                new Circumstance.Is(Fact.RECORDING, true), new Circumstance.Is(Fact.RECORDING, false)))
                .binds(Place.SCHOOL, RECORDING_MODE, new Choice("forbidden"))
                .says(Place.SCHOOL, CAMERA, CLOSED, false, Condition.during(Fact.RECORDING));

        assertThat(findings()).hasSize(4).extracting(Finding::kind).containsOnly(Kind.IMPOSSIBLE_CONDITION);
        assertThat(findings()).extracting(Finding::rule).containsExactlyInAnyOrder(CLASS_CHAT, SPEAK, DRAW, CAMERA);
    }

    @Test
    void a_setting_that_every_class_replaces_never_counts() {
        school.says(Place.SCHOOL, SPEAK, CLOSED).says(Place.of(LAW.id()), SPEAK, OPEN);
        assertThat(findings()).isEmpty();

        school.says(Place.of(KNOTS.id()), SPEAK, OPEN);
        assertThat(findings()).extracting(Finding::kind).containsExactly(Kind.NEVER_COUNTS);
    }

    private List<Finding> findings() {
        return Analysis.of(school.rules(), school.timetable(), NOON);
    }
}
