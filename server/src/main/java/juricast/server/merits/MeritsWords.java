package juricast.server.merits;

import static juricast.server.words.PartWords.Told.some;

import juricast.core.live.LessonEvent;
import juricast.core.live.Part;
import juricast.core.merits.MeritsEvent;
import juricast.core.merits.MeritsPart;
import juricast.server.words.PartWords;
import juricast.server.words.Story;
import org.springframework.stereotype.Component;

/** What happened, in sentences. */
@Component
class MeritsWords implements PartWords {
    @Override
    public Part<?, ?, ?> part() {
        return MeritsPart.MERITS;
    }

    @Override
    public Told told(LessonEvent event, Story story) {
        return ((MeritsEvent) event).match(new Sentences(story));
    }

    private record Sentences(Story story) implements MeritsEvent.Cases<PartWords.Told> {
        @Override
        public PartWords.Told given(MeritsEvent.Given event) {
            return some(
                    "%s got a merit: %s%s".formatted(story.name(event.person()), event.reason(), story.by(event.by())));
        }
    }
}
