package juricast.server.conduct;

import static juricast.server.words.PartWords.Told.little;
import static juricast.server.words.PartWords.Told.much;
import static juricast.server.words.PartWords.Told.some;

import java.util.Optional;
import java.util.stream.Collectors;
import juricast.core.conduct.ConductEvent;
import juricast.core.conduct.ConductPart;
import juricast.core.conduct.ConductRefusal;
import juricast.core.conduct.ConductRules;
import juricast.core.ladder.Measure;
import juricast.core.limits.Limits;
import juricast.core.live.LessonEvent;
import juricast.core.live.Part;
import juricast.server.problems.Problem;
import juricast.server.words.PartWords;
import juricast.server.words.Refused;
import juricast.server.words.Story;
import org.springframework.stereotype.Component;

/** What happened, and what was refused, in sentences. */
@Component
class ConductWords implements PartWords {
    @Override
    public Part<?, ?, ?> part() {
        return ConductPart.CONDUCT;
    }

    @Override
    public Told told(LessonEvent event, Story story) {
        return ((ConductEvent) event).match(new Sentences(story));
    }

    @Override
    public Optional<Problem> problem(Refused refused) {
        return refused.refusal().code() instanceof ConductRefusal code
                ? Optional.of(problem(code, refused))
                : Optional.empty();
    }

    private static Problem problem(ConductRefusal code, Refused refused) {
        return switch (code) {
            case NO_SUCH_STEP -> refused.say("There is no such step", "Look at the ladder again; it may have changed.");
            case NO_SUCH_ACT -> refused.say(
                    "There is no such kind of act", "Look at the list again; it may have changed.");
            case NOT_A_PUPIL -> refused.say(
                    "This cannot be done to " + refused.who(), "Steps are taken against pupils and visitors.");
            case STEP_NOT_YOURS -> refused.say(
                    "This is not yours to do",
                    "The ladder keeps it for fewer people. Ask who leads the lesson, or refer it.");
            case WHY_NEEDED -> refused.say(
                    "Another step than the proposed one needs a reason",
                    "Write a few words, or take the proposed one.");
            case STEP_TOO_HIGH -> refused.say(
                    "The charter lets nobody go that far above the proposed step",
                    "Take a lower one, or ask the safeguarding lead.");
            case SOMEBODY_ACTED -> refused.say(
                    "Another adult has just acted", refused.who() + ".", "Look at what was done, then decide again.");
            case WRONG_LENGTH -> refused.say(
                    "A right is closed for 1 to %d minutes".formatted(Limits.LOAN.toMinutes()), "Choose another time.");
            case WRONG_EVIDENCE -> refused.say(
                    "Evidence begins at most %d minutes before".formatted(ConductRules.MOST_EVIDENCE.toMinutes()),
                    "Choose fewer minutes.");
            case ALREADY_WITHDRAWN -> refused.say("It was withdrawn already", "It counts no more.");
            case NO_SUCH_WORRY -> refused.say("There is no such worry", "It may be for others to read.");
        };
    }

    private record Sentences(Story story) implements ConductEvent.Cases<PartWords.Told> {
        @Override
        public PartWords.Told stepTaken(ConductEvent.StepTaken event) {
            String who = event.against().stream()
                    .map(one -> story.name(one.person()))
                    .collect(Collectors.joining(", "));
            String why = event.why().isEmpty() ? "" : ": " + event.why();
            String sentence = "%s, for %s: %s%s%s"
                    .formatted(
                            event.step().name(),
                            who,
                            event.act().name().toLowerCase(java.util.Locale.ROOT),
                            why,
                            story.by(event.by()));
            return event.step().measure() == Measure.WORD ? some(sentence) : much(sentence);
        }

        @Override
        public PartWords.Told noted(ConductEvent.Noted event) {
            return some("A note was written to event %d%s".formatted(event.to(), story.by(event.by())));
        }

        @Override
        public PartWords.Told withdrawn(ConductEvent.Withdrawn event) {
            return much("The step of event %d was taken in error: %s%s"
                    .formatted(event.step(), event.why(), story.by(event.by())));
        }

        @Override
        public PartWords.Told momentMarked(ConductEvent.MomentMarked event) {
            String text = event.text().isEmpty() ? "" : ": " + event.text();
            return much("Marked to be looked at later%s%s".formatted(text, story.by(event.by())));
        }

        /** What is for the safeguarding lead alone stands in the casebook and nowhere else. */
        @Override
        public PartWords.Told worryRaised(ConductEvent.WorryRaised event) {
            return event.leadOnly()
                    ? PartWords.Told.NOTHING
                    : much("%s said quietly that something is wrong".formatted(story.name(event.person())));
        }

        @Override
        public PartWords.Told worrySettled(ConductEvent.WorrySettled event) {
            boolean isForAdults = story.before()
                    .of(ConductPart.CONDUCT)
                    .worry(event.worry())
                    .filter(one -> one.isForAdults())
                    .isPresent();
            return isForAdults
                    ? little("Somebody saw to what a pupil had said" + story.by(event.by()))
                    : PartWords.Told.NOTHING;
        }
    }
}
