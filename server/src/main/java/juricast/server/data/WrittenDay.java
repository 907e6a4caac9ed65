package juricast.server.data;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeParseException;

/** Days and times as people and files write them, in years that a clock can count in milliseconds. */
public final class WrittenDay {
    private static final int FIRST_YEAR = 1900;
    private static final int LAST_YEAR = 9000;

    private WrittenDay() {}

    /** As 2026-09-14. @throws DateTimeParseException if it is no day, or of no such year */
    public static LocalDate parse(String text) {
        return bounded(LocalDate.parse(text), text);
    }

    /** As 2026-09-14T10:05. @throws DateTimeParseException if it is no day and time, or of no such year */
    public static LocalDateTime parseWithTime(String text) {
        LocalDateTime read = LocalDateTime.parse(text);
        bounded(read.toLocalDate(), text);
        return read;
    }

    private static LocalDate bounded(LocalDate day, String text) {
        if (day.getYear() < FIRST_YEAR || day.getYear() > LAST_YEAR) {
            throw new DateTimeParseException("A year from %d to %d".formatted(FIRST_YEAR, LAST_YEAR), text, 0);
        }
        return day;
    }
}
