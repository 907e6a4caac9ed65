package juricast.server.recording;

import static juricast.server.words.PartWords.Told.little;
import static juricast.server.words.PartWords.Told.much;
import static juricast.server.words.PartWords.Told.some;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;
import juricast.core.live.Part;
import juricast.core.recording.Failure;
import juricast.core.recording.Hindrance;
import juricast.core.recording.PauseReason;
import juricast.core.recording.RecordingEvent;
import juricast.core.recording.RecordingPart;
import juricast.core.recording.RecordingRefusal;
import juricast.server.problems.Problem;
import juricast.server.words.PartWords;
import juricast.server.words.Refused;
import juricast.server.words.Story;
import org.springframework.stereotype.Component;

/** What happened, and what was refused, in sentences. */
@Component
public class RecordingWords implements PartWords {
    @Override
    public Part<?, ?, ?> part() {
        return RecordingPart.RECORDING;
    }

    @Override
    public Told told(LessonEvent event, Story story) {
        return ((RecordingEvent) event).match(new Sentences(story));
    }

    @Override
    public Optional<Problem> problem(Refused refused) {
        return refused.refusal().code() instanceof RecordingRefusal code
                ? Optional.of(problem(code, refused))
                : Optional.empty();
    }

    private static Problem problem(RecordingRefusal code, Refused refused) {
        return switch (code) {
            case FORBIDDEN -> refused.say(
                    "This lesson may not be recorded",
                    "The rule “Recording” forbids it; look at why, beside the rule.");
            case MAY_NOT_BE_RECORDED -> refused.say(
                    "Somebody is here in whose presence nothing may be recorded",
                    "No recording was begun, for nobody has agreed that %s be recorded.".formatted(refused.who()),
                    "Begin when they have left, or ask the safeguarding lead about their consent.");
            case NOT_RECORDING -> refused.say("Nothing is being recorded", "Start a recording first.");
            case WRONG_PAUSE -> refused.say(
                    "A pause is at least a minute long and ends before the lesson does",
                    "Choose fewer minutes, or pause until you let it go on.");
        };
    }

    /** Why an adult pauses, as the end of "paused: …". */
    public static String of(PauseReason reason) {
        return switch (reason) {
            case CONFIDES -> "somebody confides";
            case HEALTH_OR_FAMILY -> "health or family";
            case PERSONAL_DATA -> "names, marks or addresses are shown";
            case BREAK -> "a break";
            case OTHER -> "another reason";
        };
    }

    /** Why the recorder does not record. */
    public static String of(Failure why) {
        return switch (why) {
            case DISK_FULL -> "its disk is full";
            case LINE_LOST -> "the line to it is lost";
            case NO_ANSWER -> "it does not answer";
        };
    }

    /** Why it waits by itself. @param who because of whom */
    public static String of(Hindrance why, String who) {
        return switch (why) {
            case GROUPS -> "the class is in groups, and groups are not recorded";
            case NO_CONSENT -> "%s may not be in a room that is recorded".formatted(who);
            case SPEAKS -> "%s is heard or seen and may not be recorded".formatted(who);
        };
    }

    private record Sentences(Story story) implements RecordingEvent.Cases<PartWords.Told> {
        private String names(List<PersonId> people) {
            return people.stream().map(story::name).collect(Collectors.joining(", "));
        }

        @Override
        public PartWords.Told required(RecordingEvent.Required event) {
            return little(
                    event.must() ? "From here on the lesson had to be recorded" : "It had to be recorded no more");
        }

        @Override
        public PartWords.Told announced(RecordingEvent.Announced event) {
            return little("Everybody was told that a recording begins" + story.by(event.by()));
        }

        @Override
        public PartWords.Told asked(RecordingEvent.Asked event) {
            return little("The recorder was asked to record" + story.by(event.by()));
        }

        @Override
        public PartWords.Told begun(RecordingEvent.Begun event) {
            return much("The recording began");
        }

        @Override
        public PartWords.Told failed(RecordingEvent.Failed event) {
            return much("The recorder does not record: %s".formatted(of(event.why())));
        }

        @Override
        public PartWords.Told paused(RecordingEvent.Paused event) {
            return much("The recording was paused: %s%s".formatted(of(event.reason()), story.by(event.by())));
        }

        @Override
        public PartWords.Told wentOn(RecordingEvent.WentOn event) {
            return much("The recording went on" + story.by(event.by()));
        }

        @Override
        public PartWords.Told waits(RecordingEvent.Waits event) {
            return some("The recording waits: %s".formatted(of(event.why(), names(event.about()))));
        }

        @Override
        public PartWords.Told waitsNoMore(RecordingEvent.WaitsNoMore event) {
            return some("Nothing is in the recording's way any more");
        }

        @Override
        public PartWords.Told guarded(RecordingEvent.Guarded event) {
            return some(
                    event.closed().isEmpty()
                            ? "Nobody is closed for the recording any more"
                            : "Voice and camera are closed while recording: %s".formatted(names(event.closed())));
        }

        @Override
        public PartWords.Told ended(RecordingEvent.Ended event) {
            return much("The recording ended" + story.by(event.by()));
        }
    }
}
