package juricast.core.roster;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import juricast.core.identity.PersonId;
import juricast.core.roster.RosterChange.Answer;
import juricast.core.roster.RosterChange.Doubt;
import juricast.core.roster.RosterChange.Pupil;
import juricast.core.roster.RosterReading.Fault;
import juricast.core.roster.RosterReading.Line;
import juricast.core.roster.RosterReading.Problem;
import juricast.core.roster.RosterReading.Row;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;
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
                List.of(line(2, "Year 8", "Carrow", "1001", "Ines")),
                Optional.empty());

        assertThat(reading.rows()).containsExactly(new Row(2, "Ines Carrow", "1001", OptionalInt.of(8)));
        assertThat(RosterReading.of(List.of("NAME"), List.of(line(2, "Pell, Jory")), Optional.empty())
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
                        line(7, "小川 光 🐙", "", "")),
                Optional.empty());

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
                file(
                        row(2, "Ines Carrow-Holt", "1001"),
                        row(3, "Jory Pell", ""),
                        row(4, "Somebody New", ""),
                        row(5, "Mira Solberg", "")),
                SCHOOL,
                Set.of(INES.person()),
                Map.of());

        assertThat(change.staying()).containsExactly(INES);
        assertThat(change.renamed()).extracting(RosterChange.Rename::name).containsExactly("Ines Carrow-Holt");
        assertThat(change.added()).containsExactly(JORY);
        assertThat(change.created()).extracting(Row::name).containsExactly("Somebody New");
        assertThat(change.unclear()).extracting(Row::line).containsExactly(5);
        assertThat(change.dropped()).isEmpty();
    }

    @Test
    void two_pupils_of_one_name_are_told_apart_by_year_or_class_and_never_dropped_for_being_unclear() {
        var byYear = RosterChange.between(
                file(new Row(2, "Mira Solberg", "", OptionalInt.of(9))), SCHOOL, Set.of(), Map.of());
        var byClass = RosterChange.between(file(row(2, "Mira Solberg", "")), SCHOOL, Set.of(MIRA8.person()), Map.of());
        var both = RosterChange.between(
                file(row(2, "Mira Solberg", "")), SCHOOL, Set.of(MIRA8.person(), MIRA9.person()), Map.of());

        assertThat(byYear.added()).containsExactly(MIRA9);
        assertThat(byClass.staying()).containsExactly(MIRA8);
        assertThat(both.unclear()).hasSize(1);
        assertThat(both.dropped()).isEmpty();
    }

    @Test
    void a_name_beside_a_first_name_is_a_surname_and_columns_can_be_said() {
        List<String> heading = List.of("Name", "First name", "House");
        List<Line> lines = List.of(line(2, "Carrow", "Ines", "Jory Pell"));

        assertThat(RosterReading.of(heading, lines, Optional.empty()).rows())
                .extracting(Row::name)
                .containsExactly("Ines Carrow");
        assertThat(RosterReading.of(heading, lines, Optional.of(new RosterColumns(2, -1, -1, -1, -1)))
                        .rows())
                .extracting(Row::name)
                .containsExactly("Jory Pell");
        assertThat(RosterReading.of(heading, lines, Optional.of(new RosterColumns(7, -1, -1, -1, -1)))
                        .faults())
                .extracting(Fault::problem)
                .containsExactly(Problem.NO_NAME_COLUMN);
    }

    @Test
    void one_wrong_cell_takes_nobody_out_of_the_class_and_a_new_year_is_seen() {
        var reading = RosterReading.of(
                List.of("name", "number", "year"),
                List.of(line(2, "Ines Carrow", "1001", "8B"), line(3, "Jory Pell", "1002", "9")),
                Optional.empty());
        var change = RosterChange.between(reading, SCHOOL, Set.of(INES.person(), JORY.person()), Map.of());

        assertThat(change.dropped()).isEmpty();
        assertThat(change.staying()).containsExactly(JORY);
        assertThat(change.moved()).containsExactly(new RosterChange.NewYear(JORY, 9));
    }

    @Test
    void whom_a_row_means_that_says_another_year_or_number_is_asked_and_both_answers_count() {
        var others = List.of(
                new Row(2, "Ines Carrow", "", OptionalInt.of(9)),
                row(3, "Jory Pell", "77"),
                row(4, "J. Smith", "7"),
                row(5, "Nils Haldane", "8"));
        var padded = List.of(INES, JORY, pupil("nils", "Nils Haldane", "008", 8), pupil("odd", "Odd Smith", "007", 8));
        var classNow = Set.of(INES.person(), JORY.person(), new PersonId("nils"), new PersonId("odd"));
        var file = file(others.toArray(Row[]::new));
        var asked = RosterChange.between(file, padded, classNow, Map.of());

        assertThat(asked.asked())
                .extracting(RosterChange.Asked::why)
                .containsExactly(Doubt.OTHER_YEAR, Doubt.OTHER_NUMBER, Doubt.NUMBER_WITHOUT_ZEROS);
        assertThat(asked.staying()).extracting(Pupil::name).containsExactly("Nils Haldane");
        assertThat(asked.created()).isEmpty();
        assertThat(asked.dropped()).isEmpty();

        var answered =
                RosterChange.between(file, padded, classNow, Map.of(2, Answer.SAME, 3, Answer.ANOTHER, 4, Answer.SAME));
        assertThat(answered.asked()).isEmpty();
        assertThat(answered.moved()).extracting(RosterChange.NewYear::year).containsExactly(9);
        assertThat(answered.renamed()).extracting(RosterChange.Rename::name).containsExactly("J. Smith");
        assertThat(answered.created()).extracting(Row::line).containsExactly(3);
        assertThat(answered.dropped()).containsExactly(JORY);
    }

    /** Every row comes out as something, and who is in the class and in the file stays in it. */
    @Property
    void each_row_is_taken_asked_about_or_unclear_and_nobody_it_may_mean_goes(
            @ForAll("rows") List<Row> rows, @ForAll Set<@IntRange(max = 3) Integer> inClass) {
        Set<PersonId> classNow =
                inClass.stream().map(i -> SCHOOL.get(i).person()).collect(Collectors.toSet());
        var change = RosterChange.between(file(rows.toArray(Row[]::new)), SCHOOL, classNow, Map.of());

        assertThat(change.added().size()
                        + change.staying().size()
                        + change.created().size()
                        + change.unclear().size()
                        + change.asked().size())
                .isEqualTo(rows.size());
        assertThat(change.dropped())
                .filteredOn(gone -> !gone.equals(MIRA8) && !gone.equals(MIRA9))
                .as("of two namesakes the one whose year stands there is meant")
                .allSatisfy(gone -> assertThat(rows).noneMatch(row -> row.name().equals(gone.name())));
    }

    @Provide
    Arbitrary<List<Row>> rows() {
        return Combinators.combine(
                        Arbitraries.of("Ines Carrow", "Jory Pell", "Mira Solberg", "Somebody New"),
                        Arbitraries.of("", "", "1001", "01002", "9"),
                        Arbitraries.of(0, 0, 8, 9))
                .as((name, number, year) ->
                        new Row(2, name, number, year == 0 ? OptionalInt.empty() : OptionalInt.of(year)))
                .list()
                .ofMaxSize(5);
    }

    private static RosterReading file(Row... rows) {
        return new RosterReading(new RosterColumns(0, -1, -1, 1, 2), List.of(rows), List.of(), List.of());
    }

    private static Problem problem(List<String> heading, List<Line> lines) {
        return RosterReading.of(heading, lines, Optional.empty())
                .faults()
                .get(0)
                .problem();
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
