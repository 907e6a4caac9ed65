package juricast.core.audience;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.rights.RightsPart.RIGHTS;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import java.util.stream.Stream;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.LessonState;
import juricast.core.live.PlaceId;
import juricast.core.rights.Appliance;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Fact;
import juricast.core.rules.LiveRules;
import juricast.core.rules.Permission;
import juricast.core.rules.PlannedRules;
import juricast.core.rules.Rule;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Ruling;
import juricast.core.rules.Setting;

/**
 * The rights in one state of a lesson. Who has neither pass nor curb has those of their role, which are worked out once for
 * all seats; an order then costs thirty views, not thirty resolutions.
 */
public final class SharedRights {
    private final LessonState lesson;
    private final PlannedRules planned;
    private final LiveRules rules;
    private final Rulebook all;
    private final Instant until;
    private final Map<Key, Rulebook> books = new ConcurrentHashMap<>();
    private final Map<Key, List<Ruling<Permission>>> known = new ConcurrentHashMap<>();
    private final Map<Key, List<RightsDesk.Cell>> cells = new ConcurrentHashMap<>();
    private final Map<Key, List<RightsDesk.Cell>> help = new ConcurrentHashMap<>();

    /** @param here the book of the place, by which groups in which all is alike share what is worked out */
    private record Key(Role role, boolean hasAccount, Rulebook here) {}

    /** Who is told the same: those with the same rights, in one place. */
    private record Alike(Role role, boolean hasAccount, PlaceId place) {}

    private SharedRights(LessonState lesson, PlannedRules planned, Instant now) {
        this.lesson = lesson;
        this.planned = planned;
        rules = lesson.rules(planned);
        all = rules.all();
        until = rules.nextEdge(now);
    }

    public static SharedRights of(LessonState lesson, PlannedRules planned, Instant now) {
        return new SharedRights(lesson, planned, now);
    }

    /** The rules for everybody together. */
    Rulebook all() {
        return all;
    }

    /** Whether a right is open to somebody of this role; not where the rule does not speak of it. */
    public boolean isOpen(PersonId person, Role role, Rule<Permission> right, Instant now) {
        return right.speaksOf(role) && book(person).value(right, role, now) == Permission.OPEN;
    }

    /** The rules for one person. */
    Rulebook book(PersonId person) {
        Rulebook here = rules.where(person);
        return lesson.lent(person).isEmpty()
                ? books.computeIfAbsent(
                        key(person, Rule.ANSWERS),
                        key -> here.in(here.situation().with(Fact.SCHOOL_ACCOUNT, key.hasAccount)))
                : rules.of(person);
    }

    /** One ruling for each of {@link Catalogue#RIGHTS}. */
    List<Ruling<Permission>> of(PersonId person, Role role, Instant now) {
        return shared(known, person, role, () -> rights(book(person), role, now));
    }

    /** Those of {@link Catalogue#RARELY_OPEN} by which this person can have something on. */
    Stream<Ruling<Permission>> rarelyOpen(PersonId person, Role role, Instant now) {
        return Stream.of(Appliance.values())
                .filter(what -> Catalogue.RARELY_OPEN.contains(what.right()))
                .filter(what -> what.needs().stream().allMatch(right -> isOpen(person, role, right, now)))
                .map(what -> book(person).ruling(what.right(), role, now));
    }

    /** The same as cells of the desk, with the pass or curb on each. */
    List<RightsDesk.Cell> cells(PersonId person, Role role, Instant now) {
        return shared(cells, person, role, () -> of(person, role, now).stream()
                .map(ruling -> new RightsDesk.Cell(ruling, loan(person, ruling, now)))
                .toList());
    }

    /** What this person may do for who leads: a cell for each of {@link Catalogue#HELP} that speaks of the role. */
    List<RightsDesk.Cell> help(PersonId person, Role role, Instant now) {
        return shared(help, person, role, () -> Catalogue.HELP.stream()
                .filter(rule -> rule.speaksOf(role))
                .map(rule -> book(person).ruling(rule, role, now))
                .map(ruling -> new RightsDesk.Cell(ruling, loan(person, ruling, now)))
                .toList());
    }

    /** Those of {@link #help} that are given or lent. */
    List<RightsDesk.Cell> helpGiven(PersonId person, Role role, Instant now) {
        List<RightsDesk.Cell> all = help(person, role, now);
        boolean none = all.stream().allMatch(SharedRights::isNotGiven);
        return none ? List.of() : all.stream().filter(cell -> !isNotGiven(cell)).toList();
    }

    private static boolean isNotGiven(RightsDesk.Cell cell) {
        return cell.loan().isEmpty() && cell.ruling().value() != Permission.OPEN;
    }

    private Optional<Setting> loan(PersonId person, Ruling<?> ruling, Instant now) {
        return lesson.of(RIGHTS).loans(person).stream()
                .filter(loan -> loan.set().rule().equals(ruling.rule()) && loan.isInForce(now))
                .findFirst();
    }

    private <T> T shared(Map<Key, T> among, PersonId person, Role role, Supplier<T> make) {
        return lesson.lent(person).isEmpty() ? among.computeIfAbsent(key(person, role), key -> make.get()) : make.get();
    }

    private Key key(PersonId person, Role role) {
        return new Key(role, lesson.of(DOOR).hasAccount(person), rules.where(person));
    }

    /**
     * Whose rights are worked out together: all of one role and in one place with, or without, an account of the school share them, and
     * who has a pass or a curb has rights of their own.
     */
    public Object sameAs(PersonId person, Role role) {
        return lesson.lent(person).isEmpty()
                ? new Alike(
                        role, lesson.of(DOOR).hasAccount(person), lesson.where().placeOf(person))
                : person;
    }

    /**
     * Whose rights are the very same, in whichever place: groups in which all is alike share them.
     *
     * @see #sameAs
     */
    public Object sameRightsAs(PersonId person, Role role) {
        PlaceId place = lesson.where().placeOf(person);
        return lesson.lent(person).isEmpty()
                ? new Alike(role, lesson.of(DOOR).hasAccount(person), lesson.firstAlike(planned, place))
                : person;
    }

    /** The rules as they were planned. */
    PlannedRules planned() {
        return planned;
    }

    /** The rules as they are for everybody. */
    public LiveRules rules() {
        return rules;
    }

    /** When the clock next changes something in them. */
    public Instant until() {
        return until;
    }

    private static List<Ruling<Permission>> rights(Rulebook book, Role role, Instant now) {
        return Catalogue.RIGHTS.stream()
                .map(right -> book.ruling(right, role, now))
                .toList();
    }
}
