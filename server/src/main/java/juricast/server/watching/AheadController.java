package juricast.server.watching;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.LessonId;
import juricast.core.keeping.Retention;
import juricast.core.limits.Limits;
import juricast.core.reading.Matter;
import juricast.core.time.Span;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.classes.Reading;
import juricast.server.data.Ids;
import juricast.server.data.School;
import juricast.server.data.WrittenDay;
import juricast.server.problems.Problem;
import juricast.server.recording.Recorder;
import juricast.server.recording.Recordings;
import juricast.server.recording.Recordings.Recording;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** What an adult records without pupils, and shows to a class from a day on (need I6). */
@RestController
@RequestMapping("/api")
class AheadController {
    /** One that was forgotten goes on no longer than that. */
    private static final Duration LONGEST = Duration.ofHours(3);

    private final Recordings recordings;
    private final Recorder recorder;
    private final Access access;
    private final Reading reading;
    private final Classes classes;
    private final School school;
    private final Clock clock;

    AheadController(
            Recordings recordings,
            Recorder recorder,
            Access access,
            Reading reading,
            Classes classes,
            School school,
            Clock clock) {
        this.recordings = recordings;
        this.recorder = recorder;
        this.access = access;
        this.reading = reading;
        this.classes = classes;
        this.school = school;
        this.clock = clock;
    }

    record AheadRequest(String title) {}

    record AheadBegun(String recording, Instant begun) {}

    /** Begins to record the calling adult, and nobody else. */
    @PostMapping("/classes/{id}/recordings")
    @For({TEACHER, LEAD})
    AheadBegun begin(
            @PathVariable String id, @RequestBody AheadRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = reading.ofClass(caller, Matter.RECORDINGS, id);
        String title = wanted.title.strip();
        if (title.isEmpty() || title.length() > Limits.TITLE) {
            throw unreadable("title", "It needs a title of at most %d characters".formatted(Limits.TITLE));
        }
        var recording = "ahead-" + Ids.next();
        Instant now = clock.instant();
        recordings.addAhead(recording, found.id(), title, now, caller.person());
        recorder.begin(new LessonId(recording), answer -> {});
        return new AheadBegun(recording, now);
    }

    record AheadEnded(String recording, long lengthSeconds) {}

    /** Ends a recording made ahead. */
    @PostMapping("/recordings/{recording}/end")
    @For({TEACHER, LEAD})
    AheadEnded end(@PathVariable String recording, @AuthenticationPrincipal SignedIn caller) {
        Recording found = ahead(caller, recording);
        Instant now = clock.instant();
        Instant ended = now.isAfter(found.begun().plus(LONGEST)) ? found.begun().plus(LONGEST) : now;
        if (found.ended().isPresent() || !ended.isAfter(found.begun())) {
            throw Problem.refused(
                    "ended",
                    "This recording has ended already",
                    "Nothing was changed.",
                    "Show it to the class, or watch it.");
        }
        recorder.end(new LessonId(recording));
        long length = Duration.between(found.begun(), ended).toMillis();
        recordings.endAhead(
                found.id(),
                ended,
                length,
                Retention.RECORDINGS.until(ended, access.rules(found).book()));
        return new AheadEnded(found.id(), length / 1000);
    }

    /**
     * @param from a day and an hour at the school, as 2026-12-01T10:00; nothing to take it back
     * @param until a day, inclusive
     * @param forLesson the lesson of the class in whose register watching counts; nothing where it does not
     */
    record ShowRequest(@Nullable String from, @Nullable String until, @Nullable String forLesson) {}

    /** Shows it to its class from then until then, or takes it back. */
    @PutMapping("/recordings/{recording}/shown")
    @For({TEACHER, LEAD})
    void show(
            @PathVariable String recording, @RequestBody ShowRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        Recording found = ahead(caller, recording);
        if (found.ended().isEmpty()) {
            throw Problem.refused(
                    "goes-on", "This recording is still being made", "Nothing was changed.", "End it first.");
        }
        recordings.show(found.id(), when(wanted), forLesson(found, wanted));
    }

    private Optional<LessonId> forLesson(Recording found, ShowRequest wanted) {
        return Optional.ofNullable(wanted.forLesson).map(id -> classes.lesson(new LessonId(id))
                .filter(one -> one.ofClass().equals(found.ofClass()))
                .map(Classes.Planned::id)
                .orElseThrow(() -> unreadable("forLesson", "A lesson of this class")));
    }

    private Optional<Span> when(ShowRequest wanted) {
        if (wanted.from == null || wanted.until == null) {
            return Optional.empty();
        }
        try {
            Instant from =
                    WrittenDay.parseWithTime(wanted.from).atZone(school.zone()).toInstant();
            Instant until = WrittenDay.parse(wanted.until)
                    .plusDays(1)
                    .atStartOfDay(school.zone())
                    .toInstant();
            return Optional.of(
                    Span.between(from, until).orElseThrow(() -> unreadable("until", "A day after the beginning")));
        } catch (DateTimeException broken) {
            throw unreadable("from", "A day and an hour, and a last day");
        }
    }

    private static Problem unreadable(String field, String what) {
        return Problem.notReadable(
                "This cannot be done as it was written",
                "Nothing was changed.",
                what + ".",
                List.of(new Problem.Wrong(field, what)));
    }

    private Recording ahead(SignedIn caller, String recording) {
        Recording found = access.ofAdult(caller, recording);
        if (!found.isAhead()) {
            throw Problem.refused(
                    "of-a-lesson",
                    "This is the recording of a lesson",
                    "Nothing was changed.",
                    "It begins and ends with its lesson.");
        }
        return found;
    }
}
