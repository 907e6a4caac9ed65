package juricast.server.register;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.keeping.Retention;
import juricast.core.reading.Matter;
import juricast.core.register.Correction;
import juricast.core.register.Mark;
import juricast.core.register.Register;
import juricast.core.register.RegisterCodes;
import juricast.core.register.RegisterLine;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.SignedIn;
import juricast.server.classes.AccessToClasses;
import juricast.server.classes.Classes;
import juricast.server.classes.Reading;
import juricast.server.data.School;
import juricast.server.files.Download;
import juricast.server.files.TableFile;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.Records;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import juricast.server.retention.LessonForgetting;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** The register of a lesson, for its adults and the safeguarding lead. */
@RestController
@RequestMapping("/api/lessons/{lesson}")
class RegisterController {
    private final Records records;
    private final LiveLessons lessons;
    private final Classes classes;
    private final Reading reading;
    private final AccessToClasses access;
    private final Corrections corrections;
    private final Signatures signatures;
    private final Attendances attendances;
    private final OutsideLogs logs;
    private final RegisterSettings settings;
    private final RegisterPapers papers;
    private final LessonForgetting forgetting;
    private final People people;
    private final School school;

    RegisterController(
            Records records,
            LiveLessons lessons,
            Classes classes,
            Reading reading,
            AccessToClasses access,
            Corrections corrections,
            Signatures signatures,
            Attendances attendances,
            OutsideLogs logs,
            RegisterSettings settings,
            RegisterPapers papers,
            LessonForgetting forgetting,
            People people,
            School school) {
        this.records = records;
        this.lessons = lessons;
        this.classes = classes;
        this.reading = reading;
        this.access = access;
        this.corrections = corrections;
        this.signatures = signatures;
        this.attendances = attendances;
        this.logs = logs;
        this.settings = settings;
        this.papers = papers;
        this.forgetting = forgetting;
        this.people = people;
        this.school = school;
    }

    /**
     * @param draft whether the lesson still runs, so that everything can change
     * @param calledOff whether it is not held, so that nobody is expected
     * @param codes the school's own; none if it writes marks as words
     */
    record RegisterPage(
            String lesson,
            String classId,
            String title,
            Instant starts,
            Instant ends,
            boolean begun,
            boolean draft,
            boolean calledOff,
            boolean editable,
            List<RegisterSettingsController.CodeLine> codes,
            @Nullable Signed signed,
            List<Sum> sums,
            List<LogLine> logs,
            List<Line> lines) {}

    /** A log of another service that counts in this register. */
    record LogLine(String id, String file, String by, Instant at) {}

    /** How many lines bear a mark. */
    record Sum(Mark mark, long count) {}

    /** @param at when it was signed @param reopenable whether the caller may open the register again */
    record Signed(String by, Instant at, boolean reopenable) {}

    record ReopenRegisterRequest(@Nullable String reason) {}

    record Stretch(Instant from, Instant until) {}

    record Line(
            String person,
            String name,
            Mark mark,
            String code,
            int lateMinutes,
            Mark computed,
            int computedLateMinutes,
            int earlyMinutes,
            int share,
            int drops,
            long minutes,
            @Nullable Instant firstIn,
            @Nullable Instant lastOut,
            long longestGapMinutes,
            long waitedMinutes,
            List<Stretch> stays,
            List<Stretch> waits,
            List<Written> corrections) {}

    record Written(Mark mark, String code, int lateMinutes, String reason, String by, Instant at) {}

    /** @param code one of the school's, which then says the mark; nothing for the usual one of the mark */
    record CorrectionRequest(String person, Mark mark, @Nullable String code, int lateMinutes, String reason) {}

    /** The register of a lesson, a draft as long as it is not over. */
    @GetMapping("/register")
    @Noted("the register")
    @For({TEACHER, LEAD})
    RegisterPage register(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        Classes.Planned planned = reading.ofLesson(caller, Matter.REGISTER, lesson);
        Instant forgotten = forgetting.forgotten(planned.id()).get(Retention.REGISTERS);
        if (forgotten != null) {
            throw Problem.refused(
                    "forgotten",
                    "This register was deleted on %s".formatted(school.day(forgotten)),
                    "It was kept for as long as the rules say.",
                    "Nothing can bring it back.");
        }
        Records.Record record = records.of(planned.id());
        Register register = attendances.register(planned, record);
        List<Correction> written = corrections.of(planned.id());
        RegisterCodes codes = settings.codes();
        return new RegisterPage(
                lesson,
                planned.ofClass().value(),
                planned.title(),
                register.window().from(),
                register.window().until(),
                record.openedAt().isPresent(),
                attendances.endOf(planned.id(), record).isEmpty(),
                planned.cancelled(),
                access.runs(caller, planned.ofClass())
                        && signatures.of(planned.id()).isEmpty(),
                codes.all().stream()
                        .map(one -> new RegisterSettingsController.CodeLine(one.code(), one.meaning(), one.mark()))
                        .toList(),
                signatures
                        .of(planned.id())
                        .map(one -> new Signed(
                                people.nameOf(one.by()), one.at(), access.isAdultOrLead(caller, planned.ofClass())))
                        .orElse(null),
                Arrays.stream(Mark.values())
                        .map(mark -> new Sum(mark, register.count(mark)))
                        .filter(sum -> sum.count > 0)
                        .toList(),
                logs.of(planned.id()).stream()
                        .map(one -> new LogLine(one.id(), one.file(), people.nameOf(one.by()), one.at()))
                        .toList(),
                register.lines().stream()
                        .map(line -> line(line, codes.shown(line), written))
                        .toList());
    }

    /** Writes a correction beside a computed mark. 409 while the lesson runs. */
    @PostMapping("/register/corrections")
    @For({TEACHER, LEAD})
    RegisterPage correct(
            @PathVariable String lesson,
            @RequestBody CorrectionRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        Classes.Planned planned = planned(lesson);
        access.runBy(caller, planned.ofClass().value());
        Records.Record record = records.of(planned.id());
        if (attendances.endOf(planned.id(), record).isEmpty()) {
            throw Problem.refused(
                    "lesson-runs",
                    "The register is still being drawn up",
                    "Nothing was changed.",
                    "Correct it when the class is dismissed.");
        }
        refuseSigned(planned);
        boolean listed = wanted.person != null
                && record.plan().classList().stream()
                        .anyMatch(one -> one.person().value().equals(wanted.person));
        if (!listed) {
            throw Problem.notThere("This pupil");
        }
        String code = wanted.code == null ? "" : wanted.code;
        if (!code.isEmpty()
                && settings.codes()
                        .find(code)
                        .filter(one -> one.mark() == wanted.mark)
                        .isEmpty()) {
            throw Problem.notReadable(
                    "This correction cannot be kept",
                    "“%s” is no code of the school for this mark. Nothing was changed.".formatted(code),
                    "Choose one of the school's codes.",
                    List.of(new Problem.Wrong("code", "one of the school's codes for this mark")));
        }
        try {
            corrections.add(
                    planned.id(),
                    new Correction(
                            new PersonId(wanted.person),
                            wanted.mark,
                            code,
                            wanted.lateMinutes,
                            wanted.reason == null ? "" : wanted.reason.strip(),
                            caller.person(),
                            lessons.now()));
        } catch (IllegalArgumentException wrong) {
            throw Problem.notReadable(
                    "This correction cannot be kept",
                    wrong.getMessage() + ". Nothing was changed.",
                    "Give a reason of a few words, and minutes where somebody was late.",
                    List.of(new Problem.Wrong("reason", wrong.getMessage())));
        }
        attendances.keep(planned.id());
        return register(lesson, caller);
    }

    private void refuseSigned(Classes.Planned planned) {
        signatures.of(planned.id()).ifPresent(one -> {
            throw Problem.refused(
                    "signed",
                    "This register is signed",
                    "%s has signed it. Nothing was changed.".formatted(people.nameOf(one.by())),
                    "Open it again with a reason, then correct it.");
        });
    }

    /** Signs the register: it is as it should be. 409 while the lesson runs, or if it is signed already. */
    @PostMapping("/register/sign")
    @For({TEACHER, LEAD})
    RegisterPage sign(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        Classes.Planned planned = planned(lesson);
        access.runBy(caller, planned.ofClass().value());
        if (attendances.endOf(planned.id(), records.of(planned.id())).isEmpty()) {
            throw Problem.refused(
                    "lesson-runs",
                    "The register is still being drawn up",
                    "Nothing was signed.",
                    "Sign it when the class is dismissed.");
        }
        refuseSigned(planned);
        signatures.sign(planned.id(), caller.person(), lessons.now());
        return register(lesson, caller);
    }

    /** Opens a signed register again, with a reason that is kept. */
    @PostMapping("/register/reopen")
    @For({TEACHER, LEAD})
    RegisterPage reopen(
            @PathVariable String lesson,
            @RequestBody ReopenRegisterRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        Classes.Planned planned = planned(lesson);
        access.ofAdultsOrLead(caller, planned.ofClass().value());
        String reason = wanted.reason == null ? "" : wanted.reason.strip();
        if (reason.isEmpty() || reason.length() > Correction.REASON_LIMIT) {
            throw Problem.notReadable(
                    "A reason is needed",
                    "The register stays signed.",
                    "Say in a few words why it is opened again.",
                    List.of(new Problem.Wrong("reason", "1 to %d characters".formatted(Correction.REASON_LIMIT))));
        }
        signatures.reopen(planned.id(), caller.person(), lessons.now(), reason);
        return register(lesson, caller);
    }

    /** The register as CSV, in UTF-8 with a mark so that spreadsheets read it right. */
    @GetMapping(path = "/register.csv", produces = "text/csv")
    @Noted(value = "the register, as a table", takenAway = true)
    @For({TEACHER, LEAD})
    ResponseEntity<byte[]> csv(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        RegisterPage page = register(lesson, caller);
        Map<String, String> numbers = people.numbers();
        List<List<String>> rows = page.lines.stream()
                .map(line -> {
                    Written last =
                            line.corrections.isEmpty() ? null : line.corrections.get(line.corrections.size() - 1);
                    return List.of(
                            page.title,
                            school.date(page.starts).toString(),
                            school.clockTime(page.starts),
                            numbers.getOrDefault(line.person, ""),
                            line.name,
                            AttendanceController.words(line.mark),
                            line.code,
                            line.lateMinutes == 0 ? "" : Integer.toString(line.lateMinutes),
                            Long.toString(line.minutes),
                            line.firstIn == null ? "" : school.clockTime(line.firstIn),
                            line.lastOut == null ? "" : school.clockTime(line.lastOut),
                            Long.toString(line.longestGapMinutes),
                            Long.toString(line.waitedMinutes),
                            AttendanceController.words(line.computed),
                            last == null ? "" : last.reason,
                            last == null ? "" : last.by);
                })
                .toList();
        return Download.csv(
                name(page),
                TableFile.write(
                        List.of(
                                "Class",
                                "Date",
                                "Start",
                                "Pupil number",
                                "Pupil",
                                "Mark",
                                "Code",
                                "Minutes late",
                                "Minutes present",
                                "First in",
                                "Last out",
                                "Longest gap, minutes",
                                "Waited at the door, minutes",
                                "Computed mark",
                                "Reason of correction",
                                "Corrected by"),
                        rows));
    }

    /** The register on paper, with everybody's presence drawn over the lesson. */
    @GetMapping(path = "/register.pdf", produces = "application/pdf")
    @Noted(value = "the register, on paper", takenAway = true)
    @For({TEACHER, LEAD})
    ResponseEntity<byte[]> pdf(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        RegisterPage page = register(lesson, caller);
        return Download.pdf(name(page), papers.lesson(page));
    }

    private String name(RegisterPage page) {
        return "register %s %s".formatted(school.date(page.starts), page.title);
    }

    private Classes.Planned planned(String lesson) {
        return classes.lesson(new LessonId(lesson)).orElseThrow(() -> Problem.notThere("This lesson"));
    }

    private Line line(RegisterLine line, String code, List<Correction> written) {
        return new Line(
                line.pupil().person().value(),
                line.pupil().name(),
                line.mark(),
                code,
                line.minutesLate(),
                line.computed(),
                line.lateMinutes(),
                line.earlyMinutes(),
                line.share(),
                line.drops(),
                line.minutes(),
                line.attendance().firstIn().orElse(null),
                line.attendance().lastOut().orElse(null),
                minutes(line.longestGap()),
                minutes(line.waited()),
                line.attendance().stays().stream()
                        .map(one -> new Stretch(one.from(), one.until()))
                        .toList(),
                line.attendance().waits().stream()
                        .map(one -> new Stretch(one.from(), one.until()))
                        .toList(),
                written.stream()
                        .filter(one -> one.person().equals(line.pupil().person()))
                        .map(one -> new Written(
                                one.mark(),
                                one.code(),
                                one.lateMinutes(),
                                one.reason(),
                                people.nameOf(one.by()),
                                one.at()))
                        .toList());
    }

    private static long minutes(Duration length) {
        return length.toMinutes();
    }
}
