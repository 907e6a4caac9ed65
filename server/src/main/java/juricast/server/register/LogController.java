package juricast.server.register;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import juricast.core.entry.NameMatch;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.logs.LogColumns;
import juricast.core.logs.LogReading;
import juricast.core.logs.Reconciled;
import juricast.core.roster.RosterReading;
import juricast.core.time.Span;
import juricast.core.time.WrittenTimes;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.access.Takes;
import juricast.server.classes.AccessToClasses;
import juricast.server.classes.Classes;
import juricast.server.data.Ids;
import juricast.server.data.School;
import juricast.server.files.TableFile;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.Records;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Logs of joins and leaves that another service wrote: shown, reconciled by a person, then taken as a whole. */
@RestController
@RequestMapping("/api/lessons/{lesson}/logs")
class LogController {
    private static final int MOST_BYTES = 12_000_000;
    private static final int SHOWN = 60;
    private static final int LONGEST_FILE_NAME = 120;

    private final OutsideLogs logs;
    private final Attendances attendances;
    private final Signatures signatures;
    private final Records records;
    private final Classes classes;
    private final AccessToClasses access;
    private final LiveLessons lessons;
    private final School school;
    private final RegisterSettings settings;
    private final JsonMapper json;

    LogController(
            OutsideLogs logs,
            Attendances attendances,
            Signatures signatures,
            Records records,
            Classes classes,
            AccessToClasses access,
            LiveLessons lessons,
            School school,
            RegisterSettings settings,
            JsonMapper json) {
        this.logs = logs;
        this.attendances = attendances;
        this.signatures = signatures;
        this.records = records;
        this.classes = classes;
        this.access = access;
        this.lessons = lessons;
        this.school = school;
        this.settings = settings;
        this.json = json;
    }

    /**
     * What a log says.
     *
     * @param fingerprint names exactly what would be taken; it is sent back to take it
     * @param heading of the columns, and @param columns which of them was read as what
     * @param remembered whether somebody has said so of a log with these columns before
     * @param likelyZone in which all times would lie in the lesson, and @param likelyUnit of lengths that name none
     * @param doubts what is taken and deserves a look
     * @param open how many names are not decided yet
     */
    record LogPreview(
            String fingerprint,
            String zone,
            List<String> heading,
            LogColumns columns,
            boolean remembered,
            Set<LogReading.Question> questions,
            String likelyZone,
            LogReading.Unit likelyUnit,
            List<LogName> names,
            int open,
            List<LogFault> wrong,
            int wrongInAll,
            List<LogFault> doubts,
            int doubtsInAll,
            List<LogPupil> list) {}

    /**
     * @param who the pupil it is, "-" for nobody of the class, nothing as long as it is open
     * @param candidates who may be meant, best first
     */
    record LogName(
            String name,
            NameMatch.Certainty certainty,
            @Nullable String who,
            List<LogPupil> candidates,
            int rows,
            long minutes) {}

    record LogPupil(String id, String name) {}

    /** @param line in the file, from 1; 0 for the file as a whole */
    record LogFault(int line, String message) {}

    /** What a log of joins and leaves says, and what has to be said first. */
    @PostMapping(path = "/preview", consumes = MediaType.ALL_VALUE)
    @Takes(MOST_BYTES + Takes.SLACK)
    @For({TEACHER, LEAD})
    LogPreview preview(
            @PathVariable String lesson,
            HttpServletRequest file,
            @RequestParam(defaultValue = "") String order,
            @RequestParam(defaultValue = "") String zone,
            @RequestParam(defaultValue = "") String unit,
            @RequestParam(defaultValue = "") String columns,
            @RequestParam(defaultValue = "{}") String decided,
            @AuthenticationPrincipal SignedIn caller)
            throws IOException {
        return preview(read(allowed(lesson, caller), file, new Said(order, zone, unit, columns, decided)));
    }

    /** Takes what the preview showed. 409 while anything is open, or if it is something else by now. */
    @PostMapping(consumes = MediaType.ALL_VALUE)
    @Takes(MOST_BYTES + Takes.SLACK)
    @For({TEACHER, LEAD})
    LogPreview take(
            @PathVariable String lesson,
            HttpServletRequest file,
            @RequestParam(defaultValue = "") String order,
            @RequestParam(defaultValue = "") String zone,
            @RequestParam(defaultValue = "") String unit,
            @RequestParam(defaultValue = "") String columns,
            @RequestParam(defaultValue = "{}") String decided,
            @RequestParam(defaultValue = "") String fingerprint,
            @RequestParam(defaultValue = "") String name,
            @AuthenticationPrincipal SignedIn caller)
            throws IOException {
        Classes.Planned planned = allowed(lesson, caller);
        if (signatures.of(planned.id()).isPresent()) {
            throw Problem.refused(
                    "signed",
                    "This register is signed",
                    "Nothing was taken.",
                    "Open it again with a reason, then take the log.");
        }
        if (planned.time().until().isAfter(lessons.now())) {
            throw Problem.refused(
                    "lesson-runs", "This lesson is not over", "Nothing was taken.", "Take its log when it is over.");
        }
        Read read = read(planned, file, new Said(order, zone, unit, columns, decided));
        LogPreview shown = preview(read);
        if (!shown.questions.isEmpty()
                || shown.open > 0
                || read.reconciled.stays().isEmpty()) {
            throw Problem.refused(
                    "not-reconciled",
                    "There is something to say first",
                    "%d names are open. Nothing was taken.".formatted(shown.open),
                    "Say who each name is, or that it is nobody of the class.");
        }
        if (!shown.fingerprint.equals(fingerprint)) {
            throw Problem.refused(
                    "changed-meanwhile",
                    "The class or the file has changed since the preview",
                    "Nothing was taken.",
                    "Look at the new preview, then take it.");
        }
        String source = name.strip();
        logs.take(
                planned.id(),
                source.length() > LONGEST_FILE_NAME ? source.substring(0, LONGEST_FILE_NAME) : source,
                read.reconciled.stays(),
                caller.person(),
                lessons.now());
        settings.remember(read.heading, read.log.columns(), caller.person(), lessons.now());
        attendances.keep(planned.id());
        return shown;
    }

    /** Takes a log back; the register is as it was before. */
    @DeleteMapping("/{log}")
    @For({TEACHER, LEAD})
    void remove(@PathVariable String lesson, @PathVariable String log, @AuthenticationPrincipal SignedIn caller) {
        Classes.Planned planned = allowed(lesson, caller);
        boolean isOfIt = logs.of(planned.id()).stream().anyMatch(one -> one.id().equals(log));
        if (!isOfIt) {
            throw Problem.notThere("This log");
        }
        logs.remove(log, caller.person(), lessons.now());
        attendances.keep(planned.id());
    }

    private Classes.Planned allowed(String lesson, SignedIn caller) {
        Classes.Planned planned =
                classes.lesson(new LessonId(lesson)).orElseThrow(() -> Problem.notThere("This lesson"));
        access.runBy(caller, planned.ofClass().value());
        return planned;
    }

    /** What a person has said of a log, as it was sent. */
    private record Said(String order, String zone, String unit, String columns, String decided) {}

    private record Read(
            List<String> heading,
            boolean remembered,
            LogReading log,
            Reconciled reconciled,
            List<Member> list,
            ZoneId zone) {}

    private Read read(Classes.Planned planned, HttpServletRequest file, Said said) throws IOException {
        byte[] bytes = file.getInputStream().readNBytes(MOST_BYTES + 1);
        if (bytes.length > MOST_BYTES) {
            throw notReadable("file", "A file of at most %d MB".formatted(MOST_BYTES / 1_000_000));
        }
        ZoneId told = zone(said.zone);
        TableFile table = TableFile.read(bytes, "a log", LogReading.MOST_ROWS);
        Optional<LogColumns> known = settings.columns(table.heading());
        var log = LogReading.of(
                table.heading(),
                table.lines().stream()
                        .map(line -> new RosterReading.Line(
                                line.number(),
                                line.cells().stream().map(TableFile::plain).toList()))
                        .toList(),
                planned.time(),
                new LogReading.Answers(
                        told,
                        !said.zone.isEmpty(),
                        order(said.order),
                        unit(said.unit),
                        columns(said.columns).or(() -> known)));
        List<Member> list = records.of(planned.id()).plan().members().stream()
                .filter(one -> one.role() != Role.OBSERVER)
                .toList();
        return new Read(
                table.heading(),
                known.isPresent(),
                log,
                Reconciled.of(log, list, decided(said.decided, list)),
                list,
                told);
    }

    /** Four numbers: the columns of names, joins, leaves and minutes, from 0, or -1 for none. */
    private static Optional<LogColumns> columns(String text) {
        if (text.isEmpty()) {
            return Optional.empty();
        }
        if (!text.matches("(-1|\\d{1,3})(,(-1|\\d{1,3})){3}")) {
            throw notReadable("columns", "Four numbers of columns, from 0, or -1 where there is none");
        }
        int[] four = Arrays.stream(text.split(",")).mapToInt(Integer::parseInt).toArray();
        return Optional.of(new LogColumns(four[0], four[1], four[2], four[3]));
    }

    private ZoneId zone(String text) {
        try {
            return text.isEmpty() ? school.zone() : ZoneId.of(text);
        } catch (DateTimeException unknown) {
            throw notReadable("zone", "A zone such as Europe/Oslo or UTC");
        }
    }

    private static Optional<WrittenTimes.DayOrder> order(String text) {
        try {
            return text.isEmpty() ? Optional.empty() : Optional.of(WrittenTimes.DayOrder.valueOf(text));
        } catch (IllegalArgumentException unknown) {
            throw notReadable("order", "DAY_FIRST or MONTH_FIRST");
        }
    }

    private static Optional<LogReading.Unit> unit(String text) {
        try {
            return text.isEmpty() ? Optional.empty() : Optional.of(LogReading.Unit.valueOf(text));
        } catch (IllegalArgumentException unknown) {
            throw notReadable("unit", "MINUTES or SECONDS");
        }
    }

    private Map<String, Optional<PersonId>> decided(String text, List<Member> list) {
        try {
            var decided = new HashMap<String, Optional<PersonId>>();
            json.readValue(text, new TypeReference<Map<String, String>>() {}).forEach((name, who) -> {
                Optional<PersonId> known = list.stream()
                        .map(Member::person)
                        .filter(person -> person.value().equals(who))
                        .findFirst();
                if (known.isPresent() || who.equals("-")) {
                    decided.put(name, known);
                }
            });
            return decided;
        } catch (JacksonException unreadable) {
            throw notReadable("decided", "A JSON object of names and people");
        }
    }

    private static Problem notReadable(String field, String message) {
        return Problem.notReadable(
                "This cannot be read", "Nothing was taken.", message + ".", List.of(new Problem.Wrong(field, message)));
    }

    private static LogPreview preview(Read read) {
        return new LogPreview(
                Ids.hash(read.reconciled.stays().toString()),
                read.zone.getId(),
                read.heading,
                read.log.columns(),
                read.remembered,
                read.log.questions(),
                read.log.proposed().zone().getId(),
                read.log.proposed().unit(),
                read.reconciled.names().stream().map(LogController::line).toList(),
                read.reconciled.open().size(),
                told(read.log.faults()),
                read.log.faults().size(),
                told(read.log.doubts()),
                read.log.doubts().size(),
                read.list.stream().map(LogController::pupil).toList());
    }

    private static List<LogFault> told(List<LogReading.Fault> faults) {
        return faults.stream()
                .limit(SHOWN)
                .map(one -> new LogFault(one.line(), sentence(one)))
                .toList();
    }

    private static LogName line(Reconciled.Name one) {
        return new LogName(
                one.name(),
                one.match().certainty(),
                one.who().map(who -> who.map(PersonId::value).orElse("-")).orElse(null),
                one.match().candidates().stream().map(LogController::pupil).toList(),
                one.rows(),
                one.time().stream()
                        .map(Span::length)
                        .reduce(Duration.ZERO, Duration::plus)
                        .toMinutes());
    }

    private static LogPupil pupil(Member one) {
        return new LogPupil(one.person().value(), one.name());
    }

    private static String sentence(LogReading.Fault fault) {
        String quote = fault.quote().length() > 80 ? fault.quote().substring(0, 80) + "…" : fault.quote();
        return switch (fault.problem()) {
            case NO_NAME_COLUMN -> "No column holds names. The heading is “%s”.".formatted(quote);
            case NO_TIME_COLUMNS -> "There must be a column of joins, and one of leaves or minutes. The heading is “%s”."
                    .formatted(quote);
            case NO_ROWS -> "There is a heading, but nothing below it.";
            case TOO_MANY_ROWS -> "The file has more than %d rows. A log is of one lesson."
                    .formatted(LogReading.MOST_ROWS);
            case NO_NAME -> "The name is missing: “%s”.".formatted(quote);
            case NO_JOIN -> "%s has no time of joining.".formatted(quote);
            case NO_LEAVE -> "%s has no time of leaving. How long they stayed is not guessed.".formatted(quote);
            case LEAVES_BEFORE_IT_JOINS -> "The leave lies before the join: %s.".formatted(quote);
            case NOT_A_TIME -> "“%s” is not a time.".formatted(quote);
            case NO_SUCH_TIME -> "Clocks were put forward over this time: %s.".formatted(quote);
            case TIME_WAS_TWICE -> "Clocks were put back, so this time was twice on that day: %s. Which one is not guessed."
                    .formatted(quote);
            case FAR_BEYOND_THE_LESSON -> "This goes on for more than an hour beyond the lesson; only what lies in it counts: %s."
                    .formatted(quote);
            case NOT_OF_THIS_LESSON -> "This lies more than an hour before or after the lesson: %s.".formatted(quote);
        };
    }
}
