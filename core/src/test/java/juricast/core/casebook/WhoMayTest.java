package juricast.core.casebook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.params.provider.Arguments.arguments;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import juricast.core.casebook.CaseEvent.Act;
import juricast.core.casebook.CaseEvent.Kept;
import juricast.core.casebook.CaseEvent.Met;
import juricast.core.casebook.CaseEvent.Origin;
import juricast.core.casebook.CaseEvent.StepTold;
import juricast.core.casebook.CaseEvent.Where;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.ladder.Ladder;
import juricast.core.ladder.Measure;
import juricast.core.ladder.Severity;
import juricast.core.limits.Limits;
import juricast.core.reading.Tie;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Who may do what with an incident, order by order, and what no order gets past. */
class WhoMayTest {
    private static final PersonId ZEB = new PersonId("zeb");
    private static final PersonId MIRA = new PersonId("mira");
    private static final PersonId ORLA = new PersonId("orla");
    private static final PersonId TAM = new PersonId("tam");
    private static final LessonId LESSON = new LessonId("tidal-monday");
    private static final Instant NOW = Instant.parse("2026-09-14T11:00:00Z");
    private static final LocalDate TODAY = LocalDate.of(2026, 9, 14);
    private static final IncidentId NUMBER = new IncidentId(38);
    private static final Act DRAWING = new Act("drawing", "Drawing over others' work");
    private static final Set<Tie> EVERY_TIE = EnumSet.allOf(Tie.class);
    private static final int FOLLOW_UP = 4;

    /** Zeb is out of the series, Mira suffered it, and Orla has been asked to call home. */
    private static List<CaseEvent> opened() {
        return List.of(
                new CaseEvent.Opened(
                        Origin.STEP,
                        "Drawing",
                        DRAWING,
                        Severity.MIDDLE,
                        new Where(Optional.of(LESSON), Optional.empty(), NOW),
                        Kept.FROM_NOBODY,
                        ORLA,
                        NOW),
                new CaseEvent.StepAdded(
                        LESSON,
                        140,
                        List.of(new Met(ZEB, 3)),
                        DRAWING,
                        new StepTold("series", "Out until somebody has talked", Measure.OUT_OF_SERIES, 6),
                        "",
                        ORLA,
                        NOW),
                new CaseEvent.PartTaken(MIRA, Optional.of(CasePart.SUFFERED), ORLA, NOW),
                new CaseEvent.FollowUpSet("Call home", ORLA, TODAY.plusDays(1), ORLA, NOW));
    }

    private static List<CaseEvent> and(CaseEvent... more) {
        return Stream.concat(opened().stream(), Arrays.stream(more)).toList();
    }

    private static Optional<CaseRefusal> refusal(List<CaseEvent> events, Set<Tie> ties, CaseOrder order) {
        return decided(Optional.of(Incident.of(NUMBER, events)), ties, order)
                .either(done -> Optional.empty(), Optional::of);
    }

    private static CaseDecision decided(Optional<Incident> is, Set<Tie> ties, CaseOrder order) {
        return new CaseRules(is, ties, Ladder.USUAL, TODAY, NOW).decide(order);
    }

    private static Set<Tie> allowed(List<CaseEvent> events, CaseOrder order) {
        return Arrays.stream(Tie.values())
                .filter(tie -> refusal(events, EnumSet.of(tie), order).isEmpty())
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(Tie.class)));
    }

    private static Stream<Arguments> orders() {
        Set<Tie> inCharge = EnumSet.of(Tie.ADULT, Tie.COVER, Tie.YEAR, Tie.LEAD);
        Set<Tie> whoKnowThem = EnumSet.of(Tie.ADULT, Tie.YEAR, Tie.LEAD);
        Set<Tie> whoDecide = EnumSet.of(Tie.YEAR, Tie.LEAD);
        LocalDate day = TODAY.plusDays(5);
        return Stream.of(
                arguments(new CaseOrder.Note("he joins alone", false, Optional.empty(), TAM), inCharge),
                arguments(new CaseOrder.Note("for leads", true, Optional.empty(), TAM), EnumSet.of(Tie.LEAD)),
                arguments(new CaseOrder.TakePart(TAM, Optional.of(CasePart.SAW), TAM), inCharge),
                arguments(new CaseOrder.Classify("insult", Severity.GRAVE, TAM), inCharge),
                arguments(new CaseOrder.SetFollowUp("Talk", TAM, day, TAM), inCharge),
                arguments(new CaseOrder.MoveFollowUp(FOLLOW_UP, day, "ill", TAM), inCharge),
                arguments(new CaseOrder.DoFollowUp(FOLLOW_UP, "done", TAM), inCharge),
                arguments(new CaseOrder.Link(new IncidentId(29), "the same week", TAM), inCharge),
                arguments(new CaseOrder.Talk(ZEB, "he will mend it", TAM), whoKnowThem),
                arguments(new CaseOrder.WriteParents(ZEB, "Dear parents", TAM), whoKnowThem),
                arguments(new CaseOrder.Decide("apart for two weeks", TAM), whoDecide));
    }

    @ParameterizedTest
    @MethodSource("orders")
    void each_order_is_for_these_ties_and_for_no_others(CaseOrder order, Set<Tie> ties) {
        assertThat(allowed(opened(), order)).isEqualTo(ties);
    }

    @Test
    void closing_and_opening_again_are_for_who_decides() {
        List<CaseEvent> ready = and(
                new CaseEvent.Talked(ZEB, "well", ORLA, NOW),
                new CaseEvent.FollowUpDone(FOLLOW_UP, "called", ORLA, NOW));
        List<CaseEvent> closed = Stream.concat(ready.stream(), Stream.of(new CaseEvent.Closed("all said", ORLA, NOW)))
                .toList();

        assertThat(allowed(ready, new CaseOrder.Close("all said", TAM))).containsExactly(Tie.YEAR, Tie.LEAD);
        assertThat(allowed(closed, new CaseOrder.Reopen("again", TAM))).containsExactly(Tie.YEAR, Tie.LEAD);
    }

    @Test
    void who_was_asked_moves_and_ends_their_own_follow_up_and_does_nothing_else() {
        LocalDate day = TODAY.plusDays(5);

        assertThat(allowed(opened(), new CaseOrder.MoveFollowUp(FOLLOW_UP, day, "ill", ORLA)))
                .isEqualTo(EVERY_TIE);
        assertThat(allowed(opened(), new CaseOrder.DoFollowUp(FOLLOW_UP, "", ORLA)))
                .isEqualTo(EVERY_TIE);
        assertThat(refusal(opened(), EnumSet.of(Tie.ASKED), new CaseOrder.Note("and", false, Optional.empty(), ORLA)))
                .contains(CaseRefusal.NOT_YOURS);
    }

    @ParameterizedTest
    @MethodSource("orders")
    void nothing_is_done_any_more_with_one_that_became_part_of_another(CaseOrder order, Set<Tie> ties) {
        List<CaseEvent> merged = and(new CaseEvent.MergedInto(new IncidentId(40), TAM, NOW));
        Set<Class<?>> stillNeeded =
                Set.of(CaseOrder.Talk.class, CaseOrder.MoveFollowUp.class, CaseOrder.DoFollowUp.class);

        Optional<CaseRefusal> refused = refusal(merged, EVERY_TIE, order);
        assertThat(refused.isEmpty() || refused.get() == CaseRefusal.WAS_MERGED)
                .as("%s: %s", order, refused)
                .isTrue();
        assertThat(refused.isPresent() || stillNeeded.contains(order.getClass()))
                .as("%s is done", order)
                .isTrue();
    }

    private static Stream<Arguments> withoutWords() {
        LocalDate day = TODAY.plusDays(5);
        return Stream.of(
                arguments(new CaseOrder.Note(" \n", false, Optional.empty(), TAM)),
                arguments(new CaseOrder.SetFollowUp("\t", TAM, day, TAM)),
                arguments(new CaseOrder.MoveFollowUp(FOLLOW_UP, day, " ", TAM)),
                arguments(new CaseOrder.Decide("", TAM)),
                arguments(new CaseOrder.Talk(ZEB, " ", TAM)),
                arguments(new CaseOrder.WriteParents(MIRA, "", TAM)));
    }

    @ParameterizedTest
    @MethodSource("withoutWords")
    void what_others_must_be_able_to_read_is_not_taken_without_words(CaseOrder order) {
        assertThat(refusal(opened(), EVERY_TIE, order)).contains(CaseRefusal.EMPTY_TEXT);
    }

    private static Stream<Arguments> tooLong() {
        String note = "x".repeat(Limits.NOTE + 1);
        LocalDate day = TODAY.plusDays(5);
        return Stream.of(
                arguments(new CaseOrder.SetFollowUp(note, TAM, day, TAM)),
                arguments(new CaseOrder.MoveFollowUp(FOLLOW_UP, day, note, TAM)),
                arguments(new CaseOrder.DoFollowUp(FOLLOW_UP, note, TAM)),
                arguments(new CaseOrder.Decide(note, TAM)),
                arguments(new CaseOrder.Link(new IncidentId(29), "x".repeat(Limits.REASON + 1), TAM)),
                arguments(new CaseOrder.Talk(ZEB, note, TAM)),
                arguments(new CaseOrder.WriteParents(MIRA, note, TAM)));
    }

    @ParameterizedTest
    @MethodSource("tooLong")
    void words_that_are_too_long_are_refused_and_not_cut(CaseOrder order) {
        assertThat(refusal(opened(), EVERY_TIE, order)).contains(CaseRefusal.TEXT_TOO_LONG);
    }

    @Test
    void what_changes_nothing_is_no_event() {
        for (CaseOrder order : List.of(
                new CaseOrder.TakePart(MIRA, Optional.of(CasePart.SUFFERED), TAM),
                new CaseOrder.TakePart(TAM, Optional.empty(), TAM),
                new CaseOrder.Classify("drawing", Severity.MIDDLE, TAM))) {
            assertThat(decided(Optional.of(Incident.of(NUMBER, opened())), EVERY_TIE, order))
                    .as(order.toString())
                    .isEqualTo(new CaseDecision.Done(List.of()));
        }
        List<CaseEvent> linked = and(new CaseEvent.Linked(new IncidentId(29), "", TAM, NOW));
        assertThat(decided(
                        Optional.of(Incident.of(NUMBER, linked)),
                        EVERY_TIE,
                        new CaseOrder.Link(new IncidentId(29), "twice", TAM)))
                .isEqualTo(new CaseDecision.Done(List.of()));
    }

    @Test
    void nobody_more_is_named_than_a_class_twice_over() {
        var events = new ArrayList<>(opened());
        IntStream.range(0, 60 - Incident.of(NUMBER, opened()).people().size())
                .forEach(n -> events.add(
                        new CaseEvent.PartTaken(new PersonId("p" + n), Optional.of(CasePart.SAW), TAM, NOW)));

        assertThat(refusal(events, EVERY_TIE, new CaseOrder.TakePart(TAM, Optional.of(CasePart.SAW), TAM)))
                .contains(CaseRefusal.TOO_MUCH);
        assertThat(refusal(events, EVERY_TIE, new CaseOrder.TakePart(MIRA, Optional.of(CasePart.SAW), TAM)))
                .as("who is named already can get another part")
                .isEmpty();
        assertThat(refusal(events, EVERY_TIE, new CaseOrder.TakePart(MIRA, Optional.empty(), TAM)))
                .isEmpty();
    }

    private static CaseOrder.Write write(String title, String act, List<PersonId> did, boolean leadOnly) {
        return new CaseOrder.Write(
                title,
                act,
                Severity.GRAVE,
                new Where(Optional.empty(), Optional.empty(), NOW),
                did,
                List.of(MIRA, ZEB),
                leadOnly,
                TAM);
    }

    @Test
    void one_that_is_written_down_says_who_did_it_once_and_who_suffered_it() {
        CaseDecision decision = decided(
                Optional.empty(),
                EnumSet.of(Tie.STAFF),
                write(" Threats by phone ", "threat", List.of(ZEB, ZEB), false));
        List<CaseEvent> events = decision.either(done -> done, refused -> List.of());
        Incident written = Incident.of(NUMBER, events);

        assertThat(written.opened().title()).isEqualTo("Threats by phone");
        assertThat(written.opened().origin()).isEqualTo(Origin.WRITTEN);
        assertThat(written.in(CasePart.DID)).containsExactly(ZEB);
        assertThat(written.in(CasePart.SUFFERED))
                .as("who did it is not among those who suffered it")
                .containsExactly(MIRA);
        assertThat(written.isForLeads()).isFalse();
    }

    @Test
    void one_that_cannot_be_is_not_written_down() {
        Set<Tie> staff = EnumSet.of(Tie.STAFF);
        List<PersonId> crowd =
                IntStream.range(0, 59).mapToObj(n -> new PersonId("p" + n)).toList();

        assertThat(writing(staff, write(" ", "insult", List.of(ZEB), false))).contains(CaseRefusal.EMPTY_TEXT);
        assertThat(writing(staff, write("x".repeat(Limits.TITLE + 1), "insult", List.of(ZEB), false)))
                .contains(CaseRefusal.TEXT_TOO_LONG);
        assertThat(writing(staff, write("Threats", "no-such-act", List.of(ZEB), false)))
                .contains(CaseRefusal.NO_SUCH_ACT);
        assertThat(writing(staff, write("Threats", "insult", crowd, false))).contains(CaseRefusal.TOO_MUCH);
        assertThat(writing(staff, write("Threats", "insult", List.of(ZEB), true)))
                .as("only a lead writes for leads alone")
                .contains(CaseRefusal.NOT_YOURS);
        assertThat(writing(EnumSet.of(Tie.STAFF, Tie.LEAD), write("Threats", "insult", List.of(ZEB), true)))
                .isEmpty();
    }

    private static Optional<CaseRefusal> writing(Set<Tie> ties, CaseOrder.Write order) {
        return decided(Optional.empty(), ties, order).either(done -> Optional.empty(), Optional::of);
    }
}
