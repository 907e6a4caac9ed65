package juricast.core.rules;

import java.time.Instant;
import java.util.List;
import java.util.function.Function;
import java.util.function.Predicate;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;

/**
 * The rules as they are in a lesson at this moment: with its stance, live orders, what its parts impose, and the facts of the
 * room. Every decision in a lesson takes these, so that what a condition says is so for the door as for a seat (need A4).
 */
public final class LiveRules {
    private final Books books;
    private final Function<PersonId, Rulebook> whereTheyAre;
    private final Function<PersonId, List<Setting>> lent;
    private final Predicate<PersonId> hasAccount;

    /** The rules in all places of a lesson: one and the same object as long as none of them changes. */
    public interface Books {
        /** For the lesson as a whole, its door above all. */
        Rulebook lesson();

        /** For each place, where there are several; each book once. */
        List<Rulebook> ofPlaces();

        /** The next instant after {@code now} at which the clock alone can change any answer in any of them. */
        default Instant nextEdge(Instant now) {
            Instant next = lesson().nextEdge(now);
            for (Rulebook book : ofPlaces()) {
                Instant other = book.nextEdge(now);
                next = other.isBefore(next) ? other : next;
            }
            return next;
        }
    }

    private record OneBook(Rulebook lesson) implements Books {
        @Override
        public List<Rulebook> ofPlaces() {
            return List.of();
        }
    }

    /**
     * @param books those of all places
     * @param whereTheyAre the book of the place in which somebody is
     * @param lent passes and curbs of one person that have not been ended
     * @param hasAccount whether somebody signed in with an account of the school
     */
    public LiveRules(
            Books books,
            Function<PersonId, Rulebook> whereTheyAre,
            Function<PersonId, List<Setting>> lent,
            Predicate<PersonId> hasAccount) {
        this.books = books;
        this.whereTheyAre = whereTheyAre;
        this.lent = lent;
        this.hasAccount = hasAccount;
    }

    /** The same where only conditions are asked about: nothing is lent, everybody is together and has an account. */
    public static LiveRules of(Rulebook all) {
        return new LiveRules(new OneBook(all), person -> all, person -> List.of(), person -> true);
    }

    /** The books of all places. */
    public Books books() {
        return books;
    }

    /** The book for the lesson as a whole. */
    public Rulebook all() {
        return books.lesson();
    }

    /** The book of the place in which somebody is, without what was lent to them. */
    public Rulebook where(PersonId person) {
        return whereTheyAre.apply(person);
    }

    /** The book for one person, with what was lent to them. */
    public Rulebook of(PersonId person) {
        Rulebook here = where(person);
        return here.with(lent(person)).in(here.situation().with(Fact.SCHOOL_ACCOUNT, hasAccount(person)));
    }

    /** For who stands at the door: some rules count only with, or without, an account of the school. */
    public LiveRules atDoor(boolean withAccount) {
        Rulebook door = all().in(situation().with(Fact.SCHOOL_ACCOUNT, withAccount));
        return new LiveRules(new OneBook(door), person -> door, lent, hasAccount);
    }

    /** Passes and curbs of one person that have not been ended. */
    public List<Setting> lent(PersonId person) {
        return lent.apply(person);
    }

    public boolean hasAccount(PersonId person) {
        return hasAccount.test(person);
    }

    public Situation situation() {
        return all().situation();
    }

    /** The value for everybody of a role. @throws IllegalArgumentException if the rule does not speak of the role */
    public <V extends Value> V value(Rule<V> rule, Role role, Instant now) {
        return all().value(rule, role, now);
    }

    /** What holds for everybody of a role, and why. @throws IllegalArgumentException if the rule does not speak of the role */
    public <V extends Value> Ruling<V> ruling(Rule<V> rule, Role role, Instant now) {
        return all().ruling(rule, role, now);
    }

    /** The next instant after {@code now} at which the clock alone can change any answer. */
    public Instant nextEdge(Instant now) {
        return books.nextEdge(now);
    }
}
