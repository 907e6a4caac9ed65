package juricast.core.time;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DateTimeException;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import juricast.core.time.WrittenTimes.DayOrder;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class WrittenTimesTest {
    @ParameterizedTest
    @ValueSource(
            strings = {
                "2026-09-14",
                "2026/9/14",
                "14/09/2026",
                "14.9.26",
                "9/14/2026",
                "14 Sep 2026",
                "14-Sep-26",
                "Mon 14 Sept 2026",
                "Monday, September 14, 2026",
                "Sep 14, 2026",
                "46279",
            })
    void a_day_however_it_is_written(String written) {
        assertThat(WrittenTimes.day(written, DayOrder.DAY_FIRST)).isEqualTo("2026-09-14");
        assertThat(WrittenTimes.isAmbiguous(written)).isFalse();
    }

    @ParameterizedTest
    @CsvSource({
        "9:05, 09:05",
        "09:05:30, 09:05:30",
        "9.05, 09:05",
        "9:05 am, 09:05",
        "9:05:10 P.M., 21:05:10",
        "12:05 AM, 00:05",
        "9h05, 09:05",
        "0.4131944444, 09:55",
        "23:59:59.250, 23:59:59.250",
        "9 pm, 21:00",
    })
    void a_time_of_day_however_it_is_written(String written, LocalTime expected) {
        assertThat(WrittenTimes.timeOfDay(written)).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource({
        "0:45:00, 45",
        "45:00, 45",
        "1h 5m, 65",
        "45 min, 45",
        "2700 s, 45",
        "1 hour 30 minutes, 90",
        "PT45M, 45"
    })
    void a_length_that_says_its_unit(String written, int minutes) {
        assertThat(WrittenTimes.length(written)).contains(Duration.ofMinutes(minutes));
    }

    @Test
    void a_number_alone_is_no_length_yet_and_nonsense_is_nothing() {
        assertThat(WrittenTimes.length("2700")).isEmpty();
        assertThat(WrittenTimes.length("1:05")).as("an hour, or a minute").isEmpty();
        for (String none : List.of("31/02/2026", "2026-13-01", "soon", "14 Foo 2026", "")) {
            assertThatThrownBy(() -> WrittenTimes.day(none, DayOrder.DAY_FIRST)).isInstanceOf(DateTimeException.class);
        }
        for (String none : List.of("25:00", "noon", "9:5", "")) {
            assertThatThrownBy(() -> WrittenTimes.timeOfDay(none)).isInstanceOf(DateTimeException.class);
        }
        assertThatThrownBy(() -> WrittenTimes.length("long")).isInstanceOf(DateTimeException.class);
        assertThatThrownBy(() -> WrittenTimes.length("")).isInstanceOf(DateTimeException.class);
    }

    @Property
    void one_certain_day_says_it_of_all_and_two_that_contradict_say_nothing(
            @ForAll @IntRange(min = 13, max = 28) int day, @ForAll @IntRange(min = 1, max = 12) int month) {
        String dayFirst = day + "/" + month + "/2026";
        String monthFirst = month + "/" + day + "/2026";

        assertThat(WrittenTimes.orderOf(List.of("3/4/2026", dayFirst))).contains(DayOrder.DAY_FIRST);
        assertThat(WrittenTimes.orderOf(List.of(monthFirst, "3/4/2026"))).contains(DayOrder.MONTH_FIRST);
        assertThat(WrittenTimes.orderOf(List.of(monthFirst, dayFirst))).isEqualTo(Optional.empty());
        assertThat(WrittenTimes.day(dayFirst, DayOrder.MONTH_FIRST))
                .isEqualTo(WrittenTimes.day(monthFirst, DayOrder.DAY_FIRST))
                .isEqualTo(LocalDate.of(2026, month, day));
        assertThat(WrittenTimes.isAmbiguous("3/4/2026")).isTrue();
    }
}
