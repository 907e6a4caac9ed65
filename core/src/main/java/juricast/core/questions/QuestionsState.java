package juricast.core.questions;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import juricast.core.live.Copies;

/** @param asked all questions of the lesson, in order */
public record QuestionsState(List<AskedQuestion> asked) {
    static final QuestionsState NEW = new QuestionsState(List.of());

    public Optional<AskedQuestion> question(int number) {
        return asked.stream().filter(one -> one.number() == number).findFirst();
    }

    /** The one before the class now: open, or shown, or closed and not put away yet. There is never more than one. */
    public Optional<AskedQuestion> now() {
        return asked.isEmpty()
                ? Optional.empty()
                : Optional.of(asked.get(asked.size() - 1)).filter(one -> !one.isAway());
    }

    /** One step of the fold. @param number the number of the event */
    record Fold(QuestionsState was, int number) implements QuestionsEvent.Cases<QuestionsState> {
        @Override
        public QuestionsState asked(QuestionsEvent.Asked event) {
            return new QuestionsState(Copies.plus(was.asked, AskedQuestion.of(number, event)));
        }

        @Override
        public QuestionsState answered(QuestionsEvent.Answered event) {
            return change(event.to(), one -> one.answered(event));
        }

        @Override
        public QuestionsState extended(QuestionsEvent.Extended event) {
            return change(event.question(), one -> one.until(event.until()));
        }

        @Override
        public QuestionsState nudged(QuestionsEvent.Nudged event) {
            return change(event.question(), one -> one.nudged(event.people()));
        }

        @Override
        public QuestionsState closed(QuestionsEvent.Closed event) {
            return change(event.question(), one -> one.closed(event.at()));
        }

        @Override
        public QuestionsState shown(QuestionsEvent.Shown event) {
            return change(event.question(), one -> one.shown(event.right()));
        }

        @Override
        public QuestionsState putAway(QuestionsEvent.PutAway event) {
            return change(event.question(), AskedQuestion::away);
        }

        private QuestionsState change(int question, UnaryOperator<AskedQuestion> how) {
            return new QuestionsState(was.asked.stream()
                    .map(one -> one.number() == question ? how.apply(one) : one)
                    .toList());
        }
    }
}
