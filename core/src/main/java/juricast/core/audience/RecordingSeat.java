package juricast.core.audience;

import static juricast.core.recording.RecordingPart.RECORDING;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.LessonState;
import juricast.core.recording.RecordingState;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.PlannedRules;
import juricast.core.rules.Rule;
import juricast.core.rules.YesNo;

/**
 * The recording as everybody sees it, from the door on: whether there is one, and who may watch it later (need I1). Why it is paused,
 * and because of whom, is not in it.
 *
 * @param starts when one begins that was announced
 * @param announced whether its start, pauses and end are called out
 * @param watch who may watch it later, as roles; with {@code onRequest} those who may ask
 * @param keptDays for how many days it is kept
 */
public record RecordingSeat(
        Shown shown,
        Optional<Instant> starts,
        boolean announced,
        List<Role> watch,
        List<Role> onRequest,
        int keptDays) {
    /** What the mark says. */
    public enum Shown {
        NOT,
        /** It begins in some seconds. */
        SOON,
        ON,
        PAUSED
    }

    /** What of one person is recorded now. */
    public enum OfMe {
        NOTHING,
        /** What they say, show, write to the class and draw. */
        ALL,
        /** Their voice and camera are closed, for they are not to be recorded. */
        CLOSED
    }

    public static RecordingSeat of(LessonState lesson, PlannedRules planned, Instant now) {
        RecordingState is = lesson.of(RECORDING);
        var rules = lesson.rules(planned);
        return new RecordingSeat(
                shown(is),
                is.starts(),
                rules.value(Catalogue.ANNOUNCED, Rule.ANSWERS, now) == YesNo.YES,
                who(planned, Permission.OPEN, now),
                who(planned, Permission.ON_REQUEST, now),
                rules.value(Catalogue.RECORDING_KEPT, Rule.ANSWERS, now).number());
    }

    /** Watching comes later, so what counts in the room at this moment has no say in it. */
    private static List<Role> who(PlannedRules planned, Permission may, Instant now) {
        return Stream.of(Role.values())
                .filter(Catalogue.WATCH_RECORDING::speaksOf)
                .filter(role -> planned.value(Catalogue.WATCH_RECORDING, role, now) == may)
                .toList();
    }

    private static Shown shown(RecordingState is) {
        return switch (is.phase()) {
            case OFF, ENDED -> Shown.NOT;
            case ANNOUNCED -> Shown.SOON;
            case ASKED, ON -> is.isRecording() ? Shown.ON : Shown.PAUSED;
            case FAILED -> Shown.PAUSED;
        };
    }

    /** What of this person is recorded at this moment. */
    public static OfMe ofMe(LessonState lesson, PersonId me) {
        RecordingState is = lesson.of(RECORDING);
        if (!is.isRecording()) {
            return OfMe.NOTHING;
        }
        return is.closed().contains(me) ? OfMe.CLOSED : OfMe.ALL;
    }
}
