package juricast.server.timetable;

import static juricast.core.exchange.TimetableReading.Problem.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import juricast.core.exchange.TimetableReading;
import juricast.core.exchange.TimetableReading.Fault;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LessonTableTest {
    private static TimetableReading read(String table) {
        return LessonTable.read(table.getBytes(StandardCharsets.UTF_8), ZoneId.of("Europe/Oslo"));
    }

    /** Forty school days, as our own export has them and as a spreadsheet of some country saves them again. */
    private static String table(String day, String time, String delimiter) {
        var days = DateTimeFormatter.ofPattern(day, Locale.UK);
        var times = DateTimeFormatter.ofPattern(time, Locale.UK);
        return IntStream.range(0, 40)
                .mapToObj(i -> String.join(
                        delimiter,
                        "id-" + i,
                        "Tidal Navigation 8",
                        '"' + LocalDate.parse("2026-09-01").plusDays(i).format(days) + '"',
                        LocalTime.parse("09:05").plusMinutes(i * 10).format(times),
                        LocalTime.parse("09:55").plusMinutes(i * 10).format(times),
                        "Orla Venn",
                        i % 7 == 0 ? "called off" : "planned"))
                .collect(Collectors.joining("\r\n", String.join(delimiter, LessonTable.HEADING) + "\r\n", "\r\n"));
    }

    @ParameterizedTest
    @CsvSource({
        "dd/MM/yyyy, HH:mm, ;",
        "M/d/yy, h:mm:ss a, ','",
        "dd.MM.yy, HH:mm:ss, ;",
        "'EEE, MMM d, yyyy', H:mm, ;",
        "d MMMM yyyy, HH.mm, ;",
        "yyyy/MM/dd, HH:mm, ;",
    })
    void our_own_table_opened_and_saved_by_a_spreadsheet_says_the_same(String day, String time, String delimiter) {
        TimetableReading original = read(table("yyyy-MM-dd", "HH:mm", ","));
        TimetableReading again = read(table(day, time, delimiter));

        assertThat(original.faults()).isEmpty();
        assertThat(original.entries()).hasSize(40);
        assertThat(original.entries().get(7).lessons().get(0).cancelled()).isTrue();
        assertThat(again.entries()).isEqualTo(original.entries());
        assertThat(again.faults()).allMatch(one -> one.problem() == DATES_READ_AS);
    }

    @Test
    void a_day_that_may_be_two_and_a_state_that_says_nothing_known_are_told_and_not_taken() {
        TimetableReading read = read(
                "class;date;starts;minutes;state\nA;03/04/2026;9:05;45 min;\nA;2026-09-15;9:05;50;swapped\nA;2026-09-16;9:05;50;Called off\n");

        assertThat(read.faults())
                .extracting(Fault::line, Fault::problem)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(2, DAY_OR_MONTH_FIRST),
                        org.assertj.core.groups.Tuple.tuple(3, STATE_NOT_UNDERSTOOD));
        assertThat(read.entries()).hasSize(1);
        assertThat(read.entries().get(0).lessons())
                .extracting(TimetableReading.Lesson::cancelled)
                .isEqualTo(List.of(true));
    }
}
