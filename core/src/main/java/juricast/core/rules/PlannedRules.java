package juricast.core.rules;

import java.time.Instant;
import java.util.List;
import juricast.core.identity.Role;

/**
 * The rules of a class and lesson as they were planned: what was set before anybody came. Nothing that happens in a lesson is
 * decided by them; they become {@link LiveRules} with what the lesson itself adds. Asked as they are by who looks ahead, or
 * back: registers, inspections, the timetable.
 */
public record PlannedRules(Rulebook book) {
    /** The value as planned. @throws IllegalArgumentException if the rule does not speak of the role */
    public <V extends Value> V value(Rule<V> rule, Role role, Instant now) {
        return book.value(rule, role, now);
    }

    /** What is planned, and why. @throws IllegalArgumentException if the rule does not speak of the role */
    public <V extends Value> Ruling<V> ruling(Rule<V> rule, Role role, Instant now) {
        return book.ruling(rule, role, now);
    }

    /** What is so before the lesson adds what it knows. */
    public Situation situation() {
        return book.situation();
    }

    /** The book that holds in a lesson: with what its adults ordered and its parts impose, in its situation. */
    public Rulebook with(List<Setting> ordered, Situation live) {
        return book.with(ordered).in(live);
    }
}
