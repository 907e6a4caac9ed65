package juricast.core.roster;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
import juricast.core.identity.PersonId;
import juricast.core.roster.RosterChange.Pupil;
import juricast.core.roster.RosterReading.Fault;
import juricast.core.roster.RosterReading.Line;
import juricast.core.roster.RosterReading.Problem;
import juricast.core.roster.RosterReading.Row;
import org.junit.jupiter.api.Test;

class RosterTest {
    private static final Pupil INES = pupil("ines", "Ines Carrow", "1001", 8);
    private static final Pupil JORY = pupil("jory", "Jory Pell", "1002", 8);
    private static final Pupil MIRA8 = pupil("mira8", "Mira Solberg", "1003", 8);
    private static final Pupil MIRA9 = pupil("mira9", "Mira Solberg", "1004", 9);
    private static final List<Pupil> SCHOOL = List.of(INES, JORY, MIRA8, MIRA9);

    @Test
    void columns_are_found_in_any_order_under_sensible_headings() {
        var reading = RosterReading.of(
                List.of("Yr", "Surname", "Pupil number", "First name"),
                List.of(line(2, "Year 8", "Carrow", "1001", "Ines")));

        assertThat(reading.rows()).containsExactly(new Row(2, "Ines Carrow", "1001", OptionalInt.of(8)));
        assertThat(RosterReading.of(List.of("NAME"), List.of(line(2, "Pell, Jory")))
                        .rows())
                .extracting(Row::name)
                .containsExactly("Jory Pell");
    }

    @Test
    void every_wrong_row_is_told_with_its_line_and_the_others_are_read() {
        var reading = RosterReading.of(
                List.of("name", "number", "year"),
                List.of(
                        line(2, "Ines Carrow", "1001", "8"),
                        line(3, "", "1002", "8"),
                        line(4, "Jory Pell", "1001", "8"),
                        line(5, "Bo Lindqvar", "1005", "Year 12b"),
                        line(6, "x".repeat(81), "1006", "8"),
                        line(7, "小川 光 🐙", "", "")));

        assertThat(reading.rows()).extracting(Row::line).containsExactly(2, 7);
        assertThat(reading.faults())
                .extracting(Fault::line, Fault::problem)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(3, Problem.NO_NAME),
                        org.assertj.core.groups.Tuple.tuple(4, Problem.SAME_NUMBER_TWICE),
                        org.assertj.core.groups.Tuple.tuple(5, Problem.NOT_A_YEAR),
                        org.assertj.core.groups.Tuple.tuple(6, Problem.NAME_TOO_LONG));
    }

    @Test
    void a_file_without_names_without_rows_or_with_too_many_is_refused_as_a_whole() {
        assertThat(problem(List.of("subject", "room"), List.of(line(2, "a", "b"))))
                .isEqualTo(Problem.NO_NAME_COLUMN);
        assertThat(problem(List.of("name"), List.of())).isEqualTo(Problem.NO_ROWS);
        assertThat(problem(
                        List.of("name"),
                        IntStream.range(0, 20_000)
                                .mapToObj(i -> line(i, "Pupil " + i))
                                .toList()))
                .isEqualTo(Problem.TOO_MANY_ROWS);
    }

    @Test
    void a_change_says_who_comes_who_goes_who_is_new_and_who_is_unclear() {
        var change = RosterChange.between(
                List.of(
                        row(2, "Ines Carrow-Holt", "1001"),
                        row(3, "Jory Pell", ""),
                        row(4, "Somebody New", ""),
                        row(5, "Mira Solberg", "")),
                SCHOOL,
                Set.of(INES.person()));

        assertThat(change.staying()).containsExactly(INES);
        assertThat(change.renamed()).extracting(RosterChange.Rename::name).containsExactly("Ines Carrow-Holt");
        assertThat(change.added()).containsExactly(JORY);
        assertThat(change.created()).extracting(Row::name).containsExactly("Somebody New");
        assertThat(change.unclear()).extracting(Row::line).containsExactly(5);
        assertThat(change.dropped()).isEmpty();
    }

    @Test
    void two_pupils_of_one_name_are_told_apart_by_year_or_class_and_never_dropped_for_being_unclear() {
        var byYear = RosterChange.between(List.of(new Row(2, "Mira Solberg", "", OptionalInt.of(9))), SCHOOL, Set.of());
        var byClass = RosterChange.between(List.of(row(2, "Mira Solberg", "")), SCHOOL, Set.of(MIRA8.person()));
        var both = RosterChange.between(
                List.of(row(2, "Mira Solberg", "")), SCHOOL, Set.of(MIRA8.person(), MIRA9.person()));

        assertThat(byYear.added()).containsExactly(MIRA9);
        assertThat(byClass.staying()).containsExactly(MIRA8);
        assertThat(both.unclear()).hasSize(1);
        assertThat(both.dropped()).isEmpty();
    }

    private static Problem problem(List<String> heading, List<Line> lines) {
        return RosterReading.of(heading, lines).faults().get(0).problem();
    }

    private static Row row(int line, String name, String number) {
        return new Row(line, name, number, OptionalInt.empty());
    }

    private static Line line(int number, String... cells) {
        return new Line(number, List.of(cells));
    }

    private static Pupil pupil(String id, String name, String number, int year) {
        return new Pupil(new PersonId(id), name, number, OptionalInt.of(year));
    }
}
