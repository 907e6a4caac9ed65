package juricast.server.lines;

import static juricast.server.words.PartWords.Told.little;

import juricast.core.lines.LinesEvent;
import juricast.core.lines.LinesPart;
import juricast.core.live.LessonEvent;
import juricast.core.live.Part;
import juricast.server.words.PartWords;
import juricast.server.words.Story;
import org.springframework.stereotype.Component;

/** What happened, in sentences. */
@Component
class LinesWords implements PartWords {
    @Override
    public Part<?, ?, ?> part() {
        return LinesPart.LINES;
    }

    @Override
    public Told told(LessonEvent event, Story story) {
        return ((LinesEvent) event).match(new Sentences(story));
    }

    private record Sentences(Story story) implements LinesEvent.Cases<PartWords.Told> {
        @Override
        public PartWords.Told weakened(LinesEvent.Weakened event) {
            return little("The line of %s became weak".formatted(story.name(event.person())));
        }

        @Override
        public PartWords.Told recovered(LinesEvent.Recovered event) {
            return little("The line of %s carries again".formatted(story.name(event.person())));
        }

        @Override
        public PartWords.Told left(LinesEvent.Left event) {
            return little("The lesson was left as it is though lines are weak" + story.by(event.by()));
        }
    }
}
