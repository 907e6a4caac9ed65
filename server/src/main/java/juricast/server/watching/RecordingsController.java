package juricast.server.watching;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.PUPIL;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
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
import juricast.core.reading.Matter;
import juricast.core.recording.Coverage;
import juricast.core.time.Span;
import juricast.core.watching.Looking;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.classes.Period;
import juricast.server.classes.Reading;
import juricast.server.data.School;
import juricast.server.recording.Coverages;
import juricast.server.recording.Recordings;
import juricast.server.recording.Recordings.Recording;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** Which recordings there are and what they cover, for adults and for whoever may watch them. */
@RestController
@RequestMapping("/api/recordings")
class RecordingsController {
    private static final int USUAL_DAYS = 28;
    private static final int MOST = 1000;

    private final Recordings recordings;
    private final Coverages coverages;
    private final Access access;
    private final Wishes wishes;
    private final WatchedStore watched;
    private final Classes classes;
    private final Reading reading;
    private final School school;
    private final Clock clock;

    RecordingsController(
            Recordings recordings,
            Coverages coverages,
            Access access,
            Wishes wishes,
            WatchedStore watched,
            Classes classes,
            Reading reading,
            School school,
            Clock clock) {
        this.recordings = recordings;
        this.coverages = coverages;
        this.access = access;
        this.wishes = wishes;
        this.watched = watched;
        this.classes = classes;
        this.reading = reading;
        this.school = school;
        this.clock = clock;
    }

    /**
     * @param lines recordings, and lessons that had to be recorded and were not, the latest first
     * @param isCut whether there are more recordings than are listed; the sum is of all
     */
    record RecordingsPage(String from, String until, CoverageSum sum, List<RecordingLine> lines, boolean isCut) {}

    /** @param missing by cause, the most first */
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
        List<Coverages.Covered> covered = coverages.of(shown, period.span());
        List<Recording> found = recordings.list(shown, period.span(), MOST);
        Map<String, Long> asks = wishes.waiting();
        return new RecordingsPage(
                period.from().toString(),
                period.until().toString(),
                sum(covered),
                lines(found, covered, titles, asks),
                found.size() == MOST);
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
        return new MyRecording(
                one.id(),
                one.title(),
                one.begun(),
                one.lengthMs() / 1000,
                one.isAhead(),
                may.watch(),
                isAsked,
                until.orElse(null),
                one.percent(seen.getOrDefault(one.id(), 0L)));
    }
}
