package juricast.core.timetable;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * When a school is held: its terms, what is left out of them, and its hours.
 *
 * @param terms in order; empty if the school has not said, and then every day may be one of school
 * @param holidays days left out
 * @param days of the week on which lessons may be
 * @param opens from when on each of these days lessons may begin
 * @param closes until when they must have ended
 */
public record SchoolCalendar(
        List<Days> terms, List<Days> holidays, Set<DayOfWeek> days, LocalTime opens, LocalTime closes) {
    /** Nothing is said: every day, at every hour. */
    public static final SchoolCalendar NONE =
            new SchoolCalendar(List.of(), List.of(), Set.of(DayOfWeek.values()), LocalTime.MIN, LocalTime.MAX);

    /** A named stretch of days, both ends counted. */
    public record Days(String name, LocalDate first, LocalDate last) {
        /** @throws IllegalArgumentException if it ends before it begins */
        public Days {
            if (last.isBefore(first)) {
                throw new IllegalArgumentException("%s ends before it begins: %s to %s".formatted(name, first, last));
            }
        }

        boolean has(LocalDate day) {
            return !day.isBefore(first) && !day.isAfter(last);
        }
    }

    public SchoolCalendar {
        terms = List.copyOf(terms);
        holidays = List.copyOf(holidays);
        days = Set.copyOf(days);
    }

    public Optional<Days> termOf(LocalDate day) {
        return terms.stream().filter(one -> one.has(day)).findFirst();
    }

    public Optional<Days> holidayOn(LocalDate day) {
        return holidays.stream().filter(one -> one.has(day)).findFirst();
    }

    /** Whether the school knows its terms, and the day is in none. */
    public boolean isOutOfTerm(LocalDate day) {
        return !terms.isEmpty() && termOf(day).isEmpty();
    }

    public boolean isSchoolDay(DayOfWeek day) {
        return days.contains(day);
    }

    /** Whether a lesson keeps the school's hours; beginning as it opens and ending as it closes does. */
    public boolean keepsHours(LocalDateTime from, LocalDateTime until) {
        return from.toLocalDate().equals(until.toLocalDate())
                && !from.toLocalTime().isBefore(opens)
                && !until.toLocalTime().isAfter(closes);
    }

    /** The day after the last day of school, where the school has said. */
    public Optional<LocalDate> end() {
        return terms.stream().map(Days::last).max(LocalDate::compareTo).map(last -> last.plusDays(1));
    }
}
