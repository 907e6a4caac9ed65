package juricast.server.material;

import static juricast.server.words.PartWords.Told.little;
import static juricast.server.words.PartWords.Told.some;

import juricast.core.live.LessonEvent;
import juricast.core.live.Part;
import juricast.core.material.MaterialEvent;
import juricast.core.material.MaterialPart;
import juricast.server.words.PartWords;
import juricast.server.words.Story;
import org.springframework.stereotype.Component;

/** What happened, and what was refused, in sentences. */
@Component
class MaterialWords implements PartWords {
    @Override
    public Part<?, ?, ?> part() {
        return MaterialPart.MATERIAL;
    }

    @Override
    public Told told(LessonEvent event, Story story) {
        return ((MaterialEvent) event).match(new Sentences(story));
    }

    private record Sentences(Story story) implements MaterialEvent.Cases<PartWords.Told> {
        @Override
        public PartWords.Told handedOut(MaterialEvent.HandedOut event) {
            return some("Handed out: %s%s".formatted(event.title(), story.by(event.by())));
        }

        @Override
        public PartWords.Told takenBack(MaterialEvent.TakenBack event) {
            return little("Something handed out was taken back" + story.by(event.by()));
        }

        @Override
        public PartWords.Told captioned(MaterialEvent.Captioned event) {
            return little(
                    event.heard()
                            ? "The caption service wrote down what %s said".formatted(story.name(event.by()))
                            : "A caption was written" + story.by(event.by()));
        }

        @Override
        public PartWords.Told serviceListens(MaterialEvent.ServiceListens event) {
            return some((event.on() ? "The caption service listens" : "The caption service listens no more")
                    + story.by(event.by()));
        }
    }
}
