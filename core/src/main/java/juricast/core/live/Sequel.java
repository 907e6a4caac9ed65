package juricast.core.live;

import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.temporal.IsoFields;
import java.util.Optional;
import juricast.core.rules.Choice;
import juricast.core.time.Span;
import juricast.core.timetable.SchoolCalendar;

/**
 * What comes after a lesson in its series.
 *
 * @param next when the next lesson of the class begins; empty after the last one
 * @param zone where weeks are counted
 * @param calendar which terms there are
 */
public record Sequel(Optional<Instant> next, ZoneId zone, SchoolCalendar calendar) {
    /** Nothing is known to follow. */
    public static final Sequel NONE = new Sequel(Optional.empty(), ZoneOffset.UTC, SchoolCalendar.NONE);

    /**
     * Whether the link that led to a lesson has led to its last one (need B3).
     *
     * @param renewal each-lesson, each-week (ISO 8601 weeks, from Monday), each-term (of the school's calendar; where it
     *     knows none, the series counts) or series
     */
    public boolean endsTheLink(Choice renewal, Span lesson) {
        return switch (renewal.text()) {
            case "each-lesson" -> true;
            case "each-week" -> next.map(at -> week(at) != week(lesson.from())).orElse(true);
            case "each-term" -> next.map(at -> !term(at).equals(term(lesson.from())))
                    .orElse(true);
            default -> next.isEmpty();
        };
    }

    private Optional<SchoolCalendar.Days> term(Instant at) {
        return calendar.termOf(at.atZone(zone).toLocalDate());
    }

    private int week(Instant at) {
        var day = at.atZone(zone);
        return 100 * day.get(IsoFields.WEEK_BASED_YEAR) + day.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR);
    }
}
