package juricast.core.casebook;

import java.util.List;
import java.util.function.Function;

/** What an order does: events, or nothing and a reason. */
public sealed interface CaseDecision {
    /** Both cases, so that none is forgotten. */
    <R> R either(Function<List<CaseEvent>, R> done, Function<CaseRefusal, R> refused);

    record Done(List<CaseEvent> events) implements CaseDecision {
        public Done {
            events = List.copyOf(events);
        }

        @Override
        public <R> R either(Function<List<CaseEvent>, R> done, Function<CaseRefusal, R> refused) {
            return done.apply(events);
        }
    }

    record Refused(CaseRefusal why) implements CaseDecision {
        @Override
        public <R> R either(Function<List<CaseEvent>, R> done, Function<CaseRefusal, R> refused) {
            return refused.apply(why);
        }
    }

    static CaseDecision done(CaseEvent... events) {
        return new Done(List.of(events));
    }
}
