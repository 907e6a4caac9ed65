package juricast.core.live;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import juricast.core.identity.PersonId;
import juricast.core.rules.Setting;
import juricast.core.rules.Situation;

/** The states of all parts together, and what all of them come to: each question is put to every part. It never changes. */
final class AllParts {
    private final List<Part<?, ?, ?>> parts;
    private final Object[] states;

    private AllParts(List<Part<?, ?, ?>> parts, Object[] states) {
        this.parts = parts;
        this.states = states;
    }

    static AllParts begin(List<Part<?, ?, ?>> parts) {
        return new AllParts(List.copyOf(parts), parts.stream().map(Part::begin).toArray());
    }

    List<Part<?, ?, ?>> list() {
        return parts;
    }

    /** The state of one part. @throws IllegalArgumentException if lessons have no such part */
    Object of(Part<?, ?, ?> part) {
        int place = parts.indexOf(part);
        if (place < 0) {
            throw new IllegalArgumentException("Lessons have no part " + part.name());
        }
        return states[place];
    }

    /** One step of the fold. @throws IllegalArgumentException if no part knows events of this kind */
    AllParts after(LessonEvent event, int number) {
        Object[] next = states.clone();
        int own = placeOf(event);
        Part<Object, LessonOrder, LessonEvent> part = untyped(parts.get(own));
        next[own] = part.after(states[own], event, number);
        part.leaves(states[own], next[own], event).ifPresent(gone -> {
            for (int i = 0; i < next.length; i++) {
                next[i] = untyped(parts.get(i)).gone(next[i], gone);
            }
        });
        count(next, event);
        return new AllParts(parts, next);
    }

    private void count(Object[] next, LessonEvent event) {
        WhoIsThere then = new AllParts(parts, next).there();
        boolean othersAreThere = then != there();
        for (int i = 0; i < next.length; i++) {
            if (next[i] != states[i] || othersAreThere) {
                next[i] = untyped(parts.get(i)).counted(next[i], then, event.at());
            }
        }
    }

    private int placeOf(LessonEvent event) {
        for (int i = 0; i < states.length; i++) {
            if (parts.get(i).events().isInstance(event)) {
                return i;
            }
        }
        throw new IllegalArgumentException("No part knows what to make of " + event);
    }

    WhoIsThere there() {
        for (int i = 0; i < states.length; i++) {
            Optional<WhoIsThere> known = untyped(parts.get(i)).there(states[i]);
            if (known.isPresent()) {
                return known.get();
            }
        }
        throw new IllegalArgumentException("No part knows who is there");
    }

    WhoIsWhere where() {
        for (int i = 0; i < states.length; i++) {
            Optional<WhoIsWhere> known = untyped(parts.get(i)).where(states[i]);
            if (known.isPresent()) {
                return known.get();
            }
        }
        return WhoIsWhere.ALL_TOGETHER;
    }

    /** What conditions ask about in a place, as far as the parts know it; year and time are those of the plan. */
    Situation situation(PlaceId in, Situation planned) {
        Situation now = planned;
        for (int i = 0; i < states.length; i++) {
            now = untyped(parts.get(i)).situation(states[i], in, now);
        }
        return now;
    }

    List<Setting> imposed(PlaceId in) {
        return all(i -> untyped(parts.get(i)).imposes(states[i], in));
    }

    /** Whether each part imposes the very list in one place that it imposes in another, in a state from before perhaps. */
    boolean imposesAlike(PlaceId in, AllParts before, PlaceId other) {
        for (int i = 0; i < states.length; i++) {
            Part<Object, LessonOrder, LessonEvent> part = untyped(parts.get(i));
            boolean isSame = states[i] == before.states[i] && in.equals(other)
                    || part.imposes(states[i], in) == part.imposes(before.states[i], other);
            if (!isSame) {
                return false;
            }
        }
        return true;
    }

    List<Setting> lent(PersonId person) {
        return all(i -> untyped(parts.get(i)).lent(states[i], person));
    }

    private List<Setting> all(Function<Integer, List<Setting>> ofPart) {
        List<Setting> all = List.of();
        for (int i = 0; i < states.length; i++) {
            List<Setting> more = ofPart.apply(i);
            if (!more.isEmpty()) {
                all = all.isEmpty() ? more : join(all, more);
            }
        }
        return all;
    }

    private static List<Setting> join(List<Setting> some, List<Setting> more) {
        var all = new ArrayList<>(some);
        all.addAll(more);
        return all;
    }

    /** A part as whoever handles its state without looking into it sees it: what stands in its place was made by it. */
    @SuppressWarnings("unchecked")
    static Part<Object, LessonOrder, LessonEvent> untyped(Part<?, ?, ?> part) {
        return (Part<Object, LessonOrder, LessonEvent>) part;
    }
}
