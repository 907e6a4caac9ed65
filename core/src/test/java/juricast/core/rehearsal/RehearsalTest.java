package juricast.core.rehearsal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import juricast.core.consent.Standing;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.LessonPlan;
import juricast.core.time.Span;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class RehearsalTest {
    private static final Instant MONDAY = Instant.parse("2026-09-14T10:00:00Z");
    private static final Instant SUNDAY = MONDAY.minusSeconds(80_000);
    private static final Member ORLA = new Member(new PersonId("orla"), "Orla Venn", Role.LEAD_ADULT);
    private static final Member LEAD = new Member(new PersonId("maren"), "Maren Oddlund", Role.OBSERVER);
    private static final List<String> NAMES =
            IntStream.range(0, 30).mapToObj(n -> "Simulated Pupil " + n).toList();

    /** A class of so many, with an adult, a visitor and somebody who looks on. */
    private static LessonPlan planned(int pupils) {
        var members =
                new ArrayList<Member>(List.of(ORLA, LEAD, new Member(new PersonId("v"), "Visitor", Role.VISITOR)));
        IntStream.range(0, pupils)
                .mapToObj(n -> new Member(
                        new PersonId("real-" + n), "Real Pupil " + n, n == 0 ? Role.CLASS_MONITOR : Role.PUPIL))
                .forEach(members::add);
        return new LessonPlan(
                new LessonId("tidal-1"), "Tidal Navigation 8", new Span(MONDAY, MONDAY.plusSeconds(3000)), members);
    }

    @Property
    void no_pupil_of_the_school_is_in_one_and_its_class_is_as_large_as_the_real_one(
            @ForAll @IntRange(max = 60) int pupils) {
        LessonPlan plan = planned(pupils);
        Rehearsal rehearsal = Rehearsal.of(plan, ORLA, NAMES, SUNDAY);
        List<Member> all = rehearsal.members(plan.members());
        assertThat(all)
                .startsWith(ORLA)
                .endsWith(rehearsal.cast().get(rehearsal.cast().size() - 1));
        assertThat(all.subList(1, all.size())).doesNotContainAnyElementsOf(plan.members());
        assertThat(rehearsal.cast()).hasSize(Math.max(6, Math.min(30, pupils)));
        assertThat(rehearsal.cast()).extracting(Member::person).doesNotHaveDuplicates();
        assertThat(rehearsal.cast().stream().filter(one -> one.role() == Role.CLASS_MONITOR))
                .hasSize(Math.min(1, pupils));
    }

    @Test
    void it_is_another_lesson_held_now_and_as_long() {
        Rehearsal rehearsal = Rehearsal.of(planned(8), ORLA, NAMES, SUNDAY);
        assertThat(rehearsal.id()).isNotEqualTo(rehearsal.of());
        assertThat(Rehearsal.isOne(rehearsal.id())).isTrue();
        assertThat(Rehearsal.isOne(rehearsal.of())).isFalse();
        assertThat(rehearsal.time()).isEqualTo(new Span(SUNDAY, SUNDAY.plusSeconds(3000)));
        assertThat(Rehearsal.of(planned(8), ORLA, NAMES, SUNDAY.plusMillis(1)).id())
                .isNotEqualTo(rehearsal.id());
    }

    @Test
    void who_is_no_adult_of_the_lesson_leads_it_for_this_once() {
        LessonPlan plan = planned(8);
        List<Member> all = Rehearsal.of(plan, LEAD, NAMES, SUNDAY).members(plan.members());
        assertThat(all.subList(0, 2))
                .containsExactly(new Member(LEAD.person(), "Maren Oddlund", Role.LEAD_ADULT), ORLA);
        assertThat(all).filteredOn(one -> one.person().equals(LEAD.person())).hasSize(1);
    }

    @Test
    void all_of_the_cast_may_be_recorded() {
        Rehearsal rehearsal = Rehearsal.of(planned(8), ORLA, NAMES, SUNDAY);
        assertThat(rehearsal.cast()).allMatch(one -> rehearsal.consents().of(one.person(), SUNDAY) == Standing.GIVEN);
    }

    @Test
    void a_cast_of_five_tries_nothing_out() {
        LessonPlan plan = planned(8);
        assertThatThrownBy(() -> Rehearsal.of(plan, ORLA, NAMES.subList(0, 5), SUNDAY))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
