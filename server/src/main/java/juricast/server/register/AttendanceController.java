package juricast.server.register;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import juricast.core.reading.Matter;
import juricast.core.register.Mark;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.SignedIn;
import juricast.server.classes.Period;
import juricast.server.classes.Reading;
import juricast.server.data.School;
import juricast.server.files.Download;
import juricast.server.files.TableFile;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import juricast.server.register.AttendancePages.*;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** Attendance over many lessons: a class as a grid, a pupil over all classes, and who of the school needs attention. */
@RestController
@RequestMapping("/api")
class AttendanceController {
    private final WholeSchoolTable table;
    private final People people;
    private static final int USUAL_DAYS = 56;

    private final AttendancePages pages;
    private final RegisterPapers papers;
    private final Reading reading;
    private final School school;
    private final Clock clock;

    AttendanceController(
            WholeSchoolTable table,
            People people,
            AttendancePages pages,
            RegisterPapers papers,
            Reading reading,
            School school,
            Clock clock) {
        this.table = table;
        this.people = people;
        this.pages = pages;
        this.papers = papers;
        this.reading = reading;
        this.school = school;
        this.clock = clock;
    }

    /** Marks of a class, pupil by pupil and lesson by lesson. */
    @GetMapping("/classes/{id}/attendance")
    @Noted("attendance")
    @For({TEACHER, LEAD})
    ClassGrid grid(
            @PathVariable String id,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String until,
            @AuthenticationPrincipal SignedIn caller) {
        return pages.classGrid(reading.ofClass(caller, Matter.ATTENDANCE, id), period(from, until));
    }

    /** The same as a table: a line for each pupil, a column for each lesson. */
    @GetMapping(path = "/classes/{id}/attendance.csv", produces = "text/csv")
    @Noted(value = "attendance, as a table", takenAway = true)
    @For({TEACHER, LEAD})
    ResponseEntity<byte[]> table(
            @PathVariable String id,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String until,
            @AuthenticationPrincipal SignedIn caller) {
        ClassGrid grid = grid(id, from, until, caller);
        Map<String, String> numbers = people.numbers();
        var heading = new ArrayList<>(
                List.of("Pupil number", "Pupil", "Attended, percent", "Expected", "Attended", "Late", "Absent"));
        grid.lessons().forEach(one -> heading.add(school.date(one.starts()) + " " + school.clockTime(one.starts())));
        List<List<String>> rows = grid.pupils().stream()
                .map(one -> {
                    var row = new ArrayList<>(List.of(
                            numbers.getOrDefault(one.person(), ""),
                            one.name(),
                            one.rate().rate() == null
                                    ? ""
                                    : Integer.toString(one.rate().rate()),
                            Integer.toString(one.rate().expected()),
                            Integer.toString(one.rate().attended()),
                            Integer.toString(one.rate().late()),
                            Integer.toString(one.rate().absent())));
                    one.cells().forEach(cell -> row.add(cell.code().isEmpty() ? words(cell.mark()) : cell.code()));
                    return (List<String>) row;
                })
                .toList();
        return Download.csv("attendance " + grid.title(), TableFile.write(heading, rows));
    }

    /** All registers of a stretch of time as one table: a line for each pupil of each lesson, with code, correction and signature. */
    @GetMapping(path = "/attendance/table.csv", produces = "text/csv")
    @Noted(value = "attendance of the whole school, as a table", takenAway = true)
    @For(value = LEAD, shows = Matter.ATTENDANCE)
    ResponseEntity<byte[]> wholeSchool(
            @RequestParam(defaultValue = "") String from, @RequestParam(defaultValue = "") String until) {
        Period period = period(from, until);
        return Download.csv("attendance %s to %s".formatted(period.from(), period.until()), table.write(period.span()));
    }

    /** Attendance of a class, on paper. */
    @GetMapping(path = "/classes/{id}/attendance.pdf", produces = "application/pdf")
    @Noted(value = "attendance, on paper", takenAway = true)
    @For({TEACHER, LEAD})
    ResponseEntity<byte[]> paper(
            @PathVariable String id,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String until,
            @AuthenticationPrincipal SignedIn caller) {
        ClassGrid grid = grid(id, from, until, caller);
        return Download.pdf("attendance " + grid.title(), papers.classGrid(grid));
    }

    static String words(Mark mark) {
        return mark.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** One pupil; a teacher sees the own classes only. */
    @GetMapping("/pupils/{person}/attendance")
    @Noted("the pupil's page")
    @For({TEACHER, LEAD})
    PupilPage pupil(
            @PathVariable String person,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String until,
            @AuthenticationPrincipal SignedIn caller) {
        return pages.pupil(person, period(from, until), caller);
    }

    /** The same as a table, lesson by lesson. */
    @GetMapping(path = "/pupils/{person}/attendance.csv", produces = "text/csv")
    @Noted(value = "the pupil's page, as a table", takenAway = true)
    @For({TEACHER, LEAD})
    ResponseEntity<byte[]> pupilTable(
            @PathVariable String person,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String until,
            @AuthenticationPrincipal SignedIn caller) {
        PupilPage page = pupil(person, from, until, caller);
        String number = people.numbers().getOrDefault(person, "");
        List<List<String>> rows = page.lessons().stream()
                .map(one -> List.of(
                        number,
                        page.name(),
                        school.date(one.starts()).toString(),
                        school.clockTime(one.starts()),
                        one.title(),
                        words(one.mark()),
                        one.code(),
                        one.lateMinutes() == 0 ? "" : Integer.toString(one.lateMinutes()),
                        Integer.toString(one.minutes()),
                        one.corrected() ? "yes" : ""))
                .toList();
        return Download.csv(
                "attendance " + page.name(),
                TableFile.write(
                        List.of(
                                "Pupil number",
                                "Pupil",
                                "Date",
                                "Start",
                                "Class",
                                "Mark",
                                "Code",
                                "Minutes late",
                                "Minutes present",
                                "Corrected"),
                        rows));
    }

    /** Attendance of one pupil, on paper. */
    @GetMapping(path = "/pupils/{person}/attendance.pdf", produces = "application/pdf")
    @Noted(value = "the pupil's page, on paper", takenAway = true)
    @For({TEACHER, LEAD})
    ResponseEntity<byte[]> pupilPaper(
            @PathVariable String person,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String until,
            @AuthenticationPrincipal SignedIn caller) {
        PupilPage page = pupil(person, from, until, caller);
        return Download.pdf("attendance " + page.name(), papers.pupil(page));
    }

    /** Who of the school needs attention; of the last eight weeks. */
    @GetMapping("/attendance")
    @Noted("attendance of the school")
    @For({TEACHER, LEAD})
    AttentionPage attention(@AuthenticationPrincipal SignedIn caller) {
        return pages.attention(caller);
    }

    /** The lessons behind one of the school's rates. */
    @GetMapping("/attendance/lessons")
    @Noted("lessons behind a sum of attendance")
    @For({TEACHER, LEAD})
    LessonsBehind behind(
            @RequestParam(defaultValue = "") String by,
            @RequestParam(defaultValue = "") String of,
            @AuthenticationPrincipal SignedIn caller) {
        for (By one : By.values()) {
            if (one.name().equalsIgnoreCase(by)) {
                return pages.behind(one, of, caller);
            }
        }
        throw Problem.notReadable(
                "This cannot be shown",
                "Nothing was changed.",
                "Ask by class, subject, week, weekday, hour or adult.",
                List.of(new Problem.Wrong("by", "class, subject, week, weekday, hour or adult")));
    }

    private Period period(String from, String until) {
        return Period.of(from, until, school.zone(), clock.instant(), USUAL_DAYS);
    }
}
