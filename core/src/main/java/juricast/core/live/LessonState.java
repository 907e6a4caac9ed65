package juricast.core.live;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rules.LiveRules;
import juricast.core.rules.PlannedRules;
import juricast.core.rules.Setting;
import juricast.core.rules.Situation;

/**
 * A lesson as its events left it: how many there were, and the state of each part. It never changes; a part of which nothing
 * changed keeps one and the same state object, and that is how everybody who made something of it knows that it still counts.
 */
public final class LessonState {
    private final List<Part<?, ?, ?>> parts;
    private final int number;
    private final Object[] states;
    private final WhoIsThere there;
    private final WhoIsWhere where;
    private final List<Setting> ordered;

    /** The rules as they were made last; the next state takes their book on as long as it still says the same. */
    private volatile Made made;

    private record Made(LessonState in, PlannedRules planned, BooksOfPlaces books, LiveRules rules) {}

    private LessonState(List<Part<?, ?, ?>> parts, int number, Object[] states, LessonState before) {
        this.parts = parts;
        this.number = number;
        this.states = states;
        there = there(parts, states);
        where = where(parts, states);
        ordered = before == null ? joined(PlaceId.LESSON) : ordered(before);
        made = before == null ? null : before.made;
    }

    /** A lesson in which nothing has happened yet. @param parts those below first; one of them knows who is there */
    public static LessonState begin(List<Part<?, ?, ?>> parts) {
        Object[] states = parts.stream().map(Part::begin).toArray();
        return new LessonState(List.copyOf(parts), 0, states, null);
    }

    private static WhoIsThere there(List<Part<?, ?, ?>> parts, Object[] states) {
        for (int i = 0; i < states.length; i++) {
            Optional<WhoIsThere> known = untyped(parts.get(i)).there(states[i]);
            if (known.isPresent()) {
                return known.get();
            }
        }
        throw new IllegalArgumentException("No part knows who is there");
    }

    private static WhoIsWhere where(List<Part<?, ?, ?>> parts, Object[] states) {
        for (int i = 0; i < states.length; i++) {
            Optional<WhoIsWhere> known = untyped(parts.get(i)).where(states[i]);
            if (known.isPresent()) {
                return known.get();
            }
        }
        return WhoIsWhere.ALL_TOGETHER;
    }

    /** One step of the fold. @throws IllegalArgumentException if no part knows events of this kind */
    public LessonState after(LessonEvent event) {
        if (event instanceof Erased) {
            return new LessonState(parts, number + 1, states, this);
        }
        Object[] next = states.clone();
        int own = placeOf(event);
        Part<Object, LessonOrder, LessonEvent> part = untyped(parts.get(own));
        next[own] = part.after(states[own], event, number + 1);
        part.leaves(states[own], next[own], event).ifPresent(gone -> {
            for (int i = 0; i < next.length; i++) {
                next[i] = untyped(parts.get(i)).gone(next[i], gone);
            }
        });
        count(next, event);
        return new LessonState(parts, number + 1, next, this);
    }

    private void count(Object[] next, LessonEvent event) {
        WhoIsThere then = there(parts, next);
        for (int i = 0; i < next.length; i++) {
            if (next[i] != states[i] || then != there) {
                next[i] = untyped(parts.get(i)).counted(next[i], then, event.at());
            }
        }
    }

    /** All events in order. */
    public LessonState after(List<? extends LessonEvent> events) {
        LessonState state = this;
        for (LessonEvent event : events) {
            state = state.after(event);
        }
        return state;
    }

    private int placeOf(LessonEvent event) {
        for (int i = 0; i < states.length; i++) {
            if (parts.get(i).events().isInstance(event)) {
                return i;
            }
        }
        throw new IllegalArgumentException("No part knows what to make of " + event);
    }

    /** How many events there were; the number of the last one. */
    public int number() {
        return number;
    }

    /** The parts of every lesson, those below first. */
    public List<Part<?, ?, ?>> parts() {
        return parts;
    }

    /** The state of one part. @throws IllegalArgumentException if lessons have no such part */
    @SuppressWarnings("unchecked") // what stands in a part's place was made by it
    public <S> S of(Part<S, ?, ?> part) {
        int place = parts.indexOf(part);
        if (place < 0) {
            throw new IllegalArgumentException("Lessons have no part " + part.name());
        }
        return (S) states[place];
    }

    /** Whether a part is just as it was in another state of this lesson. */
    public boolean isSame(LessonState other, Part<?, ?, ?> part) {
        return (Object) of(part) == other.of(part);
    }

    /** Who is in, and whether the lesson goes on. */
    public WhoIsThere there() {
        return there;
    }

    /** In which place people are. */
    public WhoIsWhere where() {
        return where;
    }

    /** The rules of the class with all that this lesson adds to them, in each of its places. */
    public LiveRules rules(PlannedRules planned) {
        Made last = made;
        if (last == null || last.in != this || last.planned != planned) {
            var books = new BooksOfPlaces(this, planned, last == null ? null : last.books);
            boolean isSame = last != null && last.books.isSame(books);
            BooksOfPlaces kept = isSame ? last.books : books;
            last = new Made(
                    this,
                    planned,
                    kept,
                    new LiveRules(kept, person -> kept.of(where.placeOf(person)), this::lent, there::hasAccount));
            made = last;
        }
        return last.rules;
    }

    /** The first of the places in which the rules are the very same as in one: what is worked out there counts here. */
    public PlaceId firstAlike(PlannedRules planned, PlaceId place) {
        rules(planned);
        return made.books.firstAlike(place);
    }

    /** What conditions ask about in a place, as far as the parts know it; year and time are those of the plan. */
    Situation situation(PlaceId in, Situation planned) {
        Situation now = planned;
        for (int i = 0; i < states.length; i++) {
            now = untyped(parts.get(i)).situation(states[i], in, now);
        }
        return now;
    }

    /** What everything ordered and imposed comes to in a place; one and the same list for all places in which it is alike. */
    List<Setting> ordered(PlaceId in) {
        boolean isAlike = true;
        for (int i = 0; i < states.length && isAlike; i++) {
            Part<Object, LessonOrder, LessonEvent> part = untyped(parts.get(i));
            isAlike = part.imposes(states[i], in) == part.imposes(states[i], PlaceId.LESSON);
        }
        return isAlike ? ordered : joined(in);
    }

    /** Passes and curbs of one person that have not been ended. */
    public List<Setting> lent(PersonId person) {
        List<Setting> all = List.of();
        for (int i = 0; i < states.length; i++) {
            List<Setting> more = untyped(parts.get(i)).lent(states[i], person);
            if (!more.isEmpty()) {
                all = all.isEmpty() ? more : join(all, more);
            }
        }
        return all.isEmpty() ? all : spokenTo(person, all);
    }

    /** What is lent to a person is lent to them in the role they came in. */
    private List<Setting> spokenTo(PersonId person, List<Setting> lent) {
        Role role = there.visitsOf(person).stream().map(Visit::role).findFirst().orElse(Role.PUPIL);
        return lent.stream()
                .map(one -> one.set().rule().speaksOf(role) ? one.speakingTo(role) : one)
                .toList();
    }

    private List<Setting> joined(PlaceId in) {
        List<Setting> all = List.of();
        for (int i = 0; i < states.length; i++) {
            all = join(all, untyped(parts.get(i)).imposes(states[i], in));
        }
        return all;
    }

    private List<Setting> ordered(LessonState before) {
        for (int i = 0; i < states.length; i++) {
            if (states[i] != before.states[i]) {
                List<Setting> now = untyped(parts.get(i)).imposes(states[i], PlaceId.LESSON);
                if (now != untyped(parts.get(i)).imposes(before.states[i], PlaceId.LESSON)) {
                    return joined(PlaceId.LESSON);
                }
            }
        }
        return before.ordered;
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
