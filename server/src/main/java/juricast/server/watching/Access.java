package juricast.server.watching;

import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.reading.Matter;
import juricast.core.rules.PlannedRules;
import juricast.core.watching.Looking;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.classes.Reading;
import juricast.server.problems.Problem;
import juricast.server.recording.Recordings;
import juricast.server.recording.Recordings.Recording;
import juricast.server.rules.Settings;
import org.springframework.stereotype.Component;

/** Who may watch which recording, and take a copy: the core is asked with what somebody was in the lesson, and is in the class. */
@Component
class Access {
    private final Recordings recordings;
    private final Classes classes;
    private final Settings settings;
    private final Wishes wishes;
    private final Reading reading;
    private final Clock clock;

    Access(Recordings recordings, Classes classes, Settings settings, Wishes wishes, Reading reading, Clock clock) {
        this.recordings = recordings;
        this.classes = classes;
        this.settings = settings;
        this.wishes = wishes;
        this.reading = reading;
        this.clock = clock;
    }

    /** What somebody may do with a recording. @param isAdult whether they may look after it: who watches, who asks */
    record May(Looking.Answer watch, Looking.Answer download, boolean isAdult) {
        boolean anything() {
            return isAdult || watch != Looking.Answer.NO;
        }
    }

    /** A recording somebody may at least ask for. @throws Problem as if it were not there, if they may not */
    Recording found(SignedIn caller, String id) {
        Recording found = recordings.find(id).orElseThrow(() -> Problem.notThere("This recording"));
        if (!may(caller, found, wishes.by(caller.person())).anything()) {
            throw Problem.notThere("This recording");
        }
        return found;
    }

    /** The same where it is watched. @throws Problem if it goes on, was erased, or may not be watched */
    Recording watched(SignedIn caller, String id) {
        Recording found = kept(caller, id);
        if (may(caller, found).watch() != Looking.Answer.YES) {
            throw Problem.notYours(
                    "This recording is not open to you", "Ask to watch it: an adult of the class answers.");
        }
        return found;
    }

    /** The same where a copy is taken. */
    Recording taken(SignedIn caller, String id) {
        Recording found = kept(caller, id);
        if (may(caller, found).download() != Looking.Answer.YES) {
            throw Problem.notYours(
                    "A copy of this recording is not yours to take",
                    "A copy cannot be deleted on time. Ask for one, with why.");
        }
        return found;
    }

    private Recording kept(SignedIn caller, String id) {
        Recording found = found(caller, id);
        if (found.erasedAt().isPresent()) {
            throw Problem.refused(
                    "erased",
                    "This recording was deleted",
                    "Nothing of it is kept any more: %s.".formatted(found.erasedWhy()),
                    "Nothing can bring it back.");
        }
        if (found.ended().isEmpty()) {
            throw Problem.refused(
                    "goes-on",
                    "This recording is still being made",
                    "It can be watched when the lesson is over.",
                    "Come back after the lesson.");
        }
        return found;
    }

    May may(SignedIn caller, Recording recording) {
        return may(caller, recording, wishes.by(caller.person()));
    }

    /** @param asked all that the caller has ever asked for */
    May may(SignedIn caller, Recording recording, List<Wishes.Wish> asked) {
        Instant now = clock.instant();
        Optional<Role> role = role(caller.person(), recording, now);
        boolean isAdult = caller.isLead() || role.filter(Role::isAdultInCharge).isPresent();
        boolean isHidden = recording.isAhead()
                && !isAdult
                && recording
                        .shown()
                        .filter(when -> !now.isBefore(when.from()) && now.isBefore(when.until()))
                        .isEmpty();
        if (isHidden) {
            return new May(Looking.Answer.NO, Looking.Answer.NO, false);
        }
        var looking = new Looking(role, caller.isLead(), let(asked, recording, false), let(asked, recording, true));
        PlannedRules rules = rules(recording);
        // What an adult made for the class and shows to it is not asked for.
        Looking.Answer watch = recording.isAhead() && role.isPresent() ? Looking.Answer.YES : looking.watch(rules, now);
        return new May(watch, looking.download(rules, now), isAdult);
    }

    PlannedRules rules(Recording recording) {
        return recording
                .lesson()
                .map(settings::ofLesson)
                .orElseGet(() -> new PlannedRules(settings.ofClass(recording.ofClass())));
    }

    private static Optional<Instant> let(List<Wishes.Wish> asked, Recording recording, boolean download) {
        return asked.stream()
                .filter(one -> one.recording().equals(recording.id()) && one.download() == download)
                .flatMap(one -> one.let().stream())
                .max(Comparator.naturalOrder());
    }

    /** What they were in the lesson; an adult who came to the class since counts too. */
    private Optional<Role> role(PersonId person, Recording recording, Instant now) {
        Stream<Member> then = recording.lesson().flatMap(classes::lesson).stream()
                .flatMap(lesson -> classes.membersOf(lesson, recording.begun()).stream());
        Stream<Member> since = classes.members(recording.ofClass(), now).stream()
                .filter(one -> recording.isAhead() || one.role().isAdultInCharge());
        return Stream.concat(then, since)
                .filter(one -> one.person().equals(person))
                .map(Member::role)
                .min(Comparator.naturalOrder());
    }

    /** The recording, if the caller looks after it. @throws Problem if not */
    Recording ofAdult(SignedIn caller, String id) {
        Recording found = found(caller, id);
        reading.ofClass(caller, Matter.RECORDINGS, found.ofClass().value());
        return found;
    }
}
