package juricast.core.register;

import static juricast.core.lesson.LiveLesson.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import juricast.core.ending.EndingOrder;
import juricast.core.identity.PersonId;
import juricast.core.register.RegisterCodes.Code;
import juricast.core.register.RegisterCodes.Fault;
import juricast.core.register.RegisterCodes.Problem;
import juricast.core.time.Span;
import org.junit.jupiter.api.Test;

class RegisterCodesTest {
    private static final RegisterCodes CODES = new RegisterCodes(List.of(
            new Code("·", "there", Mark.PRESENT),
            new Code("V", "voyage with the school", Mark.EXCUSED),
            new Code("S", "sick, told by phone", Mark.EXCUSED)));

    @Test
    void a_computed_mark_has_its_usual_code_and_a_correction_the_one_that_was_chosen() {
        var lesson = open().present(INES).present(JORY).time("10:50").order(new EndingOrder.Dismiss(ORLA));
        Map<PersonId, Correction> corrections = Map.of(
                JORY, new Correction(JORY, Mark.EXCUSED, "S", 0, "told by phone", ORLA, at("11:00")),
                KESTER, new Correction(KESTER, Mark.EXCUSED, "", 0, "on the ferry", ORLA, at("11:00")));
        Register register =
                Register.of(lesson.plan(), lesson.events(), at("10:50"), lesson.rulebook(), corrections, Map.of());

        assertThat(register.lines())
                .extracting(line -> line.pupil().person() + " " + CODES.shown(line))
                .contains("ines ·", "jory S", "kester V");
        assertThat(register.lines()).extracting(RegisterCodes.NONE::shown).contains("", "S");
    }

    @Test
    void codes_that_cannot_be_told_apart_or_that_a_spreadsheet_would_run_are_not_taken() {
        assertThat(CODES.faults()).isEmpty();
        assertThat(new RegisterCodes(List.of(
                                new Code("S", "sick", Mark.EXCUSED),
                                new Code("s", "swims", Mark.EXCUSED),
                                new Code("=1", "there", Mark.PRESENT),
                                new Code("A B", "away", Mark.ABSENT),
                                new Code("ABCDE", "away", Mark.ABSENT),
                                new Code("A", " ", Mark.ABSENT)))
                        .faults())
                .containsExactly(
                        new Fault(1, Problem.STANDS_TWICE),
                        new Fault(2, Problem.NOT_A_CODE),
                        new Fault(3, Problem.NOT_A_CODE),
                        new Fault(4, Problem.NOT_A_CODE),
                        new Fault(5, Problem.NO_MEANING));
    }

    @Test
    void nobody_is_expected_at_a_lesson_that_was_called_off_or_before_joining_or_after_leaving_the_class() {
        Instant start = at("10:00");
        var lesson = new Span(start, at("10:50"));
        var now = new Span(start.minusSeconds(60), start.plusSeconds(600_000));
        var later = new Span(start.plusSeconds(60), start.plusSeconds(600_000));
        var before = new Span(start.minusSeconds(600_000), start);

        assertThat(Expectation.of(lesson, false, List.of(before, now))).isEqualTo(Expectation.EXPECTED);
        assertThat(Expectation.of(lesson, true, List.of(now))).isEqualTo(Expectation.CALLED_OFF);
        assertThat(Expectation.of(lesson, false, List.of(later))).isEqualTo(Expectation.JOINED_LATER);
        assertThat(Expectation.of(lesson, false, List.of(before))).isEqualTo(Expectation.LEFT_BEFORE);
        assertThat(Expectation.of(lesson, false, List.of())).isEqualTo(Expectation.JOINED_LATER);

        var held = open().time("10:20").present(INES).time("10:50").order(new EndingOrder.Dismiss(ORLA));
        Register whole = Register.of(held.plan(), held.events(), at("10:50"), held.rulebook(), Map.of(), Map.of());
        assertThat(whole.lines())
                .extracting(line -> line.pupil().person() + " " + line.mark())
                .contains("ines LATE", "jory ABSENT", "kester ABSENT");
        assertThat(whole.with(Set.of(INES, JORY)).lines())
                .extracting(line -> line.pupil().person() + " " + line.mark())
                .contains("ines PRESENT", "jory NOT_EXPECTED", "kester ABSENT");

        assertThat(Register.calledOff(open().plan()).lines())
                .isNotEmpty()
                .allMatch(line -> line.mark() == Mark.NOT_EXPECTED);
    }
}
