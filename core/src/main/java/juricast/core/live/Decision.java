package juricast.core.live;

import java.util.ArrayList;
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

    /** The same with what happens before it, if it counts. */
    default Decision after(LessonEvent... first) {
        return either(
                events -> {
                    var all = new ArrayList<LessonEvent>(List.of(first));
                    all.addAll(events);
                    return new Done(all);
                },
                Refused::new);
    }

    static Decision done(LessonEvent... events) {
        return new Done(List.of(events));
    }
}
