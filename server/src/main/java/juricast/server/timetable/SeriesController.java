package juricast.server.timetable;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.DateTimeParseException;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.rules.Fact;
import juricast.core.timetable.Recurrence;
import juricast.core.timetable.SchoolCalendar;
import juricast.core.timetable.Series;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.classes.AccessToClasses;
import juricast.server.classes.Calendar;
import juricast.server.classes.Classes;
import juricast.server.data.School;
import juricast.server.data.WrittenDay;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** Schedules a class for weeks at once, as one change that can be undone, with what clashes told (need B1). */
@RestController
class SeriesController {
    private static final int MOST_YEARS = 5;
    private static final int MOST_WEEKS = 8;

    private final AccessToClasses access;
    private final Plan plan;
    private final Appearing appearing;
    private final School school;
    private final Calendar calendar;
    private final Clock clock;

    SeriesController(
            AccessToClasses access, Plan plan, Appearing appearing, School school, Calendar calendar, Clock clock) {
        this.access = access;
        this.plan = plan;
        this.appearing = appearing;
        this.school = school;
        this.calendar = calendar;
        this.clock = clock;
    }

    /** @param until empty for one lesson on the first date @param everyWeeks 1 for every week, 2 for every second one, and so on; 1 if it is not said @param helpHour whether it is no lesson but an hour for questions */
    record SeriesRequest(
            String first,
            @Nullable String until,
            Set<DayOfWeek> days,
            String start,
            int minutes,
            @Nullable Integer everyWeeks,
            @Nullable Boolean helpHour) {}

    /**
     * @param change its name, by which it is undone as a whole
     * @param left how many fell on a time when the class has a lesson already, and were left out
     * @param holidays how many fell on days on which there is no school, and were left out
     * @param appearing weak spots that it brings, such as adults and pupils who have another lesson then
     */
    record Scheduled(String change, String what, int added, int left, int holidays, List<String> appearing) {}

    /** Schedules a lesson weekly on chosen days until a date. */
    @PostMapping("/api/classes/{id}/series")
    @For({TEACHER, LEAD})
    Scheduled schedule(
            @PathVariable String id, @RequestBody SeriesRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.runBy(caller, id);
        Weekly weekly = read(wanted);
        LocalDate before = weekly.until.plusDays(1);
        List<Series.Fault> faults = weekly.series.faults(before);
        if (!faults.isEmpty()) {
            throw Problem.notReadable(
                    "This cannot be scheduled",
                    "Nothing was stored.",
                    "Mend it, then try again.",
                    faults.stream().map(SeriesController::wrong).toList());
        }
        List<Series.Slot> all = weekly.series.lessons(before);
        SchoolCalendar days = calendar.now();
        List<Series.Slot> held = all.stream()
                .filter(one -> days.holidayOn(one.slot().toLocalDate()).isEmpty())
                .toList();
        boolean isHelpHour = Boolean.TRUE.equals(wanted.helpHour);
        String what = (isHelpHour ? "%s, help hour: %s" : "%s scheduled: %s").formatted(found.title(), weekly.said);
        Set<String> weakBefore = appearing.before();
        Plan.Scheduled made = plan.schedule(
                found.id(),
                weekly.series,
                held,
                isHelpHour ? Set.of(Fact.HELP_HOUR) : Set.of(),
                what,
                caller.person(),
                clock.instant());
        return new Scheduled(
                made.change(),
                what,
                made.lessons(),
                held.size() - made.lessons(),
                all.size() - held.size(),
                appearing.since(weakBefore));
    }

    /** @param said in words, for the list of changes */
    private record Weekly(Series series, LocalDate until, String said) {}

    private Weekly read(SeriesRequest wanted) {
        var wrong = new ArrayList<Problem.Wrong>();
        LocalDate first = date(wanted.first, "first", wrong);
        // Without a last date it is one lesson, on the first.
        boolean isOnce = wanted.until == null || wanted.until.isBlank();
        LocalDate until = isOnce ? first : date(wanted.until, "until", wrong);
        LocalTime start = LocalTime.MIDNIGHT;
        try {
            start = LocalTime.parse(String.valueOf(wanted.start));
        } catch (DateTimeParseException unreadable) {
            wrong.add(new Problem.Wrong("start", "A time such as 10:05"));
        }
        Set<DayOfWeek> chosen = wanted.days == null ? Set.of() : wanted.days;
        Set<DayOfWeek> days = isOnce && chosen.isEmpty() ? Set.of(first.getDayOfWeek()) : chosen;
        int everyWeeks = wanted.everyWeeks == null ? 1 : wanted.everyWeeks;
        if (wrong.isEmpty()) {
            if (days.isEmpty()) {
                wrong.add(new Problem.Wrong("days", "Choose at least one day of the week"));
            } else if (until.isBefore(first)) {
                wrong.add(new Problem.Wrong("until", "The last date lies before the first"));
            } else if (until.isAfter(first.plusYears(MOST_YEARS))) {
                wrong.add(new Problem.Wrong("until", "A series lasts %d years at most".formatted(MOST_YEARS)));
            } else if (everyWeeks < 1 || everyWeeks > MOST_WEEKS) {
                wrong.add(new Problem.Wrong("everyWeeks", "Every 1 to %d weeks".formatted(MOST_WEEKS)));
            }
        }
        if (!wrong.isEmpty()) {
            throw Problem.notReadable(
                    "This cannot be scheduled", "Nothing was stored.", "Mend it, then try again.", wrong);
        }
        // A series begins with its first lesson: the first of the chosen days from that date on.
        LocalDate begins = first.datesUntil(first.plusWeeks(1))
                .filter(day -> days.contains(day.getDayOfWeek()))
                .findFirst()
                .orElseThrow();
        if (begins.isAfter(until)) {
            throw Problem.notReadable(
                    "This cannot be scheduled",
                    "Nothing was stored.",
                    "Mend it, then try again.",
                    List.of(wrong(Series.Fault.NO_LESSON_IN_THAT_TIME)));
        }
        return new Weekly(
                new Series(
                        begins.atTime(start),
                        wanted.minutes,
                        school.zone(),
                        Optional.of(Recurrence.weekly(days, everyWeeks, until)),
                        Set.of(),
                        Set.of()),
                until,
                "%s at %s, from %s until %s"
                        .formatted(
                                days.stream()
                                        .sorted()
                                        .map(day -> day.getDisplayName(TextStyle.FULL, Locale.UK) + "s")
                                        .collect(Collectors.joining(", ")),
                                start,
                                begins,
                                until));
    }

    private static LocalDate date(@Nullable String text, String field, List<Problem.Wrong> wrong) {
        try {
            return WrittenDay.parse(String.valueOf(text));
        } catch (DateTimeParseException unreadable) {
            wrong.add(new Problem.Wrong(field, "A date"));
            return LocalDate.EPOCH;
        }
    }

    private static Problem.Wrong wrong(Series.Fault fault) {
        return switch (fault) {
            case LENGTH_OUT_OF_RANGE -> new Problem.Wrong(
                    "minutes", "A lesson lasts %d to %d minutes".formatted(Series.SHORTEST, Series.LONGEST));
            case NO_LESSON_IN_THAT_TIME -> new Problem.Wrong("days", "None of these days lies between the two dates");
            case TOO_MANY_LESSONS -> new Problem.Wrong(
                    "until", "That would be more than %d lessons".formatted(Series.MOST));
        };
    }
}
