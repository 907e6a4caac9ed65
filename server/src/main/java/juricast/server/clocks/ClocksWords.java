package juricast.server.clocks;

import static juricast.server.words.PartWords.Told.little;
import static juricast.server.words.PartWords.Told.some;

import java.util.Optional;
import juricast.core.clocks.ClocksEvent;
import juricast.core.clocks.ClocksPart;
import juricast.core.clocks.ClocksRefusal;
import juricast.core.live.LessonEvent;
import juricast.core.live.Part;
import juricast.server.problems.Problem;
import juricast.server.words.PartWords;
import juricast.server.words.Refused;
import juricast.server.words.Story;
import org.springframework.stereotype.Component;

/** What happened, and what was refused, in sentences. */
@Component
class ClocksWords implements PartWords {
    @Override
    public Part<?, ?, ?> part() {
        return ClocksPart.CLOCKS;
    }

    @Override
    public Told told(LessonEvent event, Story story) {
        return ((ClocksEvent) event).match(new Sentences(story));
    }

    @Override
    public Optional<Problem> problem(Refused refused) {
        return refused.refusal().code() instanceof ClocksRefusal code
                ? Optional.of(problem(code, refused))
                : Optional.empty();
    }

    private static Problem problem(ClocksRefusal code, Refused refused) {
        return switch (code) {
            case NO_CLOCK -> refused.say("No clock runs", "Start one.");
            case NO_LENGTH -> refused.say("No clock runs so long", "Choose up to three hours.");
            case NO_CALL -> refused.say("Nobody is called for now", "Wait for the next time.");
            case NOT_OPEN_YET -> refused.say("It is not open yet", "Press when the field says so.");
        };
    }

    private record Sentences(Story story) implements ClocksEvent.Cases<PartWords.Told> {
        @Override
        public Told started(ClocksEvent.Started event) {
            String what = event.length()
                    .map(length -> "A count-down of %d:%02d".formatted(length.toMinutes(), length.toSecondsPart()))
                    .orElse("A stopwatch");
            return little(what + (event.task().isEmpty() ? "" : " for “" + event.task() + "”") + story.by(event.by()));
        }

        @Override
        public Told paused(ClocksEvent.Paused event) {
            return little("The clock was paused" + story.by(event.by()));
        }

        @Override
        public Told wentOn(ClocksEvent.WentOn event) {
            return little("The clock went on" + story.by(event.by()));
        }

        @Override
        public Told lengthened(ClocksEvent.Lengthened event) {
            return little(
                    "The clock was given %d s more%s".formatted(event.more().toSeconds(), story.by(event.by())));
        }

        @Override
        public Told ranOut(ClocksEvent.RanOut event) {
            return little("The clock ran out");
        }

        @Override
        public Told ended(ClocksEvent.Ended event) {
            return little("The clock was taken away" + story.by(event.by()));
        }

        @Override
        public Told called(ClocksEvent.Called event) {
            return some("Who is first%s?%s"
                    .formatted(event.task().isEmpty() ? "" : ": " + event.task(), story.by(event.by())));
        }

        @Override
        public Told pressed(ClocksEvent.Pressed event) {
            return little("%s pressed after %.2f s"
                    .formatted(
                            story.name(event.person()),
                            Math.max(0, event.arrived().minus(event.delay()).toMillis()) / 1000.0));
        }

        @Override
        public Told passedOn(ClocksEvent.PassedOn event) {
            return little("The next in the row had the word" + story.by(event.by()));
        }

        @Override
        public Told callEnded(ClocksEvent.CallEnded event) {
            return little("Being first was over" + story.by(event.by()));
        }
    }
}
