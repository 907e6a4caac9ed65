package juricast.core.audience;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.lesson.LessonPlan;
import juricast.core.lesson.LessonState;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Fact;
import juricast.core.rules.Permission;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Ruling;

/**
 * The rights in one state of a lesson. Who has neither pass nor curb has those of their role, which are worked out once for
 * all seats; an order then costs thirty views, not thirty resolutions.
 */
public final class SharedRights {
    private final LessonState lesson;
    private final Rulebook planned;
    private final Rulebook all;
    private final Instant from;
    private final Instant until;
    private final Map<Boolean, Rulebook> books = new ConcurrentHashMap<>();
    private final Map<Key, List<Ruling<Permission>>> known = new ConcurrentHashMap<>();
    private final Map<Key, SeatView.Room> rooms = new ConcurrentHashMap<>();
    private final SeatView.Room outside;

    private record Key(Role role, boolean hasAccount) {}

    private SharedRights(LessonState lesson, Rulebook planned, Instant now) {
        this.lesson = lesson;
        this.planned = planned;
        all = lesson.rules(planned);
        from = now;
        until = all.nextEdge(now);
        outside = SeatView.fromOutside(lesson);
    }

    public static SharedRights of(LessonState lesson, Rulebook planned, Instant now) {
        return new SharedRights(lesson, planned, now);
    }

    /** Whether the clock alone has changed nothing since. */
    public boolean countsAt(Instant now) {
        return !now.isBefore(from) && now.isBefore(until);
    }

    /** The rules for everybody together. */
    Rulebook all() {
        return all;
    }

    /** The rules for one person. */
    Rulebook book(PersonId person) {
        return lesson.loans(person).isEmpty()
                ? books.computeIfAbsent(
                        lesson.hasAccount(person),
                        account -> all.in(all.situation().with(Fact.SCHOOL_ACCOUNT, account)))
                : lesson.rulesFor(person, planned);
    }

    /** One ruling for each of {@link Catalogue#RIGHTS}. */
    List<Ruling<Permission>> of(PersonId person, Role role, Instant now) {
        return lesson.loans(person).isEmpty()
                ? known.computeIfAbsent(
                        new Key(role, lesson.hasAccount(person)), key -> rights(book(person), role, now))
                : rights(book(person), role, now);
    }

    /** What this person sees of the room: one object for all who have neither pass nor curb and are of one role. */
    SeatView.Room room(LessonPlan plan, PersonId person, Role role, Instant now) {
        return lesson.loans(person).isEmpty()
                ? rooms.computeIfAbsent(
                        new Key(role, lesson.hasAccount(person)),
                        key -> SeatView.room(plan, lesson, this, person, role, now))
                : SeatView.room(plan, lesson, this, person, role, now);
    }

    SeatView.Room outside() {
        return outside;
    }

    private static List<Ruling<Permission>> rights(Rulebook book, Role role, Instant now) {
        return Catalogue.RIGHTS.stream()
                .map(right -> book.ruling(right, role, now))
                .toList();
    }
}
