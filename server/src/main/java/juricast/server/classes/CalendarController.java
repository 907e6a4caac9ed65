package juricast.server.classes;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import juricast.core.limits.Limits;
import juricast.core.timetable.SchoolCalendar;
import juricast.core.timetable.SchoolCalendar.Days;
import juricast.server.access.For;
import juricast.server.access.Takes;
import juricast.server.data.Database;
import juricast.server.data.School;
import juricast.server.data.Topic;
import juricast.server.data.WrittenDay;
import juricast.server.editing.Edited;
import juricast.server.editing.Editions;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.*;

/** The school's calendar: terms, holidays and hours, kept by the safeguarding lead. */
@RestController
@RequestMapping("/api/calendar")
class CalendarController {
    private final School school;
    private final Clock clock;
    private final Editions editions;
    private static final int MOST_DAYS = 100;

    private final Calendar calendar;
    private final Database database;

    CalendarController(School school, Clock clock, Editions editions, Calendar calendar, Database database) {
        this.school = school;
        this.clock = clock;
        this.editions = editions;
        this.calendar = calendar;
        this.database = database;
    }

    /** A named stretch of days, both ends counted. */
    record NamedDays(String name, String first, String last) {}

    record CalendarPage(
            List<NamedDays> terms, List<NamedDays> holidays, List<DayOfWeek> days, String opens, String closes) {}

    record CalendarRequest(
            @Nullable List<NamedDays> terms,
            @Nullable List<NamedDays> holidays,
            @Nullable Set<DayOfWeek> days,
            String opens,
            String closes) {}

    /** The school's terms, holidays, days and hours. */
    @GetMapping
    @For({LEAD, TEACHER})
    @Edited
    CalendarPage page() {
        SchoolCalendar now = calendar.now();
        return new CalendarPage(
                now.terms().stream().map(CalendarController::line).toList(),
                now.holidays().stream().map(CalendarController::line).toList(),
                now.days().stream().sorted().toList(),
                now.opens().toString(),
                now.closes().withSecond(0).withNano(0).toString());
    }

    private static NamedDays line(Days days) {
        return new NamedDays(days.name(), days.first().toString(), days.last().toString());
    }

    /** Becomes this calendar. What is wrong is told all at once, and then nothing is changed. */
    @PutMapping
    @For(LEAD)
    @Edited
    CalendarPage write(@RequestBody CalendarRequest wanted) {
        editions.mustBe(page());
        var wrong = new ArrayList<Problem.Wrong>();
        List<Days> terms = read(wanted.terms, "terms", wrong);
        List<Days> holidays = read(wanted.holidays, "holidays", wrong);
        LocalTime opens = time(wanted.opens, "opens", wrong);
        LocalTime closes = time(wanted.closes, "closes", wrong);
        if (wrong.isEmpty() && !closes.isAfter(opens)) {
            wrong.add(new Problem.Wrong("closes", "The school closes after it opens"));
        }
        Set<DayOfWeek> days = wanted.days == null ? Set.of() : wanted.days;
        if (days.isEmpty()) {
            wrong.add(new Problem.Wrong("days", "Choose at least one day of the week"));
        }
        if (!wrong.isEmpty()) {
            throw Problem.notReadable(
                    "This is no calendar of a school", "The calendar is as it was.", "Mend it, then try again.", wrong);
        }
        database.write(
                sql -> {
                    Calendar.write(sql, new SchoolCalendar(terms, holidays, days, opens, closes));
                    return null;
                },
                Topic.PLAN);
        return page();
    }

    /** @param days what may be terms and holidays @param told what in the file is not */
    record DaysOfFile(List<NamedDays> days, List<CalendarDays.Told> told) {}

    /** Whole days of a calendar file (RFC 5545), to choose terms and holidays from; nothing is kept. */
    @PostMapping(path = "/days", consumes = MediaType.ALL_VALUE)
    @Takes(Takes.FORM)
    @For(LEAD)
    DaysOfFile days(HttpServletRequest file) throws IOException {
        CalendarDays read = CalendarDays.read(file.getInputStream().readAllBytes(), school.date(clock.instant()));
        return new DaysOfFile(read.days().stream().map(CalendarController::line).toList(), read.told());
    }

    private static List<Days> read(@Nullable List<NamedDays> wanted, String field, List<Problem.Wrong> wrong) {
        var read = new ArrayList<Days>();
        List<NamedDays> all = wanted == null ? List.of() : wanted;
        if (all.size() > MOST_DAYS) {
            wrong.add(new Problem.Wrong(field, "At most %d".formatted(MOST_DAYS)));
            return read;
        }
        for (int i = 0; i < all.size(); i++) {
            NamedDays one = all.get(i);
            String name = one.name == null ? "" : one.name.strip();
            try {
                LocalDate first = WrittenDay.parse(String.valueOf(one.first));
                LocalDate last = WrittenDay.parse(String.valueOf(one.last));
                if (name.isEmpty() || name.length() > Limits.NAME || last.isBefore(first)) {
                    wrong.add(
                            new Problem.Wrong(field + "." + i, "A name, and a last day that is not before the first"));
                } else {
                    read.add(new Days(name, first, last));
                }
            } catch (DateTimeParseException unreadable) {
                wrong.add(new Problem.Wrong(field + "." + i, "Two days such as 2026-11-26"));
            }
        }
        read.sort(Comparator.comparing(Days::first));
        return read;
    }

    private static LocalTime time(@Nullable String text, String field, List<Problem.Wrong> wrong) {
        try {
            return LocalTime.parse(String.valueOf(text));
        } catch (DateTimeParseException unreadable) {
            wrong.add(new Problem.Wrong(field, "A time such as 08:30"));
            return LocalTime.MIDNIGHT;
        }
    }
}
