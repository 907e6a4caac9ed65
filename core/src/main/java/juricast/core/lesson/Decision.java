package juricast.core.lesson;

import java.util.List;
import java.util.function.Function;

/** What an order does: events, or nothing and a reason. */
public sealed interface Decision {
    /** Both cases, so that none is forgotten. */
    <R> R either(Function<List<LessonEvent>, R> done, Function<Refusal, R> refused);

    /** The order counts. The list is empty where everything was so already. */
    record Done(List<LessonEvent> events) implements Decision {
        public Done {
            events = List.copyOf(events);
        }

        @Override
        public <R> R either(Function<List<LessonEvent>, R> done, Function<Refusal, R> refused) {
            return done.apply(events);
        }
    }

    /** The order does not count. */
    record Refused(Refusal refusal) implements Decision {
        @Override
        public <R> R either(Function<List<LessonEvent>, R> done, Function<Refusal, R> refused) {
            return refused.apply(refusal);
        }
    }

    static Decision done(LessonEvent... events) {
        return new Done(List.of(events));
    }
}
