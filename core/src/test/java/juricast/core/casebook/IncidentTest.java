package juricast.core.casebook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import juricast.core.casebook.CaseEvent.Act;
import juricast.core.casebook.CaseEvent.Met;
import juricast.core.casebook.CaseEvent.Origin;
import juricast.core.casebook.CaseEvent.StepTold;
import juricast.core.casebook.CaseEvent.Where;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.ladder.Ladder;
import juricast.core.ladder.Measure;
import juricast.core.ladder.Severity;
import juricast.core.limits.Limits;
import juricast.core.reading.Tie;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class IncidentTest {
    private static final PersonId ZEB = new PersonId("zeb");
    private static final PersonId MIRA = new PersonId("mira");
    private static final PersonId ORLA = new PersonId("orla");
    private static final PersonId MAREN = new PersonId("maren");
    private static final LessonId LESSON = new LessonId("tidal-monday");
    private static final Instant NOW = Instant.parse("2026-09-14T11:00:00Z");
    private static final LocalDate TODAY = LocalDate.of(2026, 9, 14);
    private static final Set<Tie> LEAD = EnumSet.of(Tie.STAFF, Tie.LEAD);
    private static final Set<Tie> TEACHER = EnumSet.of(Tie.STAFF, Tie.ADULT);

    private final List<CaseEvent> events = new ArrayList<>();

    private Incident incident() {
        return Incident.of(new IncidentId(38), events);
    }

    private Optional<CaseRefusal> order(Set<Tie> ties, CaseOrder order) {
        var rules = new CaseRules(
                events.isEmpty() ? Optional.empty() : Optional.of(incident()), ties, Ladder.USUAL, TODAY, NOW);
        return rules.decide(order)
                .either(
                        done -> {
                            events.addAll(done);
                            return Optional.empty();
                        },
                        Optional::of);
    }

    /** Zeb drew over Mira's work and was put out of the series. */
    private void opened() {
        events.add(new CaseEvent.Opened(
                Origin.STEP,
                "Drawing over others' work",
                new Act("drawing", "Drawing over others' work"),
                Severity.MIDDLE,
                new Where(Optional.of(LESSON), Optional.of(new ClassId("tidal")), NOW),
                CaseEvent.Kept.FROM_NOBODY,
                ORLA,
                NOW));
        events.add(new CaseEvent.EvidenceAdded(LESSON, 118, 164, ORLA, NOW));
        events.add(step(140, Measure.OUT_OF_SERIES, 6));
        events.add(new CaseEvent.PartTaken(MIRA, Optional.of(CasePart.SUFFERED), ORLA, NOW));
    }

    private static CaseEvent.StepAdded step(int number, Measure measure, int level) {
        return new CaseEvent.StepAdded(
                LESSON,
                number,
                List.of(new Met(ZEB, 3)),
                new Act("drawing", "Drawing over others' work"),
                new StepTold("series", "Out until somebody has talked", measure, level),
                "second time",
                ORLA,
                NOW);
    }

    @Test
    void an_incident_is_its_events() {
        opened();

        assertThat(incident().in(CasePart.DID)).containsExactly(ZEB);
        assertThat(incident().in(CasePart.ACTED)).containsExactly(ORLA);
        assertThat(incident().about()).containsExactlyInAnyOrder(ZEB, MIRA);
        assertThat(incident().out()).containsExactly(ZEB);
        assertThat(incident().highest()).isEqualTo(6);
        assertThat(incident().isOpen()).isTrue();
        assertThatThrownBy(() -> Incident.of(new IncidentId(1), events.subList(1, 2)))
                .hasMessageContaining("No. 1 is not opened");
    }

    @Test
    void a_step_taken_in_error_counts_no_more_and_its_pupil_is_let_in_again() {
        opened();
        events.add(new CaseEvent.StepWithdrawn(LESSON, 140, "it was Jory", ORLA, NOW));

        assertThat(incident().steps()).isEmpty();
        assertThat(incident().out()).isEmpty();
    }

    @Test
    void it_is_closed_when_nothing_is_to_be_done_any_more_and_can_be_opened_again() {
        opened();
        assertThat(order(LEAD, new CaseOrder.SetFollowUp("Call home", ORLA, TODAY.plusDays(2), MAREN)))
                .isEmpty();
        int followUp = incident().open().get(0).number();
        assertThat(incident().followUp(followUp).orElseThrow().isLate(TODAY.plusDays(3)))
                .isTrue();

        assertThat(order(LEAD, new CaseOrder.Close("all said", MAREN))).contains(CaseRefusal.STILL_TO_DO);
        assertThat(order(TEACHER, new CaseOrder.MoveFollowUp(followUp, TODAY.minusDays(1), "ill", ORLA)))
                .contains(CaseRefusal.DAY_IS_PAST);
        assertThat(order(Set.of(Tie.ASKED), new CaseOrder.DoFollowUp(followUp, "spoke with his mother", ORLA)))
                .as("who was asked says that it is done")
                .isEmpty();
        assertThat(order(TEACHER, new CaseOrder.DoFollowUp(followUp, "again", ORLA)))
                .contains(CaseRefusal.ALREADY_DONE);
        assertThat(order(LEAD, new CaseOrder.Close("all said", MAREN)))
                .as("Zeb is still kept out")
                .contains(CaseRefusal.STILL_TO_DO);
        assertThat(order(TEACHER, new CaseOrder.Talk(ZEB, "he will mend the chart", ORLA)))
                .isEmpty();
        assertThat(order(TEACHER, new CaseOrder.Close("all said", ORLA))).contains(CaseRefusal.NOT_YOURS);
        assertThat(order(LEAD, new CaseOrder.Close("all said", MAREN))).isEmpty();

        assertThat(order(LEAD, new CaseOrder.Decide("two weeks without drawing", MAREN)))
                .contains(CaseRefusal.IS_CLOSED);
        assertThat(order(TEACHER, new CaseOrder.Note("it came to light later", false, Optional.of(3), ORLA)))
                .as("a note finds its place at any time")
                .isEmpty();
        assertThat(order(LEAD, new CaseOrder.Reopen("it happened again", MAREN)))
                .isEmpty();
        assertThat(incident().isOpen()).isTrue();
    }

    @Test
    void what_is_wrong_is_refused_and_changes_nothing() {
        opened();
        int before = events.size();

        assertThat(order(TEACHER, new CaseOrder.Note("for leads", true, Optional.empty(), ORLA)))
                .contains(CaseRefusal.NOT_YOURS);
        assertThat(order(TEACHER, new CaseOrder.Note(" ", false, Optional.empty(), ORLA)))
                .contains(CaseRefusal.EMPTY_TEXT);
        assertThat(order(LEAD, new CaseOrder.Note("x".repeat(Limits.NOTE + 1), false, Optional.empty(), MAREN)))
                .contains(CaseRefusal.TEXT_TOO_LONG);
        assertThat(order(LEAD, new CaseOrder.Note("see", false, Optional.of(99), MAREN)))
                .contains(CaseRefusal.NO_SUCH_EVENT);
        assertThat(order(LEAD, new CaseOrder.Classify("none", Severity.GRAVE, MAREN)))
                .contains(CaseRefusal.NO_SUCH_ACT);
        assertThat(order(LEAD, new CaseOrder.Link(new IncidentId(38), "", MAREN)))
                .contains(CaseRefusal.THE_SAME_ONE);
        assertThat(order(LEAD, new CaseOrder.Talk(MIRA, "well", MAREN))).contains(CaseRefusal.NOT_OUT);
        assertThat(order(LEAD, new CaseOrder.WriteParents(MAREN, "Dear", MAREN)))
                .contains(CaseRefusal.NOT_IN_IT);
        assertThat(order(LEAD, new CaseOrder.DoFollowUp(2, "", MAREN))).contains(CaseRefusal.NO_SUCH_FOLLOW_UP);
        assertThat(order(LEAD, new CaseOrder.Reopen("why", MAREN))).contains(CaseRefusal.IS_OPEN);
        assertThat(events).hasSize(before);
    }

    @Test
    void two_that_are_one_become_one_with_all_that_both_rest_on() {
        opened();
        Incident one = incident();
        events.clear();
        opened();
        events.remove(2);
        Incident other = Incident.of(new IncidentId(39), events);

        Joining.Two two = done(Joining.merge(one, other, LEAD, MAREN, NOW));
        Incident merged = one.after(two.first());
        Incident whole = other.after(two.second());

        assertThat(merged.mergedInto()).contains(new IncidentId(39));
        assertThat(merged.isOpen()).isFalse();
        assertThat(whole.people().keySet()).contains(ZEB, MIRA);
        assertThat(whole.evidence()).as("the same evidence is not there twice").hasSize(1);
        assertThat(whole.steps()).hasSize(1);
        assertThat(refused(Joining.merge(merged, whole, LEAD, MAREN, NOW))).isEqualTo(CaseRefusal.WAS_MERGED);
        assertThat(refused(Joining.merge(whole, whole, LEAD, MAREN, NOW))).isEqualTo(CaseRefusal.THE_SAME_ONE);
        assertThat(refused(Joining.merge(one, whole, TEACHER, ORLA, NOW))).isEqualTo(CaseRefusal.NOT_YOURS);
    }

    @Test
    void one_that_is_two_is_split_by_its_people() {
        opened();
        var into = new IncidentId(40);

        Joining.Two two = done(Joining.split(incident(), into, List.of(ZEB), "", LEAD, MAREN, NOW));
        assertThat(incident().after(two.first()).people()).containsOnlyKeys(ORLA, MIRA);
        Incident fresh = Incident.of(into, two.second());
        assertThat(fresh.people().keySet()).contains(ZEB);
        assertThat(fresh.steps()).hasSize(1);
        assertThat(fresh.evidence()).hasSize(1);
        assertThat(fresh.links()).containsExactly(new IncidentId(38));

        assertThat(refused(Joining.split(incident(), into, List.of(), "", LEAD, MAREN, NOW)))
                .isEqualTo(CaseRefusal.NOBODY_LEFT);
        assertThat(refused(Joining.split(incident(), into, List.of(ZEB, MIRA, ORLA), "", LEAD, MAREN, NOW)))
                .isEqualTo(CaseRefusal.NOBODY_LEFT);
        assertThat(refused(Joining.split(incident(), into, List.of(MAREN), "", LEAD, MAREN, NOW)))
                .isEqualTo(CaseRefusal.NOT_IN_IT);
    }

    /** Whatever is ordered in whatever row: numbers count events, and a refused order is no event. */
    @Property(tries = 300)
    void any_row_of_orders_leaves_an_incident_that_its_events_give_again(
            @ForAll @Size(max = 25) List<@IntRange(max = 11) Integer> row, @ForAll boolean byLead) {
        events.clear();
        opened();
        for (int one : row) {
            int before = events.size();
            Optional<CaseRefusal> refused = order(byLead ? LEAD : TEACHER, any(one));
            assertThat(refused.isPresent() && events.size() != before).isFalse();
        }
        assertThat(incident().number()).isEqualTo(events.size());
        assertThat(incident().closed().isPresent() && !incident().open().isEmpty())
                .as("nothing is to be done in a closed one")
                .isFalse();
    }

    private static CaseOrder any(int kind) {
        return List.<CaseOrder>of(
                        new CaseOrder.Note("a note", kind % 2 == 0, Optional.empty(), MAREN),
                        new CaseOrder.TakePart(MIRA, Optional.of(CasePart.SAW), MAREN),
                        new CaseOrder.TakePart(MIRA, Optional.empty(), MAREN),
                        new CaseOrder.Classify("insult", Severity.GRAVE, MAREN),
                        new CaseOrder.SetFollowUp("Call home", ORLA, TODAY, MAREN),
                        new CaseOrder.MoveFollowUp(5, TODAY.plusDays(1), "ill", MAREN),
                        new CaseOrder.DoFollowUp(5, "", MAREN),
                        new CaseOrder.Decide("so be it", MAREN),
                        new CaseOrder.Talk(ZEB, "well", MAREN),
                        new CaseOrder.WriteParents(ZEB, "Dear parents", MAREN),
                        new CaseOrder.Close("done", MAREN),
                        new CaseOrder.Reopen("again", MAREN))
                .get(kind);
    }

    private static Joining.Two done(Joining.Both both) {
        return both.either(two -> two, why -> {
            throw new AssertionError(why);
        });
    }

    private static CaseRefusal refused(Joining.Both both) {
        return both.either(
                two -> {
                    throw new AssertionError("It was done");
                },
                why -> why);
    }
}
