package juricast.server.watching;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.PUPIL;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.limits.Limits;
import juricast.core.reading.Matter;
import juricast.core.recording.Coverage;
import juricast.core.time.Span;
import juricast.core.watching.Looking;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.classes.Period;
import juricast.server.classes.Reading;
import juricast.server.data.School;
import juricast.server.data.WrittenDay;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import juricast.server.recording.Coverages;
import juricast.server.recording.Recordings;
import juricast.server.recording.Recordings.Recording;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** Which recordings there are, what they cover, who watches them and how long they are kept. */
@RestController
@RequestMapping("/api/recordings")
class RecordingsController {
    private static final int USUAL_DAYS = 28;
    private static final int MOST = 1000;
    private static final int LET_DAYS = 90;
    private static final Duration LONGEST_KEPT = Duration.ofDays(3650);

    private final Recordings recordings;
    private final Coverages coverages;
    private final Access access;
    private final Wishes wishes;
    private final WatchedStore watched;
    private final Deleting deleting;
    private final Classes classes;
    private final Reading reading;
    private final People people;
    private final School school;
    private final Clock clock;

    RecordingsController(
            Recordings recordings,
            Coverages coverages,
            Access access,
            Wishes wishes,
            WatchedStore watched,
            Deleting deleting,
            Classes classes,
            Reading reading,
            People people,
            School school,
            Clock clock) {
        this.recordings = recordings;
        this.coverages = coverages;
        this.access = access;
        this.wishes = wishes;
        this.watched = watched;
        this.deleting = deleting;
        this.classes = classes;
        this.reading = reading;
        this.people = people;
        this.school = school;
        this.clock = clock;
    }

    /** @param lines recordings, and lessons that had to be recorded and were not, the latest first */
    record RecordingsPage(String from, String until, CoverageSum sum, List<RecordingLine> lines) {}

    /** @param missing minutes by cause */
    record CoverageSum(
            int lessons, int whole, long requiredMinutes, long coveredMinutes, List<MissingMinutes> missing) {}

    record MissingMinutes(Coverage.Cause cause, long seconds) {}

    /**
     * @param id nothing where nothing was recorded
     * @param requiredSeconds how long it had to be recorded; 0 where it did not have to be
     * @param asks how many wait for an answer
     */
    record RecordingLine(
            @Nullable String id,
            @Nullable String lesson,
            String classId,
            String title,
            Instant begun,
            boolean isGoingOn,
            boolean isAhead,
            long lengthSeconds,
            long requiredSeconds,
            long coveredSeconds,
            List<MissingMinutes> missing,
            @Nullable Instant keptUntil,
            boolean isExtended,
            @Nullable Instant erasedAt,
            int asks) {}

    /** What the manifest of a copy looks like, for whoever reads one by program. */
    @GetMapping(path = "/schema", produces = "application/schema+json")
    @For(anyone = true)
    Resource schema() {
        return new ClassPathResource("formats/recording.schema.json");
    }

    /** Those of the classes that the caller may look after. */
    @GetMapping
    @For({TEACHER, LEAD})
    RecordingsPage list(
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String until,
            @RequestParam(defaultValue = "") String ofClass,
            @AuthenticationPrincipal SignedIn caller) {
        var period = Period.of(from, until, school.zone(), clock.instant(), USUAL_DAYS);
        Map<ClassId, String> titles = reading.titles(caller, Matter.RECORDINGS);
        Set<ClassId> shown = titles.keySet().stream()
                .filter(one -> ofClass.isEmpty() || one.value().equals(ofClass))
                .collect(Collectors.toSet());
        List<Coverages.Covered> covered = coverages.of(Optional.of(shown), period.span());
        List<Recording> found = recordings.list(Optional.of(shown), period.span(), MOST);
        Map<String, Long> asks = wishes.waiting();
        return new RecordingsPage(
                period.from().toString(), period.until().toString(), sum(covered), lines(found, covered, titles, asks));
    }

    private static CoverageSum sum(List<Coverages.Covered> all) {
        List<Coverages.Covered> required =
                all.stream().filter(one -> !one.required().isZero()).toList();
        Map<Coverage.Cause, Duration> missing = new EnumMap<>(Coverage.Cause.class);
        required.forEach(one -> one.missing().forEach((cause, time) -> missing.merge(cause, time, Duration::plus)));
        return new CoverageSum(
                required.size(),
                (int) required.stream().filter(RecordingsController::isWhole).count(),
                total(required, Coverages.Covered::required),
                total(required, Coverages.Covered::covered),
                missing(missing));
    }

    /** The notice before it begins is no fault of anybody. */
    private static boolean isWhole(Coverages.Covered one) {
        return one.missing().keySet().stream().allMatch(cause -> cause == Coverage.Cause.LATE);
    }

    private static long total(List<Coverages.Covered> all, Function<Coverages.Covered, Duration> what) {
        return all.stream().map(what).reduce(Duration.ZERO, Duration::plus).toMinutes();
    }

    private static List<MissingMinutes> missing(Map<Coverage.Cause, Duration> missing) {
        return missing.entrySet().stream()
                .map(one -> new MissingMinutes(one.getKey(), one.getValue().toSeconds()))
                .sorted(Comparator.comparing(MissingMinutes::seconds).reversed())
                .toList();
    }

    private List<RecordingLine> lines(
            List<Recording> found,
            List<Coverages.Covered> covered,
            Map<ClassId, String> titles,
            Map<String, Long> asks) {
        Map<LessonId, Coverages.Covered> byLesson =
                covered.stream().collect(Collectors.toMap(Coverages.Covered::lesson, Function.identity()));
        var lines = new ArrayList<RecordingLine>();
        for (Recording one : found) {
            lines.add(line(one, one.lesson().map(byLesson::remove), asks));
        }
        byLesson.values().stream().filter(one -> one.recorded().isZero()).forEach(one -> lines.add(never(one, titles)));
        lines.sort(Comparator.comparing(RecordingLine::begun).reversed());
        return lines;
    }

    private static RecordingLine line(Recording one, Optional<Coverages.Covered> covered, Map<String, Long> asks) {
        return new RecordingLine(
                one.id(),
                one.lesson().map(LessonId::value).orElse(null),
                one.ofClass().value(),
                one.title(),
                one.begun(),
                one.ended().isEmpty(),
                one.isAhead(),
                one.lengthMs() / 1000,
                covered.map(all -> all.required().toSeconds()).orElse(0L),
                covered.map(all -> all.covered().toSeconds()).orElse(0L),
                covered.map(all -> missing(all.missing())).orElse(List.of()),
                one.keptTo().orElse(null),
                one.extendedUntil().isPresent(),
                one.erasedAt().orElse(null),
                asks.getOrDefault(one.id(), 0L).intValue());
    }

    private static RecordingLine never(Coverages.Covered one, Map<ClassId, String> titles) {
        return new RecordingLine(
                null,
                one.lesson().value(),
                one.ofClass().value(),
                titles.getOrDefault(one.ofClass(), ""),
                one.at(),
                false,
                false,
                0,
                one.required().toSeconds(),
                0,
                missing(one.missing()),
                null,
                false,
                null,
                0);
    }

    /** What a person may watch, of those that are kept. @param watchedPercent of each, what they have watched */
    record MyRecording(
            String id,
            String title,
            Instant begun,
            long lengthSeconds,
            boolean isAhead,
            Looking.Answer watch,
            boolean isAsked,
            @Nullable Instant until,
            int watchedPercent) {}

    /** One's own: what a pupil may watch, or ask for, and until when. */
    @GetMapping("/mine")
    @For({TEACHER, LEAD, PUPIL})
    List<MyRecording> mine(@AuthenticationPrincipal SignedIn caller) {
        Instant now = clock.instant();
        Set<ClassId> own = classes.of(caller.person(), now).stream()
                .map(Classes.SchoolClass::id)
                .collect(Collectors.toSet());
        List<Wishes.Wish> asked = wishes.by(caller.person());
        Map<String, Long> seen = watched.by(caller.person());
        return recordings.kept(own).stream()
                .flatMap(one -> {
                    Access.May may = access.may(caller, one, asked);
                    return may.watch() == Looking.Answer.NO ? Stream.empty() : Stream.of(my(one, may, asked, seen));
                })
                .toList();
    }

    private static MyRecording my(Recording one, Access.May may, List<Wishes.Wish> asked, Map<String, Long> seen) {
        boolean isAsked = asked.stream()
                .anyMatch(wish -> wish.recording().equals(one.id())
                        && !wish.download()
                        && wish.answered().isEmpty());
        Optional<Instant> until = Stream.concat(one.keptTo().stream(), one.shown().map(Span::until).stream())
                .min(Comparator.naturalOrder());
        long length = Math.max(1, one.lengthMs());
        return new MyRecording(
                one.id(),
                one.title(),
                one.begun(),
                one.lengthMs() / 1000,
                one.isAhead(),
                may.watch(),
                isAsked,
                until.orElse(null),
                (int) Math.min(100, 100 * seen.getOrDefault(one.id(), 0L) / length));
    }

    /**
     * One recording for whoever may at least ask for it.
     *
     * @param adult nothing for those who do not look after it
     */
    record OneRecording(
            String id,
            String title,
            Instant begun,
            long lengthSeconds,
            boolean isAhead,
            @Nullable Instant erasedAt,
            Looking.Answer watch,
            Looking.Answer copy,
            boolean isAsked,
            @Nullable Instant keptUntil,
            @Nullable AdultsView adult) {}

    /** @param where it is kept, in words @param watchers how much each of the class has watched */
    record AdultsView(
            String classId,
            @Nullable String lesson,
            String where,
            @Nullable Instant byRuleUntil,
            @Nullable Instant extendedUntil,
            String extendedWhy,
            String extendedBy,
            String erasedWhy,
            boolean isHeld,
            @Nullable Instant shownFrom,
            @Nullable Instant shownUntil,
            @Nullable String forLesson,
            List<WishLine> wishes,
            List<WatcherLine> watchers) {}

    record WishLine(
            long id,
            String name,
            boolean copy,
            String why,
            Instant at,
            boolean isAnswered,
            @Nullable String answeredBy,
            @Nullable Instant letUntil) {}

    record WatcherLine(String name, int percent) {}

    @GetMapping("/{recording}")
    @For({TEACHER, LEAD, PUPIL})
    OneRecording one(@PathVariable String recording, @AuthenticationPrincipal SignedIn caller) {
        Recording found = access.found(caller, recording);
        List<Wishes.Wish> asked = wishes.by(caller.person());
        Access.May may = access.may(caller, found, asked);
        return new OneRecording(
                found.id(),
                found.title(),
                found.begun(),
                found.lengthMs() / 1000,
                found.isAhead(),
                found.erasedAt().orElse(null),
                may.watch(),
                may.download(),
                asked.stream()
                        .anyMatch(one -> one.recording().equals(found.id())
                                && one.answered().isEmpty()),
                found.keptTo().orElse(null),
                may.isAdult() ? adults(found) : null);
    }

    private AdultsView adults(Recording found) {
        return new AdultsView(
                found.ofClass().value(),
                found.lesson().map(LessonId::value).orElse(null),
                "with the stand-in recorder, which makes the sound anew each time and stores none",
                found.keptUntil().orElse(null),
                found.extendedUntil().orElse(null),
                found.extendedWhy(),
                found.extendedBy().isEmpty() ? "" : people.nameOf(new PersonId(found.extendedBy())),
                found.erasedWhy(),
                deleting.isHeld(found),
                found.shown().map(Span::from).orElse(null),
                found.shown().map(Span::until).orElse(null),
                found.forLesson().map(LessonId::value).orElse(null),
                wishes.of(found.id()).stream().map(this::wish).toList(),
                watchers(found));
    }

    private WishLine wish(Wishes.Wish one) {
        return new WishLine(
                one.id(),
                people.nameOf(one.person()),
                one.download(),
                one.why(),
                one.at(),
                one.answered().isPresent(),
                one.answered().isPresent() ? people.nameOf(new PersonId(one.answeredBy())) : null,
                one.let().orElse(null));
    }

    /** All pupils of the class, also who has watched nothing. */
    private List<WatcherLine> watchers(Recording found) {
        Map<PersonId, Long> seen = watched.of(found.id());
        long length = Math.max(1, found.lengthMs());
        return classes.members(found.ofClass(), clock.instant()).stream()
                .filter(one -> !one.role().isAdultInCharge())
                .map(one -> new WatcherLine(
                        one.name(), (int) Math.min(100, 100 * seen.getOrDefault(one.person(), 0L) / length)))
                .toList();
    }

    /** @param copy whether a copy is asked for, and not to watch */
    record RecordingWish(boolean copy, String why) {}

    /** Asks an adult of the class. */
    @PostMapping("/{recording}/wishes")
    @For({TEACHER, LEAD, PUPIL})
    void ask(
            @PathVariable String recording,
            @RequestBody RecordingWish wanted,
            @AuthenticationPrincipal SignedIn caller) {
        Recording found = access.found(caller, recording);
        Access.May may = access.may(caller, found);
        Looking.Answer answer = wanted.copy ? may.download() : may.watch();
        String why = wanted.why.strip();
        if (why.length() > Limits.REASON) {
            throw tooLong();
        }
        switch (answer) {
            case YES -> throw Problem.refused(
                    "open-already", "This is open to you already", "Nothing was asked.", "Go ahead.");
            case NO -> throw Problem.notYours(
                    "The rules do not let you ask for this", "Speak with an adult of the class.");
            case ASK -> wishes.ask(found.id(), caller.person(), wanted.copy, why, clock.instant());
        }
    }

    private static Problem tooLong() {
        return Problem.notReadable(
                "This is too long",
                "Nothing was changed.",
                "At most %d characters.".formatted(Limits.REASON),
                List.of(new Problem.Wrong("why", "at most %d characters".formatted(Limits.REASON))));
    }

    /** @param days for how many days it is open; nothing where it is refused */
    record WishAnswer(@Nullable Integer days) {}

    @PutMapping("/{recording}/wishes/{wish}")
    @For({TEACHER, LEAD})
    OneRecording answer(
            @PathVariable String recording,
            @PathVariable long wish,
            @RequestBody WishAnswer answer,
            @AuthenticationPrincipal SignedIn caller) {
        Recording found = access.ofAdult(caller, recording);
        if (answer.days != null && (answer.days < 1 || answer.days > LET_DAYS)) {
            throw Problem.notReadable(
                    "For 1 to %d days".formatted(LET_DAYS), "Nothing was answered.", "Choose fewer days.", List.of());
        }
        Instant now = clock.instant();
        boolean isAnswered = wishes.answer(
                found.id(),
                wish,
                Optional.ofNullable(answer.days).map(days -> now.plus(Duration.ofDays(days))),
                caller.person(),
                now);
        if (!isAnswered) {
            throw Problem.refused(
                    "answered", "This was answered already", "Nothing was changed.", "Look at the answer.");
        }
        return one(recording, caller);
    }

    /** @param until a day, as 2027-03-01, inclusive */
    record KeepRequest(String until, String why) {}

    /** The lead has it kept longer than the rule, and says why. */
    @PutMapping("/{recording}/kept")
    @For(LEAD)
    OneRecording keep(
            @PathVariable String recording, @RequestBody KeepRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        Recording found = access.ofAdult(caller, recording);
        String why = reason(wanted.why);
        Instant until = endOf(wanted.until);
        Instant now = clock.instant();
        if (!until.isAfter(found.keptTo().orElse(now)) || until.isAfter(now.plus(LONGEST_KEPT))) {
            throw Problem.notReadable(
                    "That is not longer than it is kept now, or longer than ten years",
                    "Nothing was changed.",
                    "Choose a later day.",
                    List.of(new Problem.Wrong("until", "a later day")));
        }
        if (found.erasedAt().isPresent()) {
            throw Problem.refused(
                    "erased", "This recording was deleted", "Nothing was changed.", "Nothing can bring it back.");
        }
        recordings.extend(found.id(), until, why, caller.person());
        return one(recording, caller);
    }

    /** The lead has it deleted before its time. */
    @DeleteMapping("/{recording}")
    @Noted("the deletion of a recording")
    @For(LEAD)
    OneRecording delete(
            @PathVariable String recording, @RequestParam String why, @AuthenticationPrincipal SignedIn caller) {
        Recording found = access.ofAdult(caller, recording);
        String said = reason(why);
        if (found.ended().isEmpty()) {
            throw Problem.refused(
                    "goes-on", "This recording is still being made", "Nothing was deleted.", "End it first.");
        }
        if (deleting.isHeld(found)) {
            throw Problem.refused(
                    "held",
                    "Something of this lesson is held as evidence",
                    "Nothing was deleted.",
                    "End the hold first.");
        }
        deleting.delete(found, "deleted by %s: %s".formatted(caller.name(), said), clock.instant());
        return one(recording, caller);
    }

    private static String reason(String why) {
        String said = why.strip();
        if (said.isEmpty() || said.length() > Limits.REASON) {
            throw Problem.notReadable(
                    "A reason is needed",
                    "Nothing was changed.",
                    "Say why, in at most %d characters.".formatted(Limits.REASON),
                    List.of(new Problem.Wrong("why", "a reason")));
        }
        return said;
    }

    private Instant endOf(String day) {
        try {
            return WrittenDay.parse(day).plusDays(1).atStartOfDay(school.zone()).toInstant();
        } catch (DateTimeException unreadable) {
            throw Problem.notReadable(
                    "This day cannot be read",
                    "Nothing was changed.",
                    "Write it as 2027-03-01.",
                    List.of(new Problem.Wrong("until", "a day")));
        }
    }
}
