package juricast.server.slates;

import static juricast.server.words.PartWords.Told.little;
import static juricast.server.words.PartWords.Told.some;

import java.util.Optional;
import java.util.stream.Collectors;
import juricast.core.live.LessonEvent;
import juricast.core.live.Part;
import juricast.core.slates.SlatesEvent;
import juricast.core.slates.SlatesPart;
import juricast.core.slates.SlatesRefusal;
import juricast.server.problems.Problem;
import juricast.server.words.PartWords;
import juricast.server.words.Refused;
import juricast.server.words.Story;
import org.springframework.stereotype.Component;

/** What happened, and what was refused, in sentences. */
@Component
class SlatesWords implements PartWords {
    @Override
    public Part<?, ?, ?> part() {
        return SlatesPart.SLATES;
    }

    @Override
    public Told told(LessonEvent event, Story story) {
        return ((SlatesEvent) event).match(new Sentences(story));
    }

    @Override
    public Optional<Problem> problem(Refused refused) {
        return refused.refusal().code() instanceof SlatesRefusal code
                ? Optional.of(problem(code, refused))
                : Optional.empty();
    }

    private static Problem problem(SlatesRefusal code, Refused refused) {
        return switch (code) {
            case NO_SLATES -> refused.say("There are no slates now", "Look at what is asked.");
            case FROZEN -> refused.say("Your slate is handed in", "Your teacher can give it back.");
            case NOT_A_MARK -> refused.say("That cannot be drawn", "Draw it once more, shorter and on the slate.");
            case FULL -> refused.say(
                    "Your slate is full", "Wipe something first; %d marks fit.".formatted(SlatesPart.MARKS));
            case NOBODY_HAS_ONE -> refused.say("Nothing is on these slates", "Choose others.");
        };
    }

    private record Sentences(Story story) implements SlatesEvent.Cases<PartWords.Told> {
        @Override
        public Told givenOut(SlatesEvent.GivenOut event) {
            return some("Slates were given out%s%s"
                    .formatted(event.task().isEmpty() ? "" : ": “" + event.task() + "”", story.by(event.by())));
        }

        @Override
        public Told drawn(SlatesEvent.Drawn event) {
            return little(story.name(event.person()) + " drew on the own slate");
        }

        @Override
        public Told undone(SlatesEvent.Undone event) {
            return little(story.name(event.person()) + " took back the last mark on the own slate");
        }

        @Override
        public Told wiped(SlatesEvent.Wiped event) {
            return little(story.name(event.person()) + " wiped the own slate");
        }

        @Override
        public Told handedIn(SlatesEvent.HandedIn event) {
            return little(story.name(event.person()) + " handed the slate in");
        }

        @Override
        public Told collected(SlatesEvent.Collected event) {
            return some("All slates were collected" + story.by(event.by()));
        }

        @Override
        public Told givenBack(SlatesEvent.GivenBack event) {
            return little("%s given back%s"
                    .formatted(
                            event.to()
                                    .map(one -> story.name(one) + "’s slate was")
                                    .orElse("All slates were"),
                            story.by(event.by())));
        }

        @Override
        public Told shown(SlatesEvent.Shown event) {
            String whose = event.people().stream().map(story::name).collect(Collectors.joining(", "));
            return some("The class was shown the slate of %s, %s%s"
                    .formatted(whose, event.named() ? "by name" : "without the name", story.by(event.by())));
        }

        @Override
        public Told hidden(SlatesEvent.Hidden event) {
            return little("No slate was shown any more" + story.by(event.by()));
        }

        @Override
        public Told takenAway(SlatesEvent.TakenAway event) {
            return some("Slates were put away" + story.by(event.by()));
        }
    }
}
