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
    private final Rulebook all;
    private final Function<PersonId, List<Setting>> lent;
    private final Predicate<PersonId> hasAccount;

    /**
     * @param all the book for everybody
     * @param lent passes and curbs of one person that have not been ended
     * @param hasAccount whether somebody signed in with an account of the school
     */
    public LiveRules(Rulebook all, Function<PersonId, List<Setting>> lent, Predicate<PersonId> hasAccount) {
        this.all = all;
        this.lent = lent;
        this.hasAccount = hasAccount;
    }

    /** The same where only conditions are asked about: nothing is lent, and everybody has an account. */
    public static LiveRules of(Rulebook all) {
        return new LiveRules(all, person -> List.of(), person -> true);
    }

    /** The book for everybody: one and the same object as long as neither settings nor the situation change. */
    public Rulebook all() {
        return all;
    }

    /** The book for one person, with what was lent to them. */
    public Rulebook of(PersonId person) {
        return all.with(lent(person)).in(all.situation().with(Fact.SCHOOL_ACCOUNT, hasAccount(person)));
    }

    /** For who stands at the door: some rules count only with, or without, an account of the school. */
    public LiveRules atDoor(boolean withAccount) {
        return new LiveRules(all.in(all.situation().with(Fact.SCHOOL_ACCOUNT, withAccount)), lent, hasAccount);
    }

    /** Passes and curbs of one person that have not been ended. */
    public List<Setting> lent(PersonId person) {
        return lent.apply(person);
    }

    public boolean hasAccount(PersonId person) {
        return hasAccount.test(person);
    }

    public Situation situation() {
        return all.situation();
    }

    /** The value for everybody of a role. @throws IllegalArgumentException if the rule does not speak of the role */
    public <V extends Value> V value(Rule<V> rule, Role role, Instant now) {
        return all.value(rule, role, now);
    }

    /** What holds for everybody of a role, and why. @throws IllegalArgumentException if the rule does not speak of the role */
    public <V extends Value> Ruling<V> ruling(Rule<V> rule, Role role, Instant now) {
        return all.ruling(rule, role, now);
    }

    /** The next instant after {@code now} at which the clock alone can change any answer. */
    public Instant nextEdge(Instant now) {
        return all.nextEdge(now);
    }
}
