package juricast.server.supervision;

import static juricast.server.words.PartWords.Told.much;
import static juricast.server.words.PartWords.Told.some;

import java.util.Optional;
import juricast.core.live.LessonEvent;
import juricast.core.live.Part;
import juricast.core.supervision.SupervisionEvent;
import juricast.core.supervision.SupervisionPart;
import juricast.core.supervision.SupervisionRefusal;
import juricast.server.problems.Problem;
import juricast.server.words.PartWords;
import juricast.server.words.Refused;
import juricast.server.words.Story;
import org.springframework.stereotype.Component;

/** What happened, and what was refused, in sentences. */
@Component
class SupervisionWords implements PartWords {
    @Override
    public Part<?, ?, ?> part() {
        return SupervisionPart.SUPERVISION;
    }

    @Override
    public Told told(LessonEvent event, Story story) {
        return ((SupervisionEvent) event).match(new Sentences(story));
    }

    @Override
    public Optional<Problem> problem(Refused refused) {
        return refused.refusal().code() instanceof SupervisionRefusal code
                ? Optional.of(problem(code, refused))
                : Optional.empty();
    }

    private static Problem problem(SupervisionRefusal code, Refused refused) {
        return switch (code) {
            case NOT_STOPPED -> refused.say("Nothing is stopped", "The lesson goes on as it was.");
            case AN_ADULT_IS_IN -> refused.say(
                    "An adult is in this room", "Only a room without an adult can be taken charge of.");
        };
    }

    private record Sentences(Story story) implements SupervisionEvent.Cases<PartWords.Told> {
        @Override
        public PartWords.Told stopped(SupervisionEvent.Stopped event) {
            return much("Everything was stopped" + story.by(event.by()));
        }

        @Override
        public PartWords.Told stopExplained(SupervisionEvent.StopExplained event) {
            return some("Why everything was stopped: %s%s".formatted(event.why(), story.by(event.by())));
        }

        @Override
        public PartWords.Told resumed(SupervisionEvent.Resumed event) {
            return much("It went on" + story.by(event.by()));
        }

        @Override
        public PartWords.Told wentQuiet(SupervisionEvent.WentQuiet event) {
            return much("The room went quiet by itself: no adult was in it");
        }

        @Override
        public PartWords.Told supervised(SupervisionEvent.Supervised event) {
            return much("An adult is in the room again" + story.by(event.by()));
        }
    }
}
