package juricast.core.live;

import java.util.List;
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
    private final int number;
    private final AllParts parts;
    private final WhoIsThere there;
    private final WhoIsWhere where;
    private final List<Setting> ordered;

    /** The rules as they were made last; the next state takes their books on as long as they still say the same. */
    private volatile Made made;

    private record Made(LessonState in, PlannedRules planned, BooksOfPlaces books, LiveRules rules) {}

    private LessonState(int number, AllParts parts, LessonState before) {
        this.number = number;
        this.parts = parts;
        there = parts.there();
        where = parts.where();
        boolean isAsBefore = before != null && parts.imposesAlike(PlaceId.LESSON, before.parts, PlaceId.LESSON);
        ordered = isAsBefore ? before.ordered : parts.imposed(PlaceId.LESSON);
        made = before == null ? null : before.made;
    }

    /** A lesson in which nothing has happened yet. @param parts those below first; one of them knows who is there */
    public static LessonState begin(List<Part<?, ?, ?>> parts) {
        return new LessonState(0, AllParts.begin(parts), null);
    }

    /** One step of the fold. @throws IllegalArgumentException if no part knows events of this kind */
    public LessonState after(LessonEvent event) {
        AllParts next = event instanceof Erased ? parts : parts.after(event, number + 1);
        return new LessonState(number + 1, next, this);
    }

    /** All events in order. */
    public LessonState after(List<? extends LessonEvent> events) {
        LessonState state = this;
        for (LessonEvent event : events) {
            state = state.after(event);
        }
        return state;
    }

    /** How many events there were; the number of the last one. */
    public int number() {
        return number;
    }

    /** The parts of every lesson, those below first. */
    public List<Part<?, ?, ?>> parts() {
        return parts.list();
    }

    /** The state of one part. @throws IllegalArgumentException if lessons have no such part */
    @SuppressWarnings("unchecked") // what stands in a part's place was made by it
    public <S> S of(Part<S, ?, ?> part) {
        return (S) parts.of(part);
    }

    /** Whether a part is just as it was in another state of this lesson. */
    public boolean isSame(LessonState other, Part<?, ?, ?> part) {
        return parts.of(part) == other.parts.of(part);
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
        return made(planned).rules;
    }

    private Made made(PlannedRules planned) {
        Made last = made;
        if (last == null || last.in != this || last.planned != planned) {
            var books = new BooksOfPlaces(this, planned, last == null ? null : last.books);
            BooksOfPlaces kept = last != null && last.books.isSame(books) ? last.books : books;
            var rules = new LiveRules(kept, person -> kept.of(where.placeOf(person)), this::lent, there::hasAccount);
            last = new Made(this, planned, kept, rules);
            made = last;
        }
        return last;
    }

    /** The first of the places in which the rules are the very same as in one: what is worked out there counts here. */
    public PlaceId firstAlike(PlannedRules planned, PlaceId place) {
        return made(planned).books.firstAlike(place);
    }

    /** What conditions ask about in a place. */
    Situation situation(PlaceId in, Situation planned) {
        return parts.situation(in, planned);
    }

    /** What everything ordered and imposed comes to in a place; one and the same list for all places in which it is alike. */
    List<Setting> ordered(PlaceId in) {
        return parts.imposesAlike(in, parts, PlaceId.LESSON) ? ordered : parts.imposed(in);
    }

    /** Passes and curbs of one person that have not been ended: lent to them in the role they came in. */
    public List<Setting> lent(PersonId person) {
        List<Setting> lent = parts.lent(person);
        if (lent.isEmpty()) {
            return lent;
        }
        Role role = there.visitsOf(person).stream().map(Visit::role).findFirst().orElse(Role.PUPIL);
        return lent.stream()
                .map(one -> one.set().rule().speaksOf(role) ? one.speakingTo(role) : one)
                .toList();
    }
}
