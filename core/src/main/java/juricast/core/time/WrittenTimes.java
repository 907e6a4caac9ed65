package juricast.core.time;

import java.time.DateTimeException;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.Month;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.time.format.TextStyle;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Days, times of day and lengths of time as people and spreadsheets write them. What can be read in two ways is never guessed here:
 * whoever reads says which of two numbers is the day.
 */
public final class WrittenTimes {
    /** Which of two numbers in a date is the day. */
    public enum DayOrder {
        DAY_FIRST,
        MONTH_FIRST
    }

    private static final Pattern NUMBERS = Pattern.compile("(\\d{1,4})[-/.](\\d{1,2})[-/.](\\d{1,4})\\.?");
    private static final Pattern DAY_OF_WEEK = Pattern.compile("^\\p{L}{2,9}\\.?,?\\s+(?=\\d|\\p{L})");
    private static final Pattern DAY_MONTH = Pattern.compile("(\\d{1,2})\\.?[ -](\\p{L}{3,9})\\.?,?[ -](\\d{2,4})");
    private static final Pattern MONTH_DAY = Pattern.compile("(\\p{L}{3,9})\\.?[ -](\\d{1,2}),?[ -](\\d{2,4})");
    /** A spreadsheet counts days from here; its first two months of 1900 are wrong, and nobody needs them. */
    private static final LocalDate SPREADSHEET = LocalDate.of(1899, 12, 30);

    private static final Pattern SERIAL_DAY = Pattern.compile("[2-7]\\d{4}");
    private static final Pattern SERIAL_TIME = Pattern.compile("0[.,]\\d{2,}");
    private static final long DAY_SECONDS = 86_400;

    private static final List<DateTimeFormatter> CLOCKS = List.of(
            clock("H:mm[:ss[.SSS]]"),
            clock("h:mm[:ss[.SSS]] a"),
            clock("h:mm[:ss]a"),
            clock("h a"),
            clock("H.mm[.ss]"));

    private static final Pattern UNITS = Pattern.compile(
            "(?:(\\d+) ?(?:h|hrs?|hours?|std)\\.?)? ?(?:(\\d+) ?(?:m|mins?|minutes?)\\.?)? ?(?:(\\d+) ?(?:s|secs?|seconds?)\\.?)?");

    private WrittenTimes() {}

    private static DateTimeFormatter clock(String pattern) {
        return new DateTimeFormatterBuilder()
                .parseCaseInsensitive()
                .appendPattern(pattern)
                .toFormatter(Locale.UK);
    }

    /** What days of one hand say of the order of their numbers; empty if none says it, or they contradict each other. */
    public static Optional<DayOrder> orderOf(Collection<String> days) {
        Set<DayOrder> said = new HashSet<>();
        for (String day : days) {
            int[] numbers = numbers(day);
            if (numbers.length == 3 && numbers[0] <= 31) {
                if (numbers[0] > 12 && numbers[1] <= 12) {
                    said.add(DayOrder.DAY_FIRST);
                } else if (numbers[1] > 12 && numbers[0] <= 12) {
                    said.add(DayOrder.MONTH_FIRST);
                }
            }
        }
        return said.size() == 1 ? said.stream().findFirst() : Optional.empty();
    }

    /** Whether a day can be read in two ways. */
    public static boolean isAmbiguous(String day) {
        int[] numbers = numbers(day);
        return numbers.length == 3 && numbers[0] <= 12 && numbers[1] <= 12 && numbers[0] != numbers[1];
    }

    private static int[] numbers(String day) {
        Matcher found = NUMBERS.matcher(withoutDayOfWeek(day));
        return found.matches()
                ? new int[] {
                    Integer.parseInt(found.group(1)), Integer.parseInt(found.group(2)), Integer.parseInt(found.group(3))
                }
                : new int[0];
    }

    private static String withoutDayOfWeek(String day) {
        String said = day.strip();
        Matcher first = DAY_OF_WEEK.matcher(said);
        return first.find() && month(first.group().strip()).isEmpty() ? said.substring(first.end()) : said;
    }

    /**
     * A day: 2026-09-14, 14/09/2026, 14.9.26, 14 Sep 2026, September 14, 2026, with or without the day of the week, or as a
     * spreadsheet counts it.
     *
     * @param order which number is the day where both could be
     * @throws DateTimeException if it is none
     */
    public static LocalDate day(String written, DayOrder order) {
        String said = withoutDayOfWeek(written);
        int[] numbers = numbers(said);
        if (numbers.length == 3) {
            if (numbers[0] > 31) {
                return LocalDate.of(numbers[0], numbers[1], numbers[2]);
            }
            boolean dayFirst = numbers[0] > 12 || numbers[1] <= 12 && order == DayOrder.DAY_FIRST;
            return dayFirst
                    ? LocalDate.of(year(numbers[2]), numbers[1], numbers[0])
                    : LocalDate.of(year(numbers[2]), numbers[0], numbers[1]);
        }
        if (SERIAL_DAY.matcher(said).matches()) {
            return SPREADSHEET.plusDays(Long.parseLong(said));
        }
        Matcher named = DAY_MONTH.matcher(said);
        if (named.matches()) {
            return named(named.group(1), named.group(2), named.group(3), written);
        }
        named = MONTH_DAY.matcher(said);
        if (named.matches()) {
            return named(named.group(2), named.group(1), named.group(3), written);
        }
        throw new DateTimeException("Not a day: " + written);
    }

    private static LocalDate named(String day, String month, String year, String written) {
        Month which = month(month).orElseThrow(() -> new DateTimeException("Not a month: " + written));
        return LocalDate.of(year(Integer.parseInt(year)), which, Integer.parseInt(day));
    }

    private static int year(int written) {
        return written < 100 ? 2000 + written : written;
    }

    private static Optional<Month> month(String name) {
        String said = name.toLowerCase(Locale.ROOT).replaceAll("[.,]", "");
        for (Month one : Month.values()) {
            String whole = one.getDisplayName(TextStyle.FULL, Locale.UK).toLowerCase(Locale.ROOT);
            if (said.length() >= 3 && whole.startsWith(said) || said.equals("sept") && one == Month.SEPTEMBER) {
                return Optional.of(one);
            }
        }
        return Optional.empty();
    }

    /**
     * A time of day: 9:05, 09:05:30, 9.05, 9:05 am, 9:05 p.m., 9h05, or as a spreadsheet counts it, as a part of a day.
     *
     * @throws DateTimeException if it is none
     */
    public static LocalTime timeOfDay(String written) {
        String said = written.strip()
                .replaceAll("[\\u00A0\\u202F]", " ")
                .replaceAll("(?i)\\b([ap])\\.?\\s?m\\.?$", "$1m")
                .replaceFirst("(?i)^(\\d{1,2}) ?h ?(\\d\\d)$", "$1:$2");
        if (SERIAL_TIME.matcher(said).matches()) {
            return LocalTime.ofSecondOfDay(
                    Math.round(Double.parseDouble(said.replace(',', '.')) * DAY_SECONDS) % DAY_SECONDS);
        }
        for (DateTimeFormatter one : CLOCKS) {
            try {
                return LocalTime.parse(said, one);
            } catch (DateTimeException next) {
                // Another way of writing it.
            }
        }
        throw new DateTimeException("Not a time of day: " + written);
    }

    /**
     * A length that says its own unit: 0:45:00, 45:00 (minutes and seconds, for nobody stays 45 hours), 1h 5m, 45 min, 2700 s.
     *
     * @return empty for a number alone, which may be minutes or seconds, and for 1:05, which may be hours and minutes
     * @throws DateTimeException if it is no length
     */
    public static Optional<Duration> length(String written) {
        String said = written.strip().toLowerCase(Locale.ROOT);
        if (said.matches("\\d{1,6}|\\d:\\d\\d")) {
            return Optional.empty();
        }
        if (said.startsWith("p")) {
            return Optional.of(Duration.parse(said));
        }
        Matcher colons = Pattern.compile("(?:(\\d{1,2}):)?(\\d{1,3}):(\\d\\d)").matcher(said);
        Matcher units = UNITS.matcher(said);
        Matcher found = colons.matches() ? colons : units.matches() && !said.isEmpty() ? units : null;
        if (found == null) {
            throw new DateTimeException("Not a length: " + written);
        }
        return Optional.of(Duration.ofHours(number(found.group(1)))
                .plusMinutes(number(found.group(2)))
                .plusSeconds(number(found.group(3))));
    }

    private static long number(String group) {
        return group == null ? 0 : Long.parseLong(group);
    }
}
