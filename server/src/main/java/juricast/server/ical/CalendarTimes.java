package juricast.server.ical;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.ResolverStyle;

/** Days and times as calendars write them (sections 3.3.4 and 3.3.5). A day that does not exist is none. */
public final class CalendarTimes {
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("uuuuMMdd'T'HHmmss").withResolverStyle(ResolverStyle.STRICT);
    private static final DateTimeFormatter DAY =
            DateTimeFormatter.ofPattern("uuuuMMdd").withResolverStyle(ResolverStyle.STRICT);

    private CalendarTimes() {}

    /** @throws DateTimeException if it is none */
    public static LocalDateTime local(String written) {
        return LocalDateTime.parse(written, TIME);
    }

    /** @throws DateTimeException if it is none */
    public static LocalDate day(String written) {
        return LocalDate.parse(written, DAY);
    }

    public static String written(LocalDateTime at) {
        return at.format(TIME);
    }

    public static String written(LocalDate day) {
        return day.format(DAY);
    }
}
