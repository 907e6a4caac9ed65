package juricast.core.audience;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.rules.Rule;

/**
 * One thing that asks for an adult now.
 *
 * @param since when it began to, by which needs are ordered
 * @param until when it goes by itself, if it does
 * @param visits who stands at the door, of needs there
 * @param person whom it is about, if one person
 * @param rule the right that is about to end
 * @param number the message that waits, or the worry
 * @param about the stance or groups that are planned, the signal that is shown, or the group
 */
public record Need(
        Kind kind,
        Instant since,
        Optional<Instant> until,
        List<VisitId> visits,
        Optional<PersonId> person,
        Optional<Rule<?>> rule,
        int number,
        String about) {
    /** What asks. */
    public enum Kind {
        /** Some on the class list wait, and only the door is between. */
        LISTED,
        /** Somebody waits of whom more is to be found out. */
        UNSURE,
        /** A group calls for an adult. */
        GROUP_CALLS,
        /** Groups have been without an adult's eye for longer than the rule lets them; it is about the one that was longest. */
        GROUP_ALONE,
        /** Somebody came while the class is in groups, and is in none. */
        GROUP_LATE,
        /** The running order has groups for now. */
        GROUPS_PLANNED,
        /** What has to be recorded is not, or what somebody wanted recorded. */
        RECORDING_FAILS,
        /** A recording has been paused for longer than the rule's minutes; the number says how often they passed. */
        RECORDING_PAUSED,
        /** A pupil said quietly that something is wrong. */
        WORRY,
        /** A message waits to be read. */
        HELD,
        /** The running order has another stance for now. */
        STANCE,
        /** A signal that asks an adult to do something. */
        SIGN,
        HAND,
        /** So many have a weak line that a light lesson would help; the number says how many. */
        LINES_WEAK,
        /** Somebody's line was lost. */
        LOST,
        /** A pass ends within a minute. */
        ENDING
    }

    public Need {
        visits = List.copyOf(visits);
    }

    static Need of(Kind kind, Instant since) {
        return new Need(kind, since, Optional.empty(), List.of(), Optional.empty(), Optional.empty(), 0, "");
    }

    Need at(List<VisitId> door) {
        return new Need(kind, since, until, door, person, rule, number, about);
    }

    Need of(PersonId one) {
        return new Need(kind, since, until, visits, Optional.of(one), rule, number, about);
    }

    Need about(String what) {
        return new Need(kind, since, until, visits, person, rule, number, what);
    }

    Need numbered(int event) {
        return new Need(kind, since, until, visits, person, rule, event, about);
    }

    Need ending(Rule<?> right, Instant at) {
        return new Need(kind, since, Optional.of(at), visits, person, Optional.of(right), number, about);
    }
}
