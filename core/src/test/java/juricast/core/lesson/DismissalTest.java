package juricast.core.lesson;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.ending.EndingPart.ENDING;
import static juricast.core.lesson.LiveLesson.*;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import juricast.core.chat.ChatOrder;
import juricast.core.chat.Readers;
import juricast.core.door.DoorOrder;
import juricast.core.door.DoorRefusal;
import juricast.core.ending.ClosingStep;
import juricast.core.ending.EndingEvent;
import juricast.core.ending.EndingOrder;
import juricast.core.ending.EndingRefusal;
import juricast.core.identity.DeviceId;
import juricast.core.identity.VisitId;
import juricast.core.live.Refusal;
import juricast.core.live.Sequel;
import juricast.core.live.Visit;
import juricast.core.presence.Presence;
import juricast.core.rules.Choice;
import juricast.core.rules.Setting.Force;
import juricast.core.time.Span;
import juricast.core.timetable.SchoolCalendar;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The end of a lesson: its closing steps, who has not gone yet, and a last word (needs K1 to K3). */
class DismissalTest {
    @Test
    void the_dismissal_takes_its_closing_steps_by_itself() {
        var lesson = open().present(INES)
                .present(JORY)
                .knock("Some Stranger", "stranger")
                .order(new ChatOrder.Say(visitOf(INES), Readers.ADULTS, "thank you"))
                .order(new DoorOrder.Leave(visitOf(JORY)))
                .order(new EndingOrder.Dismiss(ORLA));

        assertThat(lesson.state().of(ENDING).closing())
                .extracting(EndingEvent.Closed::step, EndingEvent.Closed::count)
                .containsExactly(
                        tuple(ClosingStep.LINK_RETIRED, 1),
                        tuple(ClosingStep.CHAT_KEPT, 1),
                        tuple(ClosingStep.BOARD_KEPT, 0),
                        tuple(ClosingStep.REGISTER_DRAFTED, 2));
    }

    @ParameterizedTest
    @CsvSource({
        // A Monday.
        "each-lesson, 2026-09-16T10:00:00Z, true, UTC, 2026-09-14T10:00:00Z",
        "each-week, 2026-09-16T10:00:00Z, false, UTC, 2026-09-14T10:00:00Z",
        "each-week, 2026-09-21T10:00:00Z, true, UTC, 2026-09-14T10:00:00Z",
        "each-week, 2027-09-13T10:00:00Z, true, UTC, 2026-09-14T10:00:00Z",
        "series, 2026-09-21T10:00:00Z, false, UTC, 2026-09-14T10:00:00Z",
        "each-term, , true, UTC, 2026-09-14T10:00:00Z",
        "each-term, 2026-12-18T10:00:00Z, false, UTC, 2026-09-14T10:00:00Z",
        "each-term, 2027-01-11T10:00:00Z, true, UTC, 2026-12-18T10:00:00Z",
        "each-term, 2026-12-31T10:00:00Z, true, UTC, 2026-12-18T10:00:00Z",
        "series, , true, UTC, 2026-09-14T10:00:00Z",
        // Still Sunday evening there, so the lesson belongs to the week before.
        "each-week,   2026-09-14T15:00:00Z, true, Pacific/Honolulu, 2026-09-14T08:00:00Z",
    })
    void a_link_is_retired_after_the_last_lesson_it_is_good_for(
            String rule, Instant next, boolean retired, String zone, Instant lesson) {
        var sequel = new Sequel(
                Optional.ofNullable(next),
                ZoneId.of(zone),
                new SchoolCalendar(
                        List.of(
                                new SchoolCalendar.Days(
                                        "Autumn", LocalDate.parse("2026-09-01"), LocalDate.parse("2026-12-19")),
                                new SchoolCalendar.Days(
                                        "Spring", LocalDate.parse("2027-01-05"), LocalDate.parse("2027-04-01"))),
                        List.of(),
                        SchoolCalendar.NONE.days(),
                        SchoolCalendar.NONE.opens(),
                        SchoolCalendar.NONE.closes()));
        assertThat(sequel.endsTheLink(new Choice(rule), new Span(lesson, lesson.plus(Duration.ofMinutes(50)))))
                .isEqualTo(retired);
    }

    @Test
    void those_who_have_not_gone_are_seen_until_they_have() {
        var lesson = open().present(INES).present(JORY).order(new EndingOrder.Dismiss(ORLA));
        assertThat(lesson.state().of(DOOR).leaving())
                .extracting(Visit::id)
                .containsExactly(visitOf(INES), visitOf(JORY));

        lesson.time("10:51")
                .order(new DoorOrder.Leave(visitOf(INES)))
                .order(new DoorOrder.LoseConnection(visitOf(JORY)));
        assertThat(lesson.state().of(DOOR).leaving()).isEmpty();
        assertThat(Presence.of(lesson.events(), at("11:00")).get(INES).stays())
                .as("seeing somebody out counts for nothing in the register")
                .allSatisfy(stay -> assertThat(stay.until()).isEqualTo(at("10:00")));
        int events = lesson.events().size();
        assertThat(lesson.order(new DoorOrder.Leave(visitOf(INES))).events()).hasSize(events);
    }

    @Test
    void a_last_word_with_one_pupil_needs_a_second_adult_and_sends_all_others_home() {
        var lesson = open().present(INES).present(JORY).knock("Some Stranger", "stranger");
        assertThat(lesson.order(new EndingOrder.KeepBack(INES, ORLA)).refused()).contains(DoorRefusal.ALONE_WITH_ONE);

        lesson.adult(TAM).order(new EndingOrder.KeepBack(INES, ORLA));
        assertThat(lesson.refused()).isEmpty();
        assertThat(lesson.state().of(DOOR).isPresent(INES)).isTrue();
        assertThat(List.of(
                        lesson.visit("jory").status(), lesson.visit("stranger").status()))
                .containsOnly(Visit.Status.DISMISSED);
        assertThat(lesson.knock("Jory Pell", "jory again").state().of(DOOR).isPresent(JORY))
                .as("nobody comes in any more")
                .isFalse();
        assertThat(lesson.order(new DoorOrder.Leave(visitOf(TAM))).refused()).contains(DoorRefusal.ALONE_WITH_ONE);

        lesson.time("10:05").order(new DoorOrder.LoseConnection(visitOf(TAM)));
        assertThat(lesson.state().of(DOOR).isOver())
                .as("when the second adult is lost it ends by itself" + lesson)
                .isTrue();
        var attendances = Presence.of(lesson.events(), at("11:00"));
        assertThat(attendances.get(JORY).stays())
                .allSatisfy(stay -> assertThat(stay.until()).isEqualTo(at("10:00")));
        assertThat(attendances.get(INES).stays())
                .allSatisfy(stay -> assertThat(stay.until()).isEqualTo(at("10:05")));
    }

    @Test
    void where_the_rule_does_not_ask_for_it_one_adult_is_enough_and_an_observer_counts_as_eyes() {
        var free = open().school("supervision.one-to-one", "no", Force.USUAL)
                .present(INES)
                .order(new EndingOrder.KeepBack(INES, ORLA));
        assertThat(free.refused()).isEmpty();

        var seen = open().observedBy(MAREN)
                .present(INES)
                .order(new DoorOrder.Join(visitOf(MAREN), new DeviceId("corridor"), MAREN))
                .order(new EndingOrder.KeepBack(INES, ORLA));
        assertThat(seen.refused()).isEmpty();
        assertThat(seen.order(new EndingOrder.KeepBack(INES, ORLA)).refused()).contains(EndingRefusal.LAST_WORD);
        assertThat(open().adult(TAM).order(new EndingOrder.KeepBack(INES, ORLA)).refused())
                .contains(Refusal.Common.NOT_PRESENT);
        assertThat(seen.order(new DoorOrder.Leave(new VisitId("nobody"))).refused())
                .isEmpty();
    }
}
