package juricast.server.questions;

import static juricast.server.words.PartWords.Told.little;
import static juricast.server.words.PartWords.Told.some;

import java.util.Optional;
import juricast.core.live.LessonEvent;
import juricast.core.live.Part;
import juricast.core.questions.Question;
import juricast.core.questions.QuestionsEvent;
import juricast.core.questions.QuestionsPart;
import juricast.core.questions.QuestionsRefusal;
import juricast.core.questions.Results;
import juricast.server.problems.Problem;
import juricast.server.words.PartWords;
import juricast.server.words.Refused;
import juricast.server.words.Story;
import org.springframework.stereotype.Component;

/** What happened, and what was refused, in sentences. */
@Component
class QuestionsWords implements PartWords {
    @Override
    public Part<?, ?, ?> part() {
        return QuestionsPart.QUESTIONS;
    }

    @Override
    public Told told(LessonEvent event, Story story) {
        return ((QuestionsEvent) event).match(new Sentences(story));
    }

    @Override
    public Optional<Problem> problem(Refused refused) {
        return refused.refusal().code() instanceof QuestionsRefusal code
                ? Optional.of(problem(code, refused))
                : Optional.empty();
    }

    private static Problem problem(QuestionsRefusal code, Refused refused) {
        return switch (code) {
            case QUESTION_TOO_LONG -> refused.say(
                    "The question is too long",
                    "Up to %d characters, and up to %d for each choice; none of them may be empty."
                            .formatted(Question.TEXT, Question.CHOICE));
            case TOO_FEW_OR_MANY_CHOICES -> refused.say(
                    "That many choices are not possible",
                    "Give from two to %d choices; none for a number or a text.".formatted(Question.CHOICES));
            case CHOICES_ALIKE -> refused.say("Two choices are the same", "Word one of them otherwise.");
            case RIGHT_IS_NO_ANSWER -> refused.say(
                    "What is marked as right cannot be answered",
                    "Mark one choice, for several any, for an order all; a number with a tolerance from 0; points from 0 to %d."
                            .formatted(Question.POINTS));
            case STILL_OPEN -> refused.say("A question is open already", "Close it first.");
            case NO_SUCH_QUESTION -> refused.say("This question is not asked any more", "Look at what is asked now.");
            case CLOSED -> refused.say("It is closed", "No more answers are taken.");
            case ANSWERED_ALREADY -> refused.say("You have answered", "This question is answered once.");
            case NO_ANSWER_TO_THIS -> refused.say(
                    "That is no answer to this question", "Look at it again, and answer once more.");
            case NOT_ASKED -> refused.say("You are not asked", "This question was put to others.");
            case TOO_FEW_TO_SHOW -> refused.say(
                    "Too few have answered to show it",
                    "The class is shown nothing of fewer than %d answers: one could tell who gave which."
                            .formatted(Results.FEWEST_FOR_CLASS));
            case NO_SUCH_GROUP -> refused.say("This group is out no more", "Ask the class instead.");
        };
    }

    private record Sentences(Story story) implements QuestionsEvent.Cases<PartWords.Told> {
        @Override
        public Told asked(QuestionsEvent.Asked event) {
            String text = event.question().text();
            return some("%s asked %s"
                    .formatted(story.name(event.by()), text.isBlank() ? "a spoken question" : "“" + text + "”"));
        }

        @Override
        public Told answered(QuestionsEvent.Answered event) {
            return little(story.name(event.person()) + " answered the question");
        }

        @Override
        public Told extended(QuestionsEvent.Extended event) {
            return little("The question stayed open longer" + story.by(event.by()));
        }

        @Override
        public Told nudged(QuestionsEvent.Nudged event) {
            return little("%d were reminded of the question%s"
                    .formatted(event.people().size(), story.by(event.by())));
        }

        @Override
        public Told closed(QuestionsEvent.Closed event) {
            return little(event.by()
                    .map(by -> "The question was closed" + story.by(by))
                    .orElse("The question closed by itself"));
        }

        @Override
        public Told shown(QuestionsEvent.Shown event) {
            return some("The class was shown how the question was answered%s%s"
                    .formatted(event.right() ? ", and what was right" : "", story.by(event.by())));
        }

        @Override
        public Told putAway(QuestionsEvent.PutAway event) {
            return little("The question was put away" + story.by(event.by()));
        }
    }
}
