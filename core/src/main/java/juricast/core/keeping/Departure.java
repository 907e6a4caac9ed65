package juricast.core.keeping;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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

    private record Open(Kind kind, Optional<String> value, PersonId by, Instant from, Optional<Instant> until) {}

    /**
     * All of them, in order of their beginning. What is set anew ends what was set before; a stance that keeps no live orders
     * ends them; passes and curbs end with their time; all end with the lesson.
     *
     * @param until when the lesson ended, or now
     */
    public static List<Departure> of(List<LessonEvent> events, Instant until) {
        var found = new ArrayList<Departure>();
        var open = new LinkedHashMap<Key, Open>();
        for (LessonEvent event : events) {
            if (event instanceof RightsEvent.LiveSet set) {
                begin(
                        found,
                        open,
                        new Key(set.set().rule(), Optional.empty()),
                        new Open(
                                Kind.LIVE_ORDER,
                                Optional.of(set.set().value().text()),
                                set.by(),
                                set.at(),
                                Optional.empty()));
            } else if (event instanceof RightsEvent.PassGiven pass) {
                begin(
                        found,
                        open,
                        new Key(pass.right(), Optional.of(pass.person())),
                        lent(Kind.PASS, pass.by(), pass.at(), pass.until()));
            } else if (event instanceof RightsEvent.CurbGiven curb) {
                begin(
                        found,
                        open,
                        new Key(curb.right(), Optional.of(curb.person())),
                        lent(Kind.CURB, curb.by(), curb.at(), curb.until()));
            } else if (event instanceof RightsEvent.LoanEnded ended) {
                end(found, open, new Key(ended.right(), Optional.of(ended.person())), ended.at());
            } else if (event instanceof RightsEvent.StanceSwitched to && !to.keptLive()) {
                List.copyOf(open.keySet()).stream()
                        .filter(key -> key.of.isEmpty())
                        .forEach(key -> end(found, open, key, to.at()));
            } else if (event instanceof DoorEvent.Dismissed dismissed) {
                List.copyOf(open.keySet()).forEach(key -> end(found, open, key, dismissed.at()));
            }
        }
        List.copyOf(open.keySet()).forEach(key -> end(found, open, key, until));
        found.sort(java.util.Comparator.comparing(one -> one.time.from()));
        return found;
    }

    private static Open lent(Kind kind, PersonId by, Instant at, Instant until) {
        return new Open(kind, Optional.empty(), by, at, Optional.of(until));
    }

    private static void begin(List<Departure> found, Map<Key, Open> open, Key key, Open next) {
        end(found, open, key, next.from);
        open.put(key, next);
    }

    private static void end(List<Departure> found, Map<Key, Open> open, Key key, Instant at) {
        Open was = open.remove(key);
        if (was == null) {
            return;
        }
        Instant until = was.until.filter(at::isAfter).orElse(at);
        Span.between(was.from, until)
                .ifPresent(time -> found.add(new Departure(was.kind, key.rule, was.value, key.of, was.by, time)));
    }
}
