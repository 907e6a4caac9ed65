package juricast.server.classes;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import juricast.core.time.Span;
import juricast.server.data.WrittenDay;
import juricast.server.problems.Problem;

/** Some days of the school, both ends counted. */
public record Period(LocalDate from, LocalDate until, Span span) {
    private static final int LONGEST_DAYS = 400;

    /** Reads two days such as 2026-11-26. @param usualDays how far back it goes, to today, if nothing is said */
    public static Period of(String from, String until, ZoneId zone, Instant now, int usualDays) {
        LocalDate last = until.isEmpty() ? LocalDate.ofInstant(now, zone) : day(until);
        LocalDate first = from.isEmpty() ? last.minusDays(usualDays) : day(from);
        if (last.isBefore(first) || last.isAfter(first.plusDays(LONGEST_DAYS))) {
            throw unreadable("At most %d days, the last not before the first".formatted(LONGEST_DAYS));
        }
        return new Period(
                first,
                last,
                new Span(
                        first.atStartOfDay(zone).toInstant(),
                        last.plusDays(1).atStartOfDay(zone).toInstant()));
    }

    private static LocalDate day(String text) {
        try {
            LocalDate day = WrittenDay.parse(text);
            if (day.getYear() < 1900 || day.getYear() > 9000) {
                throw unreadable("A day such as 2026-11-26");
            }
            return day;
        } catch (DateTimeException none) {
            throw unreadable("A day such as 2026-11-26");
        }
    }

    private static Problem unreadable(String message) {
        return Problem.notReadable(
                "This cannot be shown",
                "Nothing was changed.",
                message + ".",
                List.of(new Problem.Wrong("from", message)));
    }
}
