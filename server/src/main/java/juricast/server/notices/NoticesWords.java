package juricast.server.notices;

import static juricast.server.words.PartWords.Told.some;

import java.util.Optional;
import juricast.core.live.LessonEvent;
import juricast.core.live.Part;
import juricast.core.notices.NoticesEvent;
import juricast.core.notices.NoticesPart;
import juricast.core.notices.NoticesRefusal;
import juricast.server.problems.Problem;
import juricast.server.words.PartWords;
import juricast.server.words.Refused;
import juricast.server.words.Story;
import org.springframework.stereotype.Component;

/** What happened, and what was refused, in sentences. */
@Component
class NoticesWords implements PartWords {
    @Override
    public Part<?, ?, ?> part() {
        return NoticesPart.NOTICES;
    }

    @Override
    public Told told(LessonEvent event, Story story) {
        return ((NoticesEvent) event).match(new Sentences(story));
    }

    @Override
    public Optional<Problem> problem(Refused refused) {
        return refused.refusal().code() instanceof NoticesRefusal
                ? Optional.of(refused.say("This is not up any more", "Look again."))
                : Optional.empty();
    }

    private record Sentences(Story story) implements NoticesEvent.Cases<PartWords.Told> {
        @Override
        public Told welcomed(NoticesEvent.Welcomed event) {
            return some(
                    event.text().isBlank()
                            ? "The welcome was taken away" + story.by(event.by())
                            : "Welcome: “%s”%s".formatted(event.text(), story.by(event.by())));
        }

        @Override
        public Told putUp(NoticesEvent.PutUp event) {
            return some("Announced: “%s”%s".formatted(event.text(), story.by(event.by())));
        }

        @Override
        public Told takenDown(NoticesEvent.TakenDown event) {
            return some("An announcement was taken down" + story.by(event.by()));
        }
    }
}
