package juricast.server.timetable;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import juricast.core.exchange.TimetableChange;
import juricast.core.exchange.TimetableReading;
import juricast.core.identity.ClassId;
import juricast.core.reading.Matter;
import juricast.core.time.Span;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.access.Takes;
import juricast.server.classes.Classes;
import juricast.server.classes.Reading;
import juricast.server.data.School;
import juricast.server.data.WrittenDay;
import juricast.server.files.TableFile;
import juricast.server.problems.Problem;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Timetables made elsewhere, in after a preview, and the school's own out as a table. */
@RestController
@RequestMapping("/api/timetable")
class ImportController {
    /** Bytes of one file: the calendar of a large school for a year. */
    private static final int MOST_BYTES = 12_000_000;
    /** Sentences for one class, and faults, that are shown; the rest is counted. */
    private static final int SHOWN = 60;

    private static final int LONGEST_DAYS = 400;

    private final Imports imports;
    private final Plan plan;
    private final Reading reading;
    private final Seen seen;
    private final Inspections inspections;
    private final Classes classes;
    private final School school;
    private final JsonMapper json;

    ImportController(
            Imports imports,
            Plan plan,
            Reading reading,
            Seen seen,
            Inspections inspections,
            Classes classes,
            School school,
            JsonMapper json) {
        this.imports = imports;
        this.plan = plan;
        this.reading = reading;
        this.seen = seen;
        this.inspections = inspections;
        this.classes = classes;
        this.school = school;
        this.json = json;
    }

    /**
     * What a timetable would change.
     *
     * @param fingerprint names exactly this change; it is sent back to carry it out
     * @param notYours changes in classes of others, which are left out
     * @param same how many lessons are as they are
     * @param past how many have begun or are over
     * @param wrong what is to be told, with its line, first what is not taken; the first of them
     * @param notTaken of how many that is
     * @param wrongInAll how many there are
     */
    record TimetablePreview(
            String fingerprint,
            List<ImportOfClass> classes,
            List<UnknownTitle> unknown,
            int notYours,
            int same,
            int past,
            List<WrongLine> wrong,
            int notTaken,
            int wrongInAll) {}

    /** @param lines what would happen to each lesson, in sentences; the first of them */
    record ImportOfClass(String classId, String title, int added, int changed, int missing, List<String> lines) {}

    /** What no class is called, and how many lessons that is about. */
    record UnknownTitle(String title, int lessons) {}

    /** @param line in the file, from 1; 0 for the file as a whole @param taken whether it is only to be known, and taken all the same */
    record WrongLine(int line, String message, boolean taken) {}

    record TimetableTaken(String change, int added, int changed, int calledOff) {}

    /** What a calendar (RFC 5545) or a table of lessons would change; nothing is kept yet. @param meant a JSON object: which class, by its id, is meant by a title that no class bears */
    @PostMapping(path = "/import/preview", consumes = MediaType.ALL_VALUE)
    @Takes(MOST_BYTES + Takes.SLACK)
    @For({LEAD, TEACHER})
    TimetablePreview preview(
            HttpServletRequest file,
            @RequestParam(defaultValue = "{}") String meant,
            @AuthenticationPrincipal SignedIn caller)
            throws IOException {
        return preview(imports.compare(bytes(file), meant(meant), caller));
    }

    /** Carries out what the preview showed, with an undo. 409 if the plan or the file is not as it was then. */
    @PostMapping(path = "/import", consumes = MediaType.ALL_VALUE)
    @Takes(MOST_BYTES + Takes.SLACK)
    @For({LEAD, TEACHER})
    TimetableTaken take(
            HttpServletRequest file,
            @RequestParam(defaultValue = "{}") String meant,
            @RequestParam(defaultValue = "") String fingerprint,
            @RequestParam(defaultValue = "false") boolean callOff,
            @RequestParam(defaultValue = "") String name,
            @AuthenticationPrincipal SignedIn caller)
            throws IOException {
        Imports.Compared compared = imports.compare(bytes(file), meant(meant), caller);
        if (!compared.fingerprint().equals(fingerprint)) {
            throw Problem.refused(
                    "changed-meanwhile",
                    "The plan or the file has changed since the preview",
                    "Nothing was changed.",
                    "Look at the new preview, then take it.");
        }
        TimetableChange change = compared.change();
        int calledOff = callOff ? change.missing().size() : 0;
        if (change.added().isEmpty() && change.changed().isEmpty() && calledOff == 0) {
            throw Problem.refused(
                    "no-change",
                    "There is nothing to take",
                    "The timetable is as it was.",
                    "Say which classes are meant, or choose another file.");
        }
        String what = "Timetable taken from a file: %d new, %d changed, %d called off"
                .formatted(change.added().size(), change.changed().size(), calledOff);
        String source = name.strip().replaceAll("\\s+", " ");
        String why = "File " + (source.length() > 120 ? source.substring(0, 120) : source);
        return new TimetableTaken(
                imports.take(change, callOff, what, why.strip(), caller.person()),
                change.added().size(),
                change.changed().size(),
                calledOff);
    }

    /** The lessons of some days as a table, which can be taken back in. */
    @GetMapping(path = "/lessons.csv", produces = "text/csv")
    @For({LEAD, TEACHER})
    ResponseEntity<byte[]> table(
            @RequestParam String from, @RequestParam String until, @AuthenticationPrincipal SignedIn caller) {
        Span window = window(from, until);
        var inspection = inspections.now();
        var shown = reading.titles(caller, Matter.TIMETABLE).keySet();
        var names = seen.names(inspection);
        var rows = plan.within(window).stream()
                .filter(one -> inspection.school().classes().containsKey(one.ofClass()))
                .filter(one -> shown.contains(one.ofClass()))
                .map(one -> {
                    var of = inspection.school().classes().get(one.ofClass());
                    return List.of(
                            one.id().value(),
                            of.title(),
                            school.date(one.time().from()).toString(),
                            school.clockTime(one.time().from()),
                            school.clockTime(one.time().until()),
                            String.join(
                                    ", ",
                                    of.adults().stream().map(names.people()).toList()),
                            one.cancelled() ? "cancelled" : "planned");
                })
                .toList();
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"timetable.csv\"")
                .contentType(MediaType.parseMediaType("text/csv;charset=UTF-8"))
                .body(TableFile.write(LessonTable.HEADING, rows));
    }

    private Span window(String from, String until) {
        LocalDate first = day(from);
        LocalDate last = day(until);
        if (last.isBefore(first) || last.isAfter(first.plusDays(LONGEST_DAYS))) {
            throw Problem.notReadable(
                    "until", "At most %d days, the last not before the first".formatted(LONGEST_DAYS));
        }
        return new Span(
                first.atStartOfDay(school.zone()).toInstant(),
                last.plusDays(1).atStartOfDay(school.zone()).toInstant());
    }

    private static LocalDate day(String text) {
        if (!text.matches("[12]\\d{3}-\\d\\d-\\d\\d")) {
            throw Problem.notReadable("from", "A day such as 2026-11-26");
        }
        try {
            return WrittenDay.parse(text);
        } catch (java.time.DateTimeException none) {
            throw Problem.notReadable("from", "A day such as 2026-11-26");
        }
    }

    private static byte[] bytes(HttpServletRequest file) throws IOException {
        byte[] bytes = file.getInputStream().readNBytes(MOST_BYTES + 1);
        if (bytes.length > MOST_BYTES) {
            throw Problem.notReadable("file", "A file of at most %d MB".formatted(MOST_BYTES / 1_000_000));
        }
        return bytes;
    }

    private Map<String, String> meant(String text) {
        try {
            return json.readValue(text, new TypeReference<Map<String, String>>() {});
        } catch (JacksonException unreadable) {
            throw Problem.notReadable("meant", "A JSON object of titles and class ids");
        }
    }

    private TimetablePreview preview(Imports.Compared compared) {
        TimetableChange change = compared.change();
        List<TimetableReading.Fault> told = Stream.concat(change.told().stream(), compared.file().faults().stream())
                .sorted(Comparator.comparing(one -> one.problem().isTaken()))
                .toList();
        var counts = new TreeMap<String, int[]>();
        var lines = new TreeMap<String, List<String>>();
        change.added().forEach(one -> note(counts, lines, one.ofClass(), 0, when(one.time()) + " is new"));
        change.changed().forEach(one -> note(counts, lines, one.lesson().ofClass(), 1, sentence(one)));
        change.missing()
                .forEach(one -> note(counts, lines, one.ofClass(), 2, when(one.time()) + " is in the file no more"));
        return new TimetablePreview(
                compared.fingerprint(),
                counts.entrySet().stream()
                        .map(one -> new ImportOfClass(
                                one.getKey(),
                                classes.find(new ClassId(one.getKey()))
                                        .map(Classes.SchoolClass::title)
                                        .orElse(""),
                                one.getValue()[0],
                                one.getValue()[1],
                                one.getValue()[2],
                                lines.get(one.getKey()).stream().limit(SHOWN).toList()))
                        .sorted(Comparator.comparing(ImportOfClass::title))
                        .toList(),
                change.unknown().entrySet().stream()
                        .map(one -> new UnknownTitle(one.getKey(), one.getValue()))
                        .toList(),
                compared.notYours(),
                change.same(),
                change.past(),
                told.stream()
                        .limit(SHOWN)
                        .map(one -> new WrongLine(
                                one.line(), sentence(one), one.problem().isTaken()))
                        .toList(),
                (int) told.stream().filter(one -> !one.problem().isTaken()).count(),
                told.size());
    }

    private static void note(
            Map<String, int[]> counts, Map<String, List<String>> lines, ClassId of, int kind, String sentence) {
        counts.computeIfAbsent(of.value(), id -> new int[3])[kind]++;
        lines.computeIfAbsent(of.value(), id -> new ArrayList<>()).add(sentence);
    }

    private String sentence(TimetableChange.Changed one) {
        Span was = one.lesson().time();
        if (one.cancelled()) {
            return when(was) + " is called off";
        }
        return one.lesson().cancelled()
                ? when(one.time()) + " is held again"
                : "%s becomes %s".formatted(when(was), when(one.time()));
    }

    private String when(Span time) {
        Instant from = time.from();
        return "%s, %s to %s"
                .formatted(school.dayAndYear(from), school.clockTime(from), school.clockTime(time.until()));
    }

    private static String sentence(TimetableReading.Fault fault) {
        String said = fault.quote().strip();
        String quote = said.length() > 60 ? said.substring(0, 60) + "…" : said;
        return switch (fault.problem()) {
            case NOT_A_CALENDAR -> "This is neither a calendar nor a table.";
            case NO_ENTRIES -> "There is no lesson in it.";
            case TOO_MANY_ENTRIES -> "More than %d entries: from here on they were not looked at."
                    .formatted(TimetableReading.MOST_ENTRIES);
            case TOO_MANY_LESSONS -> "More than %d lessons: from here on they were not looked at."
                    .formatted(TimetableReading.MOST_LESSONS);
            case STRAY_LINE -> "From here on there are lines outside of any calendar: “%s”.".formatted(quote);
            case NOT_A_LESSON -> "This is no event but something else (%s).".formatted(quote);
            case AN_ANSWER -> "This is a message about an event (%s), and plans nothing.".formatted(quote);
            case BROKEN_LINE -> "A line of this entry cannot be read: “%s”.".formatted(quote);
            case NOT_ENDED -> "This entry does not end: “%s”.".formatted(quote);
            case NO_UID -> "“%s” has no name of its own (UID), so it could not be known again.".formatted(quote);
            case SAME_UID_TWICE -> "“%s” stands in the file twice under one name (UID); the newer one counts."
                    .formatted(quote);
            case NO_START -> "“%s” does not say when it begins.".formatted(quote);
            case ALL_DAY -> "“%s” is for whole days, so it is no lesson. Holidays belong in the school's calendar."
                    .formatted(quote);
            case NOT_A_TIME -> "“%s” is not a day and a time.".formatted(quote);
            case UNKNOWN_ZONE -> "The zone “%s” is not known, and a wrong hour would be worse than none."
                    .formatted(quote);
            case NOT_A_LENGTH -> "A lesson lasts 5 to 300 minutes, not %s.".formatted(quote);
            case RULE_NOT_UNDERSTOOD -> "How it repeats is not understood: “%s”.".formatted(quote);
            case TOO_MANY_OF_ONE_SERIES -> "“%s” would be more than 400 lessons.".formatted(quote);
            case CHANGED_TWICE -> "One lesson of “%s” is changed twice; the newer change counts.".formatted(quote);
            case ALL_LEFT_OUT -> "All lessons of “%s” are left out again in the file itself.".formatted(quote);
            case AFTER_THE_YEAR -> "“%s” lies after the last day of school that is kept here.".formatted(quote);
            case PARTLY_AFTER_THE_YEAR -> "“%s” goes on after the last day of school; what lies later is not taken."
                    .formatted(quote);
            case WITHOUT_AN_END -> "“%s” repeats without an end; it is taken until the last day of school."
                    .formatted(quote);
            case ZONE_OTHERWISE -> "The file says of the zone “%s” something else than is known of that name; the file counts."
                    .formatted(quote);
            case ZONE_OF_FILE -> "The calendar is of the zone “%s”, but some times in it name no zone: those are taken as the school's."
                    .formatted(quote);
            case OTHER_TITLE -> "One lesson of this series is called “%s”; it is taken as one of the series."
                    .formatted(quote);
            case RULE_OF_ONE -> "A change to one lesson of “%s” repeats itself; only that one is changed."
                    .formatted(quote);
            case LEFT_OUT_NOTHING -> "“%s” is left out of a series that has no lesson then.".formatted(quote);
            case PERHAPS_ONLY -> "“%s” is planned only perhaps (tentative); it is taken as planned.".formatted(quote);
            case TWICE_AT_ONE_TIME -> "“%s” has two entries that begin at one time; one lesson is planned."
                    .formatted(quote);
            case ID_OF_ANOTHER_CLASS -> "The lesson of this id is not one of “%s”.".formatted(quote);
            case STATE_NOT_UNDERSTOOD -> "Whether this lesson is held is not understood: “%s”. Write planned, or cancelled."
                    .formatted(quote);
            case DAY_OR_MONTH_FIRST -> "“%s” may be two different days, and no other row says which is meant."
                    .formatted(quote);
            case DATES_READ_AS -> "Days are written as %s.".formatted(quote);
            case LETTERS_GUESSED -> "The file is not in UTF-8; its letters are read as those of western Europe.";
            case NOT_READ -> "Also in the file, and not kept here: %s.".formatted(quote);
            case CHANGES_NOTHING_KNOWN -> "“%s” changes a lesson that its series does not have.".formatted(quote);
            case NO_TITLE -> "The class is missing: “%s”.".formatted(quote);
            case NO_SUCH_COLUMN -> "The heading is “%s”; it needs class, date, starts, and ends or minutes."
                    .formatted(quote);
        };
    }
}
