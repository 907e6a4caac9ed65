package juricast.core.consent;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import juricast.core.consent.ConsentReading.Problem;
import juricast.core.consent.ConsentReading.Whom;
import org.junit.jupiter.api.Test;

class ConsentReadingTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 9, 14);
    private static final Whom INES = new Whom("ines", "Ines Carrow");
    private static final Whom JORY = new Whom("jory", "Jory Pell");
    private static final Map<String, List<Whom>> PUPILS = Map.of(
            "8-01", List.of(INES),
            "ines carrow", List.of(INES),
            "8-02", List.of(JORY),
            "jory pell", List.of(JORY),
            "sam reed", List.of(new Whom("sam1", "Sam Reed"), new Whom("sam2", "Sam Reed")));

    private static ConsentReading read(String heading, String... rows) {
        var lines = new ArrayList<ConsentReading.Line>();
        for (int i = 0; i < rows.length; i++) {
            lines.add(new ConsentReading.Line(i + 2, Arrays.asList(rows[i].split(",", -1))));
        }
        return ConsentReading.of(
                Arrays.asList(heading.split(",")), lines, key -> PUPILS.getOrDefault(key, List.of()), TODAY);
    }

    @Test
    void a_row_says_whom_what_by_whom_on_which_paper_and_when() {
        ConsentReading read = read(
                "Number,Name,Consent,By,Paper,From,Until",
                "8-01,Ines Carrow,given,parent,form 4,2026-09-01,2027-07-31",
                ",Jory Pell,No,,,,",
                ",Jory Pell,unknown,,,,");

        assertThat(read.faults()).isEmpty();
        assertThat(read.unsaid()).isEqualTo(1);
        assertThat(read.rows().get(0).until()).contains(LocalDate.of(2027, 7, 31));
        assertThat(read.rows().get(0).paper()).isEqualTo("form 4");
        assertThat(read.rows().get(1).said()).isEqualTo(Consent.Said.REFUSED);
        assertThat(read.rows().get(1).giver()).isEqualTo(Consent.Giver.PARENT);
        assertThat(read.rows().get(1).from()).as("without a day from today on").isEqualTo(TODAY);
    }

    @Test
    void what_cannot_be_taken_is_named_with_its_line_and_nothing_is_guessed() {
        ConsentReading read = read(
                "Number,Name,Consent,By,From,Until",
                ",Nobody Known,given,,,",
                ",Sam Reed,given,,,",
                "8-01,Jory Pell,given,,,",
                "8-01,,perhaps,,,",
                "8-01,,given,aunt,,",
                "8-01,,given,,1.9.2026,",
                "8-01,,given,,2026-09-20,2026-09-19",
                "8-01,,given,,2026-01-01,2026-06-30");

        assertThat(read.rows()).isEmpty();
        assertThat(read.faults())
                .extracting(one -> one.line() + " " + one.problem())
                .containsExactly(
                        "2 " + Problem.UNKNOWN_PUPIL,
                        "3 " + Problem.SEVERAL_PUPILS,
                        "4 " + Problem.NUMBER_AND_NAME_DIFFER,
                        "5 " + Problem.NOT_A_WORD,
                        "6 " + Problem.NOT_A_GIVER,
                        "7 " + Problem.NOT_A_DAY,
                        "8 " + Problem.ENDS_BEFORE_IT_BEGINS,
                        "9 " + Problem.OVER_ALREADY);
    }

    @Test
    void rows_that_contradict_each_other_are_both_left_out_and_the_same_row_twice_is_one() {
        ConsentReading read = read(
                "Name,Consent,From",
                "Ines Carrow,given,2026-09-14",
                "Ines Carrow,refused,2026-09-14",
                "Jory Pell,given,2026-09-14",
                "jory pell,yes,2026-09-14");

        assertThat(read.rows()).extracting(one -> one.whom().id()).containsExactly("jory");
        assertThat(read.faults()).extracting(ConsentReading.Fault::problem).containsOnly(Problem.CONTRADICTS);
        assertThat(read.faults()).hasSize(2);
    }

    @Test
    void a_file_without_the_columns_it_needs_says_which() {
        assertThat(read("Pupil").faults())
                .extracting(ConsentReading.Fault::problem)
                .containsExactly(Problem.NO_CONSENT_COLUMN);
        assertThat(read("Consent").faults())
                .extracting(ConsentReading.Fault::problem)
                .containsExactly(Problem.NO_PERSON_COLUMN);
        assertThat(read("Name,Consent").faults())
                .extracting(ConsentReading.Fault::problem)
                .containsExactly(Problem.NO_ROWS);
    }
}
