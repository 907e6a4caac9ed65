package juricast.server.board;

import static juricast.server.words.PartWords.Told.little;

import java.util.Optional;
import juricast.core.board.BoardEvent;
import juricast.core.board.BoardPart;
import juricast.core.board.BoardRefusal;
import juricast.core.live.LessonEvent;
import juricast.core.live.Part;
import juricast.server.problems.Problem;
import juricast.server.words.PartWords;
import juricast.server.words.Refused;
import juricast.server.words.Story;
import org.springframework.stereotype.Component;

/** What happened, and what was refused, in sentences. */
@Component
class BoardWords implements PartWords {
    @Override
    public Part<?, ?, ?> part() {
        return BoardPart.BOARD;
    }

    @Override
    public Told told(LessonEvent event, Story story) {
        return ((BoardEvent) event).match(new Sentences(story));
    }

    @Override
    public Optional<Problem> problem(Refused refused) {
        return refused.refusal().code() instanceof BoardRefusal code
                ? Optional.of(problem(code, refused))
                : Optional.empty();
    }

    private static Problem problem(BoardRefusal code, Refused refused) {
        return switch (code) {
            case NOT_A_LINE -> refused.say("That is no line", "Draw it once more.");
        };
    }

    private record Sentences(Story story) implements BoardEvent.Cases<PartWords.Told> {
        @Override
        public PartWords.Told drawn(BoardEvent.Drawn event) {
            return little(story.name(event.person()) + " drew on the board");
        }

        @Override
        public PartWords.Told wiped(BoardEvent.Wiped event) {
            return little(event.of()
                    .map(one -> "The marks of %s were wiped%s".formatted(story.name(one), story.by(event.by())))
                    .orElse("The board was wiped" + story.by(event.by())));
        }
    }
}
