package juricast.server.register;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import juricast.core.attendance.Attended;
import juricast.core.attendance.Attention;
import juricast.core.attendance.Tally;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
import juricast.core.register.Mark;
import juricast.core.time.Span;
import juricast.server.access.For;
import juricast.server.access.Position;
import juricast.server.access.SignedIn;
import juricast.server.classes.AccessToClasses;
import juricast.server.classes.Classes;
import juricast.server.data.School;
import juricast.server.files.TableFile;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** Attendance over many lessons: a class as a grid, a pupil over all classes, and who of the school needs attention. */
@RestController
@RequestMapping("/api")
class AttendanceController {
    private static final int LONGEST_DAYS = 400;
    private static final int USUAL_DAYS = 56;

    private final Attendances attendances;
    private final Classes classes;
    private final AccessToClasses access;
    private final People people;
    private final School school;
    private final Clock clock;

    AttendanceController(
            Attendances attendances,
            Classes classes,
            AccessToClasses access,
            People people,
            School school,
            Clock clock) {
        this.attendances = attendances;
        this.classes = classes;
        this.access = access;
        this.people = people;
        this.school = school;
        this.clock = clock;
    }

    /**
     * How often pupils were there.
     *
     * @param rate percent of the lessons; nothing if nobody was expected
     * @param small whether it comes from so few lessons that it says little
     */
    record Rate(
            @Nullable Integer rate,
            int expected,
            int attended,
            int absent,
            int late,
            int early,
            int partly,
            int excused,
            boolean small) {
        static Rate of(Tally tally) {
            return new Rate(
                    tally.rate().isPresent() ? tally.rate().getAsInt() : null,
                    tally.expected(),
                    tally.attended(),
                    tally.absent(),
                    tally.late(),
                    tally.early(),
                    tally.partly(),
                    tally.excused(),
                    tally.isSmall());
        }
    }

    /** @param lessons in order of time @param pupils by name, a cell for each lesson, nothing where nobody was expected */
    record ClassGrid(
            String classId,
            String title,
            String from,
            String until,
            List<GridLesson> lessons,
            List<GridPupil> pupils,
            Rate whole) {}

    record GridLesson(String id, Instant starts, int minutes, Rate rate) {}

    record GridPupil(String person, String name, Rate rate, List<@Nullable GridCell> cells) {}

    record GridCell(Mark mark, int lateMinutes, int minutes, boolean corrected) {}

    /** One pupil over all classes that the caller may see. */
    record PupilPage(
            String person,
            String name,
            int year,
            String from,
            String until,
            Rate whole,
            List<Named> classes,
            List<Named> weeks,
            List<Named> weekdays,
            List<PupilLine> lessons,
            List<String> reasons) {}

    /** A rate with what it is of. @param id of a class, empty for others */
    record Named(String id, String name, Rate rate) {}

    record PupilLine(
            String lesson, String title, Instant starts, Mark mark, int lateMinutes, int minutes, boolean corrected) {}

    /** Who needs attention this week, and why; the gravest first. */
    record AttentionPage(List<Needing> pupils, int lookedAt, List<Named> classes, List<Named> weekdays) {}

    record Needing(String person, String name, int year, List<String> reasons, Rate lately, Rate before) {}

    @GetMapping("/classes/{id}/attendance")
    @For({TEACHER, LEAD})
    ClassGrid grid(
            @PathVariable String id,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String until,
            @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.seenBy(caller, id);
        Window window = window(from, until);
        var held = attendances.ofClass(found.id(), window.span);
        var names = people.names();
        Set<PersonId> all =
                held.values().stream().flatMap(one -> one.keySet().stream()).collect(Collectors.toSet());
        List<Map<PersonId, Attended>> columns = List.copyOf(held.values());
        List<GridPupil> pupils = all.stream()
                .sorted(Comparator.comparing(one -> names.getOrDefault(one, "somebody who has left")))
                .map(one -> {
                    List<Attended> mine = columns.stream()
                            .map(column -> column.get(one))
                            .filter(line -> line != null)
                            .toList();
                    var cells = new ArrayList<@Nullable GridCell>();
                    columns.forEach(column -> cells.add(cell(column.get(one))));
                    return new GridPupil(
                            one.value(),
                            names.getOrDefault(one, "somebody who has left"),
                            Rate.of(Tally.of(mine)),
                            cells);
                })
                .toList();
        return new ClassGrid(
                id,
                found.title(),
                window.from.toString(),
                window.until.toString(),
                held.entrySet().stream()
                        .map(one -> new GridLesson(
                                one.getKey().id().value(),
                                one.getKey().time().from(),
                                (int) one.getKey().time().length().toMinutes(),
                                Rate.of(Tally.of(one.getValue().values()))))
                        .toList(),
                pupils,
                Rate.of(Tally.of(held.values().stream()
                        .flatMap(one -> one.values().stream())
                        .toList())));
    }

    private static @Nullable GridCell cell(@Nullable Attended line) {
        return line == null ? null : new GridCell(line.mark(), line.lateMinutes(), line.minutes(), line.corrected());
    }

    /** The same as a table: a line for each pupil, a column for each lesson. */
    @GetMapping(path = "/classes/{id}/attendance.csv", produces = "text/csv")
    @For({TEACHER, LEAD})
    ResponseEntity<byte[]> table(
            @PathVariable String id,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String until,
            @AuthenticationPrincipal SignedIn caller) {
        ClassGrid grid = grid(id, from, until, caller);
        var heading = new ArrayList<>(List.of("Pupil", "Attended, percent", "Expected", "Attended", "Late", "Absent"));
        grid.lessons.forEach(one -> heading.add(school.date(one.starts) + " " + school.clockTime(one.starts)));
        List<List<String>> rows = grid.pupils.stream()
                .map(one -> {
                    var row = new ArrayList<>(List.of(
                            one.name,
                            one.rate.rate == null ? "" : Integer.toString(one.rate.rate),
                            Integer.toString(one.rate.expected),
                            Integer.toString(one.rate.attended),
                            Integer.toString(one.rate.late),
                            Integer.toString(one.rate.absent)));
                    one.cells.forEach(cell -> row.add(cell == null ? "" : words(cell.mark)));
                    return (List<String>) row;
                })
                .toList();
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"attendance.csv\"")
                .contentType(MediaType.parseMediaType("text/csv;charset=UTF-8"))
                .body(TableFile.write(heading, rows));
    }

    private static String words(Mark mark) {
        return mark.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** One pupil; a teacher sees the own classes only. */
    @GetMapping("/pupils/{person}/attendance")
    @For({TEACHER, LEAD})
    PupilPage pupil(
            @PathVariable String person,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String until,
            @AuthenticationPrincipal SignedIn caller) {
        People.Person pupil = people.find(new PersonId(person))
                .filter(one -> one.position() == Position.PUPIL)
                .orElseThrow(() -> Problem.notThere("This pupil"));
        Map<ClassId, String> titles = titles(caller);
        Instant now = clock.instant();
        Window window = window(from, until);
        List<Attended> lines = attendances.ofPupil(pupil.id(), window.span).stream()
                .filter(one -> titles.containsKey(one.ofClass()))
                .toList();
        boolean isMine = !lines.isEmpty()
                || caller.isLead()
                || classes.of(pupil.id(), now).stream().anyMatch(one -> titles.containsKey(one.id()));
        if (!isMine) {
            throw Problem.notYours(
                    "%s is in none of your classes".formatted(pupil.name()), "Ask the safeguarding lead.");
        }
        return new PupilPage(
                person,
                pupil.name(),
                pupil.year(),
                window.from.toString(),
                window.until.toString(),
                Rate.of(Tally.of(lines)),
                named(lines, one -> one.ofClass().value(), titles::get),
                weeks(lines),
                weekdays(lines),
                lines.stream()
                        .sorted(Comparator.comparing(Attended::at).reversed())
                        .map(one -> new PupilLine(
                                one.lesson().value(),
                                titles.get(one.ofClass()),
                                one.at(),
                                one.mark(),
                                one.lateMinutes(),
                                one.minutes(),
                                one.corrected()))
                        .toList(),
                reasons(Attention.of(lines, Attention.Thresholds.USUAL, now)));
    }

    private Map<ClassId, String> titles(SignedIn caller) {
        return (caller.isLead() ? classes.all() : classes.of(caller.person(), clock.instant()))
                .stream().collect(Collectors.toMap(Classes.SchoolClass::id, Classes.SchoolClass::title));
    }

    private static List<Named> named(
            List<Attended> lines, Function<Attended, String> key, Function<ClassId, String> title) {
        Map<String, List<Attended>> by =
                lines.stream().collect(Collectors.groupingBy(key, TreeMap::new, Collectors.toList()));
        return by.entrySet().stream()
                .map(one -> new Named(
                        one.getKey(), title.apply(new ClassId(one.getKey())), Rate.of(Tally.of(one.getValue()))))
                .sorted(Comparator.comparing(Named::name))
                .toList();
    }

    /** By the Monday of each week, in order. */
    private List<Named> weeks(List<Attended> lines) {
        Map<LocalDate, List<Attended>> by = lines.stream()
                .collect(Collectors.groupingBy(
                        one -> school.date(one.at()).with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)),
                        TreeMap::new,
                        Collectors.toList()));
        return by.entrySet().stream()
                .map(one -> new Named("", one.getKey().toString(), Rate.of(Tally.of(one.getValue()))))
                .toList();
    }

    private List<Named> weekdays(List<Attended> lines) {
        Map<DayOfWeek, List<Attended>> by = lines.stream()
                .collect(Collectors.groupingBy(
                        one -> school.date(one.at()).getDayOfWeek(), TreeMap::new, Collectors.toList()));
        return by.entrySet().stream()
                .map(one -> new Named("", one.getKey().name(), Rate.of(Tally.of(one.getValue()))))
                .toList();
    }

    /** Who of the school needs attention; of the last eight weeks. */
    @GetMapping("/attendance")
    @For({TEACHER, LEAD})
    AttentionPage attention(@AuthenticationPrincipal SignedIn caller) {
        Instant now = clock.instant();
        Map<ClassId, String> titles = titles(caller);
        var all = attendances.ofAll(new Span(now.minus(Attention.STRETCH.multipliedBy(2)), now));
        var known = people.inPosition(Position.PUPIL).stream()
                .collect(Collectors.toMap(People.Person::id, Function.identity()));
        var needing = new LinkedHashMap<Needing, Attention>();
        var everything = new ArrayList<Attended>();
        int lookedAt = 0;
        for (Map.Entry<PersonId, List<Attended>> one : all.entrySet()) {
            List<Attended> lines = one.getValue().stream()
                    .filter(line -> titles.containsKey(line.ofClass()))
                    .toList();
            People.Person pupil = known.get(one.getKey());
            if (lines.isEmpty() || pupil == null) {
                continue;
            }
            lookedAt++;
            everything.addAll(lines);
            Attention found = Attention.of(lines, Attention.Thresholds.USUAL, now);
            if (!found.reasons().isEmpty()) {
                needing.put(
                        new Needing(
                                pupil.id().value(),
                                pupil.name(),
                                pupil.year(),
                                reasons(found),
                                Rate.of(found.lately()),
                                Rate.of(found.before())),
                        found);
            }
        }
        return new AttentionPage(
                needing.entrySet().stream()
                        .sorted(Comparator.comparing((Map.Entry<Needing, Attention> one) ->
                                        one.getValue().reasons().get(0).kind())
                                .thenComparing(
                                        one -> -one.getValue().reasons().get(0).number())
                                .thenComparing(one -> one.getKey().name()))
                        .map(Map.Entry::getKey)
                        .toList(),
                lookedAt,
                named(everything, one -> one.ofClass().value(), titles::get),
                weekdays(everything));
    }

    private static List<String> reasons(Attention found) {
        return found.reasons().stream().map(AttendanceController::sentence).toList();
    }

    private static String sentence(Attention.Reason reason) {
        return switch (reason.kind()) {
            case ABSENT_IN_A_ROW -> "Absent from the last %d lessons".formatted(reason.number());
            case SELDOM_THERE -> "Was there in %d %% of the lessons of four weeks".formatted(reason.number());
            case LESS_THAN_BEFORE -> "There %d percentage points less than in the four weeks before"
                    .formatted(reason.number());
            case OFTEN_LATE -> "Late %d times in four weeks".formatted(reason.number());
        };
    }

    private record Window(LocalDate from, LocalDate until, Span span) {}

    /** Both days counted; eight weeks until today if nothing is said. */
    private Window window(String from, String until) {
        LocalDate last = until.isEmpty() ? school.date(clock.instant()) : day(until);
        LocalDate first = from.isEmpty() ? last.minusDays(USUAL_DAYS) : day(from);
        if (last.isBefore(first) || last.isAfter(first.plusDays(LONGEST_DAYS))) {
            throw unreadable("At most %d days, the last not before the first".formatted(LONGEST_DAYS));
        }
        return new Window(
                first,
                last,
                new Span(
                        first.atStartOfDay(school.zone()).toInstant(),
                        last.plusDays(1).atStartOfDay(school.zone()).toInstant()));
    }

    private static LocalDate day(String text) {
        try {
            LocalDate day = LocalDate.parse(text);
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
