package juricast.core.timetable;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.stream.Collectors;
import net.fortuna.ical4j.model.Recur;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

/** Two libraries that have nothing in common are asked for the same dates. */
class RecurrenceProperties {
    private static final LocalDateTime BEFORE = LocalDateTime.parse("2030-01-01T00:00");
    private static final int MOST = 60;

    @Property(tries = 4000)
    void a_second_library_finds_the_same_dates(@ForAll("rules") String rule, @ForAll("firsts") LocalDateTime seed) {
        Recurrence ours = Recurrence.parse(rule, ZoneId.of("UTC").getRules()).orElseThrow();
        // Where the first lesson is none of the rule's own, RFC 5545 leaves open what follows; so it is made one of
        // them.
        List<LocalDateTime> any =
                new Recur<LocalDateTime>(weeksFromMonday(endless(rule))).getDates(seed, seed, BEFORE, 1);
        if (any.isEmpty()) {
            return;
        }
        LocalDateTime first = any.get(0);
        List<LocalDateTime> theirs = new Recur<LocalDateTime>(weeksFromMonday(ours.text()))
                .getDates(first, first, BEFORE.minusSeconds(1), MOST);

        assertThat(ours.from(first, BEFORE, MOST)).as("%s from %s", rule, first).isEqualTo(theirs);
    }

    /** RFC 5545 says that weeks begin on Monday unless told otherwise; the second library asks the machine's country. */
    private static String weeksFromMonday(String rule) {
        return rule.contains("WKST") ? rule : rule + ";WKST=MO";
    }

    private static String endless(String rule) {
        return rule.replaceAll(";(COUNT|UNTIL)=[^;]*", "");
    }

    @Provide
    Arbitrary<LocalDateTime> firsts() {
        return Arbitraries.integers()
                .between(0, 1200)
                .map(day -> LocalDate.parse("2025-01-01").plusDays(day).atTime(9, 40));
    }

    @Provide
    Arbitrary<String> rules() {
        Arbitrary<String> end = Arbitraries.oneOf(
                Arbitraries.just(""),
                Arbitraries.integers().between(1, 40).map(count -> ";COUNT=" + count),
                Arbitraries.integers()
                        .between(1, 900)
                        .map(days -> ";UNTIL="
                                + LocalDate.parse("2027-01-01")
                                        .plusDays(days)
                                        .format(java.time.format.DateTimeFormatter.BASIC_ISO_DATE)
                                + "T235959"));
        Arbitrary<String> interval =
                Arbitraries.integers().between(1, 5).map(every -> every == 1 ? "" : ";INTERVAL=" + every);
        return Combinators.combine(kinds(), interval, end).as((kind, every, until) -> kind + every + until);
    }

    private static Arbitrary<String> kinds() {
        Arbitrary<String> days = Arbitraries.of("MO", "TU", "WE", "TH", "FR", "SA", "SU")
                .list()
                .uniqueElements()
                .ofMinSize(1)
                .ofMaxSize(4)
                .map(list -> String.join(",", list));
        Arbitrary<String> ordinals = Combinators.combine(
                        Arbitraries.of(1, 2, 3, 4, -1, -2), Arbitraries.of("MO", "TU", "WE", "TH", "FR"))
                .as((nth, day) -> nth + day);
        Arbitrary<String> months = Arbitraries.integers()
                .between(1, 12)
                .list()
                .uniqueElements()
                .ofMinSize(1)
                .ofMaxSize(3)
                .map(list -> list.stream().sorted().map(String::valueOf).collect(Collectors.joining(",")));
        Arbitrary<Integer> monthDays = Arbitraries.oneOf(
                Arbitraries.integers().between(1, 31), Arbitraries.integers().between(-28, -1));
        return Arbitraries.oneOf(
                Arbitraries.just("FREQ=DAILY"),
                months.map(some -> "FREQ=DAILY;BYMONTH=" + some),
                days.map(some -> "FREQ=DAILY;BYDAY=" + some),
                days.map(some -> "FREQ=WEEKLY;BYDAY=" + some),
                days.map(some -> "FREQ=WEEKLY;WKST=SU;BYDAY=" + some),
                ordinals.map(some -> "FREQ=MONTHLY;BYDAY=" + some),
                monthDays.map(some -> "FREQ=MONTHLY;BYMONTHDAY=" + some),
                Combinators.combine(days, Arbitraries.of(1, -1))
                        .as((some, nth) -> "FREQ=MONTHLY;BYDAY=" + some + ";BYSETPOS=" + nth),
                Combinators.combine(months, monthDays)
                        .as((some, day) -> "FREQ=YEARLY;BYMONTH=" + some + ";BYMONTHDAY=" + day),
                Combinators.combine(months, ordinals)
                        .as((some, day) -> "FREQ=YEARLY;BYMONTH=" + some + ";BYDAY=" + day));
    }
}
