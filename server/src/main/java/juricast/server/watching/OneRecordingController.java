package juricast.server.watching;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.PUPIL;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.limits.Limits;
import juricast.core.time.Span;
import juricast.core.watching.Looking;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.data.School;
import juricast.server.data.WrittenDay;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import juricast.server.recording.Recorder;
import juricast.server.recording.Recordings;
import juricast.server.recording.Recordings.Recording;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** One recording: who watches it, who asks to, how long it is kept, and its deletion. */
@RestController
@RequestMapping("/api/recordings/{recording}")
class OneRecordingController {
    private static final int LET_DAYS = 90;
    private static final Duration LONGEST_KEPT = Duration.ofDays(3650);

    private final Recordings recordings;
    private final Recorder recorder;
    private final Access access;
    private final Wishes wishes;
    private final WatchedStore watched;
    private final Deleting deleting;
    private final Classes classes;
    private final People people;
    private final School school;
    private final Clock clock;

    OneRecordingController(
            Recordings recordings,
            Recorder recorder,
            Access access,
            Wishes wishes,
            WatchedStore watched,
            Deleting deleting,
            Classes classes,
            People people,
            School school,
            Clock clock) {
        this.recordings = recordings;
        this.recorder = recorder;
        this.access = access;
        this.wishes = wishes;
        this.watched = watched;
        this.deleting = deleting;
        this.classes = classes;
        this.people = people;
        this.school = school;
        this.clock = clock;
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

    /** One recording: what of it may be watched, who watched, who asked. */
    @GetMapping
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
                recorder.where(),
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
        return classes.members(found.ofClass(), clock.instant()).stream()
                .filter(one -> !one.role().isAdultInCharge())
                .map(one -> new WatcherLine(one.name(), found.percent(seen.getOrDefault(one.person(), 0L))))
                .toList();
    }

    /** @param copy whether a copy is asked for, and not to watch */
    record RecordingWish(boolean copy, String why) {}

    /** Asks an adult of the class. */
    @PostMapping("/wishes")
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

    /** Answers somebody who asked to watch. */
    @PutMapping("/wishes/{wish}")
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
    @PutMapping("/kept")
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
    @DeleteMapping
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
