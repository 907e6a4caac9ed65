package juricast.server.ending;

import static juricast.server.words.PartWords.Told.little;

import java.util.Optional;
import juricast.core.ending.EndingEvent;
import juricast.core.ending.EndingPart;
import juricast.core.ending.EndingRefusal;
import juricast.core.live.LessonEvent;
import juricast.core.live.Part;
import juricast.server.problems.Problem;
import juricast.server.words.PartWords;
import juricast.server.words.Refused;
import juricast.server.words.Story;
import org.springframework.stereotype.Component;

/** What happened, and what was refused, in sentences. */
@Component
class EndingWords implements PartWords {
    @Override
    public Part<?, ?, ?> part() {
        return EndingPart.ENDING;
    }

    @Override
    public Told told(LessonEvent event, Story story) {
        return ((EndingEvent) event).match(new Sentences(story));
    }

    @Override
    public Optional<Problem> problem(Refused refused) {
        return refused.refusal().code() instanceof EndingRefusal code
                ? Optional.of(problem(code, refused))
                : Optional.empty();
    }

    private static Problem problem(EndingRefusal code, Refused refused) {
        return switch (code) {
            case LAST_WORD -> refused.say("The others have gone already", "Dismiss when the last word is said.");
        };
    }

    private record Sentences(Story story) implements EndingEvent.Cases<PartWords.Told> {
        @Override
        public PartWords.Told closed(EndingEvent.Closed event) {
            return little(
                    switch (event.step()) {
                        case LINK_RETIRED -> "The link was retired";
                        case GROUPS_CLOSED -> "%d groups were together again".formatted(event.count());
                        case CHAT_KEPT -> "The chat was kept: %d messages".formatted(event.count());
                        case BOARD_KEPT -> "The board was kept: %d lines".formatted(event.count());
                        case RECORDING_KEPT -> "The recording was kept: %d minutes".formatted(event.count());
                        case REGISTER_DRAFTED -> "The register was drafted: %d were in".formatted(event.count());
                    });
        }
    }
}
