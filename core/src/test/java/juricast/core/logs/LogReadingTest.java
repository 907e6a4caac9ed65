package juricast.core.logs;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.logs.LogReading.Problem;
import juricast.core.logs.LogReading.Question;
import juricast.core.logs.LogReading.Unit;
import juricast.core.roster.RosterReading.Line;
import juricast.core.time.Span;
import juricast.core.time.WrittenTimes.DayOrder;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LogReadingTest {
    private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");
    /** Ten to ten to eleven at the school, on the third of April. */
    private static final Span LESSON =
            new Span(Instant.parse("2026-04-03T08:00:00Z"), Instant.parse("2026-04-03T08:50:00Z"));

    private static final List<Member> LIST = List.of(
            new Member(new PersonId("ines"), "Ines Carrow", Role.PUPIL),
            new Member(new PersonId("jory"), "Jory Pell", Role.PUPIL),
            new Member(new PersonId("jory2"), "Jory Pell", Role.PUPIL));

    private static LogReading read(ZoneId zone, Optional<DayOrder> order, String heading, String... rows) {
        var lines = new ArrayList<Line>();
        for (String row : rows) {
            lines.add(new Line(lines.size() + 2, Arrays.asList(row.split(";", -1))));
        }
        return LogReading.of(
                Arrays.asList(heading.split(";")),
                lines,
                LESSON,
                new LogReading.Answers(zone, false, order, Optional.empty(), Optional.empty()));
    }

    private static LogReading.Answers withColumns(LogColumns columns) {
        return new LogReading.Answers(OSLO, false, Optional.empty(), Optional.empty(), Optional.of(columns));
    }

    private static LogReading read(String... rows) {
        return read(OSLO, Optional.of(DayOrder.DAY_FIRST), "Participant;Join Time;Leave Time", rows);
    }

    @ParameterizedTest
    @CsvSource({
        "2026-04-03 10:05:00",
        "2026-04-03T10:05",
        "2026-04-03T08:05:00Z",
        "2026-04-03 10:05:00+0200",
        "03/04/2026 10:05",
        "3.4.26 10:05",
        "03/04/2026 10:05 AM",
        "10:05",
        "10:05 am",
        "'Apr 3, 2026 10:05:00 AM'",
        "'Friday, 3 April 2026 10:05'",
        "3-Apr-26 10.05",
        "2026-04-03 08:05:00 UTC",
        "46115.4201388889",
        "1775203500",
        "1775203500000",
    })
    void times_are_read_as_other_services_write_them(String joined) {
        LogReading log = read("Ines Carrow;" + joined + ";2026-04-03 10:50");
        assertThat(log.faults()).isEmpty();
        assertThat(log.rows().get(0).time().from()).isEqualTo(Instant.parse("2026-04-03T08:05:00Z"));
    }

    @Test
    void which_number_is_the_day_is_asked_where_both_could_be() {
        assertThat(read(OSLO, Optional.empty(), "name;joined;left", "Ines Carrow;03/04/2026 10:05;03/04/2026 10:50")
                        .questions())
                .containsExactly(Question.DATE_ORDER);
        assertThat(read(OSLO, Optional.empty(), "name;joined;left", "Ines Carrow;2026-04-03 10:05;2026-04-03 10:50")
                        .questions())
                .isEmpty();
        assertThat(read(
                                OSLO,
                                Optional.of(DayOrder.MONTH_FIRST),
                                "name;joined;left",
                                "Ines Carrow;04/03/2026 10:05;04/03/2026 10:50")
                        .rows())
                .hasSize(1);
    }

    @Test
    void where_nothing_lies_in_the_lesson_the_zone_is_asked_and_another_answer_mends_it() {
        String row = "Ines Carrow;2026-04-03 03:05;2026-04-03 03:50";
        assertThat(read(row).questions()).containsExactly(Question.ZONE);
        assertThat(read(ZoneOffset.ofHours(-5), Optional.of(DayOrder.DAY_FIRST), "name;joined;left", row)
                        .rows())
                .hasSize(1);
    }

    @Test
    void each_row_that_is_wrong_is_told_with_its_line_and_the_others_are_read() {
        LogReading log = read(
                "Ines Carrow;10:05;10:50",
                ";10:05;10:50",
                "Jory Pell;;10:50",
                "Jory Pell;10:05;",
                "Jory Pell;10:50;10:05",
                "Jory Pell;soon;later",
                "Jory Pell;2026-04-02 10:05;2026-04-02 10:50");
        assertThat(log.rows()).hasSize(1);
        assertThat(log.faults())
                .extracting(one -> one.line() + " " + one.problem())
                .containsExactly(
                        "3 " + Problem.NO_NAME,
                        "4 " + Problem.NO_JOIN,
                        "5 " + Problem.NO_LEAVE,
                        "6 " + Problem.LEAVES_BEFORE_IT_JOINS,
                        "7 " + Problem.NOT_A_TIME,
                        "8 " + Problem.NOT_OF_THIS_LESSON);
        assertThat(read(OSLO, Optional.empty(), "who;when", "x;y").faults())
                .extracting(LogReading.Fault::problem)
                .containsExactly(Problem.NO_NAME_COLUMN);
    }

    @Test
    void minutes_stand_for_a_missing_column_of_leaves() {
        LogReading log = read(OSLO, Optional.empty(), "Name;Joined;Duration (minutes)", "Ines Carrow;10:05;40");
        assertThat(log.rows().get(0).time().length()).isEqualTo(Duration.ofMinutes(40));
    }

    @Test
    void several_rows_are_united_and_only_an_exact_name_counts_by_itself() {
        LogReading log = read(
                "Ines Carrow;10:00;10:20",
                "Ines Carrow;10:15;10:30",
                "Inez Carow;10:40;10:50",
                "Jory Pell;10:00;10:50",
                "kestrel-tab;10:00;10:50");
        Reconciled first = Reconciled.of(log, LIST, Map.of());
        assertThat(first.open()).extracting(Reconciled.Name::name).contains("Inez Carow", "Jory Pell", "kestrel-tab");
        assertThat(first.stays()).containsOnlyKeys(new PersonId("ines"));

        Reconciled then = Reconciled.of(
                log,
                LIST,
                Map.of(
                        "Inez Carow",
                        Optional.of(new PersonId("ines")),
                        "Jory Pell",
                        Optional.of(new PersonId("jory2")),
                        "kestrel-tab",
                        Optional.empty()));
        assertThat(then.open()).isEmpty();
        assertThat(then.stays().get(new PersonId("ines")))
                .extracting(span -> span.length().toMinutes())
                .containsExactly(30L, 10L);
        assertThat(then.stays()).containsOnlyKeys(new PersonId("ines"), new PersonId("jory2"));
    }

    @Test
    void columns_are_proposed_by_their_heading_and_a_person_says_what_it_does_not_tell() {
        List<String> heading = List.of("Who came", "Began", "Stayed");
        var row = List.of(new Line(2, List.of("Ines Carrow", "10:05", "45")));
        var unsaid = LogReading.Answers.none(OSLO);
        LogReading proposed = LogReading.of(heading, row, LESSON, unsaid);
        assertThat(proposed.columns())
                .isEqualTo(new LogColumns(LogColumns.NONE, LogColumns.NONE, LogColumns.NONE, LogColumns.NONE));
        assertThat(proposed.faults()).extracting(LogReading.Fault::problem).containsExactly(Problem.NO_NAME_COLUMN);

        var said = withColumns(new LogColumns(0, 1, LogColumns.NONE, 2));
        assertThat(LogReading.of(heading, row, LESSON, said).rows())
                .containsExactly(new LogReading.Row(
                        2,
                        "Ines Carrow",
                        new Span(Instant.parse("2026-04-03T08:05:00Z"), Instant.parse("2026-04-03T08:50:00Z"))));

        var beyond = withColumns(new LogColumns(0, 1, LogColumns.NONE, 3));
        assertThat(LogReading.of(heading, row, LESSON, beyond).rows()).isEmpty();
        assertThat(LogColumns.likeness(List.of("Who  came?", "BEGAN", "Stayed")))
                .isEqualTo(LogColumns.likeness(heading));
    }

    private static LogReading stayed(Optional<Unit> unit, String heading, String... lengths) {
        var lines = new ArrayList<Line>();
        for (String length : lengths) {
            lines.add(new Line(lines.size() + 2, List.of("Pupil " + lines.size(), "10:00", length)));
        }
        return LogReading.of(
                List.of("name", "joined", heading),
                lines,
                LESSON,
                new LogReading.Answers(OSLO, false, Optional.empty(), unit, Optional.empty()));
    }

    @Test
    void whether_a_length_is_of_minutes_or_seconds_is_asked_where_nothing_says_it_and_the_likelier_is_proposed() {
        LogReading open = stayed(Optional.empty(), "Duration", "2700", "45", "0:45:00");
        assertThat(open.questions()).containsExactly(Question.UNIT);
        assertThat(open.proposed().unit()).isEqualTo(Unit.SECONDS);
        assertThat(stayed(Optional.empty(), "Duration", "45").proposed().unit()).isEqualTo(Unit.MINUTES);
        assertThat(stayed(Optional.of(Unit.SECONDS), "Duration", "2700", "45 min")
                        .rows())
                .extracting(row -> row.time().length().toMinutes())
                .containsExactly(45L, 45L);
        for (String sure : List.of("Duration (seconds)", "Duration in sec")) {
            LogReading read = stayed(Optional.empty(), sure, "2700");
            assertThat(read.questions()).isEmpty();
            assertThat(read.rows().get(0).time().length()).isEqualTo(Duration.ofMinutes(45));
        }
        assertThat(stayed(Optional.empty(), "Duration", "45 min", "1h 2m").questions())
                .isEmpty();
    }

    @Test
    void one_and_five_with_a_colon_may_be_hours_and_minutes_and_is_asked_unless_another_row_shows_it() {
        LogReading open = stayed(Optional.empty(), "Duration", "1:05", "0:45");
        assertThat(open.questions()).containsExactly(Question.UNIT);
        assertThat(open.proposed().unit()).isEqualTo(Unit.MINUTES);
        assertThat(stayed(Optional.empty(), "Minutes", "0:45").questions())
                .as("minutes may be what stands first")
                .containsExactly(Question.UNIT);
        assertThat(stayed(Optional.of(Unit.MINUTES), "Duration", "0:45")
                        .rows()
                        .get(0)
                        .time()
                        .length())
                .isEqualTo(Duration.ofMinutes(45));
        assertThat(stayed(Optional.of(Unit.SECONDS), "Duration", "9:30")
                        .rows()
                        .get(0)
                        .time()
                        .length())
                .isEqualTo(Duration.ofSeconds(570));
        LogReading shown = stayed(Optional.empty(), "Duration", "45:00", "9:30");
        assertThat(shown.questions()).isEmpty();
        assertThat(shown.rows().get(1).time().length()).isEqualTo(Duration.ofSeconds(570));
    }

    @Test
    void a_log_some_hours_off_is_asked_about_and_its_zone_proposed_until_somebody_says_it_is_right() {
        String[] rows = {"Ines Carrow;09:01;09:49", "Jory Pell;09:00;09:50", "Jory Pell;08:55;09:20"};
        LogReading early = read(rows);
        assertThat(early.questions()).containsExactly(Question.ZONE);
        assertThat(early.proposed().zone()).isEqualTo(ZoneOffset.ofHours(1));
        var said = new LogReading.Answers(OSLO, true, Optional.empty(), Optional.empty(), Optional.empty());
        var lines = List.of(new Line(2, List.of("Ines Carrow", "09:01", "09:49")));
        assertThat(LogReading.of(List.of("name", "joined", "left"), lines, LESSON, said)
                        .questions())
                .isEmpty();
        assertThat(read("Ines Carrow;10:20;11:30").questions())
                .as("late and long is no zone")
                .isEmpty();
        assertThat(read("Ines Carrow;2026-04-03T07:01Z;2026-04-03T07:49Z").questions())
                .as("a time that says its zone is not asked about")
                .isEmpty();
        assertThat(read("Ines Carrow;08:01;08:49").proposed().zone()).isEqualTo(ZoneId.of("UTC"));
    }

    @Test
    void a_persons_times_come_before_those_of_the_meeting_and_a_stay_far_beyond_it_is_doubted() {
        LogReading log = read(
                OSLO,
                Optional.empty(),
                "Start time;End time;Name;Join time;Leave time",
                "10:00;10:50;Ines Carrow;10:20;10:40",
                "10:00;10:50;Jory Pell;08:00;15:00");

        assertThat(log.rows().get(0).time().length()).isEqualTo(Duration.ofMinutes(20));
        assertThat(log.rows()).hasSize(2);
        assertThat(log.doubts())
                .containsExactly(new LogReading.Fault(3, Problem.FAR_BEYOND_THE_LESSON, "Jory Pell: 08:00 to 15:00"));
    }

    @Test
    void one_day_that_can_be_read_in_one_way_says_how_all_are_meant() {
        LogReading log = read(
                OSLO,
                Optional.empty(),
                "name;joined;left",
                "Ines Carrow;03/04/2026 10:05;03/04/2026 10:50",
                "Jory Pell;31/03/2026 10:05;31/03/2026 10:50");

        assertThat(log.questions()).isEmpty();
        assertThat(log.rows()).hasSize(1);
    }

    /** Every row is taken or told with its line, whatever stands in it. */
    @Property
    void every_row_is_taken_or_told(@ForAll("cells") List<List<String>> rows) {
        var lines = new ArrayList<Line>();
        rows.forEach(row -> lines.add(new Line(lines.size() + 2, row)));
        LogReading log = LogReading.of(
                List.of("name", "joined", "left", "duration"), lines, LESSON, LogReading.Answers.none(OSLO));

        if (!lines.isEmpty()) {
            assertThat(Stream.concat(
                            log.rows().stream().map(LogReading.Row::line),
                            log.faults().stream().map(LogReading.Fault::line)))
                    .containsExactlyInAnyOrderElementsOf(
                            lines.stream().map(Line::number).toList());
        }
    }

    @Provide
    Arbitrary<List<List<String>>> cells() {
        Arbitrary<String> cell = Arbitraries.of(
                "",
                "Ines Carrow",
                "10:05",
                "10:50 am",
                "03/04/2026 10:20",
                "2026-04-03T08:30Z",
                "45",
                "2700",
                "1h",
                "25:99",
                "31/31/2026 10:00",
                "46115.42",
                "99999999999999999999",
                "-",
                "0:45:00");
        return cell.list().ofMaxSize(5).list().ofMaxSize(6);
    }

    @Test
    void a_time_that_the_clocks_left_out_or_showed_twice_is_told_and_not_guessed() {
        var night = new Span(Instant.parse("2026-10-25T00:00:00Z"), Instant.parse("2026-10-25T02:00:00Z"));
        var answers = LogReading.Answers.none(OSLO);
        List<String> heading = List.of("name", "joined", "left");
        LogReading back = LogReading.of(
                heading,
                List.of(
                        new Line(2, List.of("Ines Carrow", "2026-10-25 01:50", "2026-10-25 02:20")),
                        new Line(3, List.of("Ines Carrow", "2026-10-25 01:50", "2026-10-25T02:20:00+02:00"))),
                night,
                answers);
        assertThat(back.faults())
                .containsExactly(new LogReading.Fault(2, Problem.TIME_WAS_TWICE, "2026-10-25 01:50, 2026-10-25 02:20"));
        assertThat(back.rows()).hasSize(1);

        var spring = new Span(Instant.parse("2026-03-29T00:30:00Z"), Instant.parse("2026-03-29T02:00:00Z"));
        assertThat(LogReading.of(
                                heading,
                                List.of(new Line(2, List.of("Ines Carrow", "2026-03-29 02:10", "2026-03-29 03:20"))),
                                spring,
                                answers)
                        .faults())
                .extracting(LogReading.Fault::problem)
                .containsExactly(Problem.NO_SUCH_TIME);
    }
}
