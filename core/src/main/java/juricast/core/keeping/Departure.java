package juricast.core.keeping;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import juricast.core.door.DoorEvent;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;
import juricast.core.rights.RightsEvent;
import juricast.core.rules.Rule;
import juricast.core.time.Span;

/**
 * One departure from the plan: a value that an adult set during a lesson, or a right lent to or taken from one person.
 *
 * @param of whom it was about; everybody if nobody
 * @param value what it was set to; empty for a pass or a curb
 */
public record Departure(
        Kind kind, Rule<?> rule, Optional<String> value, Optional<PersonId> of, PersonId by, Span time) {
    /** In which way. */
    public enum Kind {
        LIVE_ORDER,
        PASS,
        CURB
    }

    private record Key(Rule<?> rule, Optional<PersonId> of) {}

    /** @param until when it ends by itself */
    private record Open(Kind kind, Key key, Optional<String> value, PersonId by, Instant from, Instant until) {
        /** Nothing if it held for no time at all. */
        Optional<Departure> ended(Instant at) {
            return Span.between(from, at.isAfter(until) ? until : at)
                    .map(time -> new Departure(kind, key.rule, value, key.of, by, time));
        }
    }

    /**
     * All of them, in order of their beginning. What is set anew ends what was set before; a stance that keeps no live orders
     * ends them; passes and curbs end with their time; all end with the lesson.
     *
     * @param until when the lesson ended, or now
     */
    public static List<Departure> of(List<LessonEvent> events, Instant until) {
        var found = new ArrayList<Departure>();
        var open = new LinkedHashMap<Key, Open>();
        LessonEvent.of(events, RightsEvent.Ordering.class)
                .map(event -> event.ordering(STEPS))
                .forEach(step -> step.applied(open, found));
        Instant over = LessonEvent.of(events, DoorEvent.Dismissed.class)
                .map(DoorEvent.Dismissed::at)
                .findFirst()
                .orElse(until);
        new Step(key -> true, Optional.empty(), over).applied(open, found);
        found.sort(Comparator.comparing(one -> one.time.from()));
        return found;
    }

    /** What one event ends, and what it begins. */
    private record Step(Predicate<Key> ends, Optional<Open> begins, Instant at) {
        static Step begin(Open next) {
            return new Step(next.key::equals, Optional.of(next), next.from);
        }

        static Step end(Predicate<Key> which, Instant at) {
            return new Step(which, Optional.empty(), at);
        }

        void applied(Map<Key, Open> open, List<Departure> found) {
            List.copyOf(open.values()).stream()
                    .filter(one -> ends.test(one.key))
                    .forEach(one -> {
                        open.remove(one.key);
                        one.ended(at).ifPresent(found::add);
                    });
            begins.ifPresent(next -> open.put(next.key, next));
        }
    }

    private static final RightsEvent.Orders<Step> STEPS = new RightsEvent.Orders<>() {
        @Override
        public Step liveSet(RightsEvent.LiveSet event) {
            return Step.begin(new Open(
                    Kind.LIVE_ORDER,
                    new Key(event.set().rule(), Optional.empty()),
                    Optional.of(event.set().value().text()),
                    event.by(),
                    event.at(),
                    event.until().orElse(Instant.MAX)));
        }

        @Override
        public Step liveEnded(RightsEvent.LiveEnded event) {
            return Step.end(new Key(event.rule(), Optional.empty())::equals, event.at());
        }

        @Override
        public Step passGiven(RightsEvent.PassGiven event) {
            var key = new Key(event.right(), Optional.of(event.person()));
            return Step.begin(new Open(Kind.PASS, key, Optional.empty(), event.by(), event.at(), event.until()));
        }

        @Override
        public Step curbGiven(RightsEvent.CurbGiven event) {
            var key = new Key(event.right(), Optional.of(event.person()));
            return Step.begin(new Open(Kind.CURB, key, Optional.empty(), event.by(), event.at(), event.until()));
        }

        @Override
        public Step loanEnded(RightsEvent.LoanEnded event) {
            return Step.end(new Key(event.right(), Optional.of(event.person()))::equals, event.at());
        }

        @Override
        public Step stanceSwitched(RightsEvent.StanceSwitched event) {
            return Step.end(key -> !event.keptLive() && key.of.isEmpty(), event.at());
        }
    };
}
