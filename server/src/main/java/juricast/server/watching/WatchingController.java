package juricast.server.watching;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.PUPIL;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.recording.Coverage;
import juricast.core.recording.Hindrance;
import juricast.core.watching.Looking;
import juricast.core.watching.Piece;
import juricast.core.watching.Playback;
import juricast.core.watching.Timeline;
import juricast.core.watching.Watched;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.SignedIn;
import juricast.server.drawing.DrawingJson;
import juricast.server.files.WebVtt;
import juricast.server.problems.Problem;
import juricast.server.recording.Medium;
import juricast.server.recording.RecordingWords;
import juricast.server.recording.Recordings.Recording;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpRange;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;
import tools.jackson.databind.json.JsonMapper;

/** Watching a recording, and taking a copy of it. Each look is noted; so is each copy. */
@RestController
@RequestMapping("/api/recordings/{recording}")
class WatchingController {
    private static final int MOST_PIECES = 100;

    private final Access access;
    private final Playbacks playbacks;
    private final WatchedStore watched;
    private final JsonMapper json;

    WatchingController(Access access, Playbacks playbacks, WatchedStore watched, JsonMapper json) {
        this.access = access;
        this.playbacks = playbacks;
        this.watched = watched;
        this.json = json;
    }

    /**
     * A recording as it is watched now.
     *
     * @param segments of the lesson's time, with where each begins in the recording
     * @param leftOut how many people are left out because they are not to be recorded
     */
    record Played(
            String id,
            String title,
            Instant begun,
            long lengthMs,
            @Nullable Instant keptUntil,
            boolean mayTakeCopy,
            List<PlayedVoice> voices,
            List<PlayedText> captions,
            List<PlayedText> words,
            List<PlayedPage> pages,
            List<PlayedHandout> handouts,
            List<PlayedPoll> polls,
            List<PlayedStance> stances,
            List<PlayedSegment> segments,
            List<PlayedGap> gaps,
            int leftOut,
            boolean isAhead) {}

    record PlayedVoice(String name, boolean isAdult, List<PlayedPiece> heard) {}

    record PlayedPiece(long fromMs, long untilMs) {}

    record PlayedText(long atMs, String name, String text) {}

    record PlayedPage(List<PlayedStroke> strokes) {}

    record PlayedStroke(long fromMs, @Nullable Long untilMs, DrawingJson.DrawingBody drawing) {}

    /** How a question was answered, as the class was shown it. */
    record PlayedPoll(long atMs, String question, List<PlayedCount> counts) {}

    record PlayedCount(String words, int count) {}

    record PlayedHandout(long atMs, String title, String body) {}

    record PlayedStance(long atMs, String name) {}

    record PlayedSegment(long atMs, Instant from, Instant until) {}

    /**
     * @param atMs where in the recording it is missing
     * @param says why, for adults
     */
    record PlayedGap(long atMs, @Nullable String says, Instant from, Instant until) {}

    /** @param pieces what was played since the last report */
    record WatchedReport(List<PlayedPiece> pieces) {}

    /** @param percent of the whole, rounded down */
    record WatchedSoFar(long watchedMs, int percent) {}

    /** What is seen of a recording, place by place. */
    @GetMapping("/playback")
    @Noted("a recording")
    @For({TEACHER, LEAD, PUPIL})
    Played playback(@PathVariable String recording, @AuthenticationPrincipal SignedIn caller) {
        Recording found = access.watched(caller, recording);
        watched.opened(found.id(), caller.person(), playbacks.now());
        return played(found, playbacks.of(found), caller);
    }

    private Played played(Recording found, Playback shown, SignedIn caller) {
        Timeline line = shown.line();
        return new Played(
                found.id(),
                found.title(),
                found.begun(),
                line.length().toMillis(),
                found.keptTo().orElse(null),
                access.may(caller, found).download() == Looking.Answer.YES,
                shown.voices().stream()
                        .map(one -> new PlayedVoice(one.name(), one.role().isAdultInCharge(), pieces(one.heard())))
                        .toList(),
                shown.captions().stream().map(WatchingController::text).toList(),
                shown.words().stream().map(WatchingController::text).toList(),
                shown.pages().stream()
                        .map(page -> new PlayedPage(page.strokes().stream()
                                .map(WatchingController::stroke)
                                .toList()))
                        .toList(),
                shown.handouts().stream()
                        .map(one -> new PlayedHandout(one.at().toMillis(), one.title(), one.body()))
                        .toList(),
                shown.polls().stream()
                        .map(one -> new PlayedPoll(
                                one.at().toMillis(),
                                one.question(),
                                one.results().lines().stream()
                                        .map(each -> new PlayedCount(each.words(), each.count()))
                                        .toList()))
                        .toList(),
                shown.stances().stream()
                        .map(one -> new PlayedStance(one.at().toMillis(), one.name()))
                        .toList(),
                line.segments().stream()
                        .map(one -> new PlayedSegment(line.from(one.from()).toMillis(), one.from(), one.until()))
                        .toList(),
                gaps(shown, access.may(caller, found).isAdult()),
                shown.leftOut(),
                found.isAhead());
    }

    private static List<PlayedPiece> pieces(List<Piece> pieces) {
        return pieces.stream()
                .map(one -> new PlayedPiece(one.from().toMillis(), one.until().toMillis()))
                .toList();
    }

    private static PlayedText text(Playback.Text one) {
        return new PlayedText(one.at().toMillis(), one.name(), one.text());
    }

    private static PlayedStroke stroke(Playback.Stroke one) {
        return new PlayedStroke(
                one.from().toMillis(),
                one.until().map(Duration::toMillis).orElse(null),
                DrawingJson.body(one.drawing()));
    }

    /** Pupils are told that something is missing, and not why; that it had not begun yet is nothing to tell. */
    private static List<PlayedGap> gaps(Playback shown, boolean toAdult) {
        return shown.gaps().stream()
                .filter(one -> one.cause() != Coverage.Cause.LATE)
                .map(one -> gap(one, shown.line(), toAdult))
                .toList();
    }

    private static PlayedGap gap(Coverage.Gap one, Timeline line, boolean toAdult) {
        return new PlayedGap(
                line.from(one.time().from()).toMillis(),
                toAdult ? says(one) : null,
                one.time().from(),
                one.time().until());
    }

    /** Because of whom it waited is nobody's business afterwards; pupils are not told why it was paused either. */
    static String says(Coverage.Gap gap) {
        return switch (gap.cause()) {
            case LATE -> "it had not begun";
            case PAUSED -> "paused: " + gap.pause().map(RecordingWords::of).orElse("another reason");
            case FAILED -> "the recorder did not record";
            case NO_CONSENT -> "somebody was not to be recorded";
            case GROUPS -> RecordingWords.of(Hindrance.GROUPS, "");
            case ENDED -> "it was ended before the lesson was";
        };
    }

    /** The sound, whole or from any place on, as players ask for it. */
    @GetMapping("/sound")
    @For({TEACHER, LEAD, PUPIL})
    void sound(
            @PathVariable String recording,
            @RequestHeader(value = HttpHeaders.RANGE, required = false) @Nullable String range,
            @AuthenticationPrincipal SignedIn caller,
            HttpServletResponse response)
            throws IOException {
        Recording found = access.watched(caller, recording);
        Medium sound = playbacks.sound(found, playbacks.of(found));
        long from = 0;
        long until = sound.bytes() - 1;
        response.setHeader(HttpHeaders.ACCEPT_RANGES, "bytes");
        // What may be heard can change at any moment, by a consent or a rule.
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
        response.setContentType(sound.type());
        if (range != null) {
            Optional<HttpRange> wanted = wanted(range);
            if (wanted.isEmpty() || wanted.get().getRangeStart(sound.bytes()) >= sound.bytes()) {
                response.setStatus(HttpStatus.REQUESTED_RANGE_NOT_SATISFIABLE.value());
                response.setHeader(HttpHeaders.CONTENT_RANGE, "bytes */" + sound.bytes());
                return;
            }
            from = wanted.get().getRangeStart(sound.bytes());
            until = wanted.get().getRangeEnd(sound.bytes());
            response.setStatus(HttpStatus.PARTIAL_CONTENT.value());
            response.setHeader(HttpHeaders.CONTENT_RANGE, "bytes %d-%d/%d".formatted(from, until, sound.bytes()));
        }
        response.setContentLengthLong(until - from + 1);
        sound.write(response.getOutputStream(), from, until - from + 1);
    }

    private static Optional<HttpRange> wanted(String range) {
        try {
            return HttpRange.parseRanges(range).stream().findFirst();
        } catch (IllegalArgumentException unreadable) {
            return Optional.empty();
        }
    }

    /** What was said in a recording, as WebVTT. */
    @GetMapping(path = "/captions.vtt", produces = "text/vtt")
    @For({TEACHER, LEAD, PUPIL})
    String captions(@PathVariable String recording, @AuthenticationPrincipal SignedIn caller) {
        Recording found = access.watched(caller, recording);
        return WebVtt.of(
                found.title(),
                playbacks.of(found).captions().stream()
                        .map(one -> new WebVtt.Line(one.at(), one.name(), one.text()))
                        .toList());
    }

    /** A copy, as one archive. It is written while it is made. */
    @GetMapping(path = "/copy", produces = "application/zip")
    @Noted(value = "a copy of a recording", takenAway = true)
    @For({TEACHER, LEAD, PUPIL})
    void copy(@PathVariable String recording, @AuthenticationPrincipal SignedIn caller, HttpServletResponse response)
            throws IOException {
        Recording found = access.taken(caller, recording);
        Playback shown = playbacks.of(found);
        response.setContentType("application/zip");
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                "attachment; filename=\"recording-%s.zip\""
                        .formatted(found.begun().toString().substring(0, 10)));
        CopyFile.write(response.getOutputStream(), found, shown, playbacks.sound(found, shown), playbacks.now(), json);
    }

    /** What a player has played since it told the last time. Reports that cannot be true change nothing. */
    @PostMapping("/watched")
    @For({TEACHER, LEAD, PUPIL})
    WatchedSoFar tell(
            @PathVariable String recording,
            @RequestBody WatchedReport report,
            @AuthenticationPrincipal SignedIn caller) {
        Recording found = access.watched(caller, recording);
        boolean isReadable = report.pieces.size() <= MOST_PIECES
                && report.pieces.stream().allMatch(one -> one.fromMs >= 0 && one.fromMs < one.untilMs);
        if (!isReadable) {
            throw Problem.notReadable(
                    "This is no report of what was played",
                    "Nothing was noted.",
                    "Each piece ends after it begins; at most %d at once.".formatted(MOST_PIECES),
                    List.of(new Problem.Wrong("pieces", "pieces that end after they begin")));
        }
        Duration length = Duration.ofMillis(found.lengthMs());
        Watched all = watched.tell(
                found.id(),
                caller.person(),
                report.pieces.stream()
                        .map(one -> new Piece(Duration.ofMillis(one.fromMs), Duration.ofMillis(one.untilMs)))
                        .toList(),
                length,
                playbacks.now());
        found.lesson().or(found::forLesson).ifPresent(watched::told);
        return new WatchedSoFar(all.length().toMillis(), (int) (100 * all.share(length)));
    }
}
