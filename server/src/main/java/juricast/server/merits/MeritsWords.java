package juricast.server.merits;

import static juricast.server.words.PartWords.Told.some;

import java.util.Optional;
import juricast.core.live.LessonEvent;
import juricast.core.live.Part;
import juricast.core.merits.MeritsEvent;
import juricast.core.merits.MeritsPart;
import juricast.core.merits.MeritsRefusal;
import juricast.server.problems.Problem;
import juricast.server.words.PartWords;
import juricast.server.words.Refused;
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

    @Override
    public Optional<Problem> problem(Refused refused) {
        return refused.refusal().code() instanceof MeritsRefusal code
                ? Optional.of(
                        switch (code) {
                            case NO_SUCH_MERIT -> refused.say("There is no such merit", "Look at the list again.");
                            case TOO_LATE_TO_TAKE_BACK -> refused.say(
                                    "It is too late to take it back",
                                    "A merit can be taken back for %d minutes. Talk with the pupil instead."
                                            .formatted(MeritsPart.TAKEN_BACK_WITHIN.toMinutes()));
                        })
                : Optional.empty();
    }

    private record Sentences(Story story) implements MeritsEvent.Cases<PartWords.Told> {
        @Override
        public PartWords.Told given(MeritsEvent.Given event) {
            return some(
                    "%s got a merit: %s%s".formatted(story.name(event.person()), event.reason(), story.by(event.by())));
        }

        @Override
        public PartWords.Told takenBack(MeritsEvent.TakenBack event) {
            String whose = story.before()
                    .of(MeritsPart.MERITS)
                    .merit(event.merit())
                    .map(one -> " of " + story.name(one.given().person()))
                    .orElse("");
            return some("A merit%s was taken back%s".formatted(whose, story.by(event.by())));
        }
    }
}
