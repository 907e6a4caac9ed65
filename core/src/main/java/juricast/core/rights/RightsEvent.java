package juricast.core.rights;

import java.time.Instant;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;
import juricast.core.live.Stance;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;

/** What is on, what was ordered for all, lent to one or closed to one. */
public sealed interface RightsEvent extends LessonEvent {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> extends Orders<R> {
        R turnedOn(TurnedOn event);

        R turnedOff(TurnedOff event);

        R lightened(Lightened event);
    }

    /** What an adult set otherwise than it was planned, for all or for one. */
    sealed interface Ordering extends RightsEvent {
        <R> R ordering(Orders<R> cases);

        @Override
        default <R> R match(Cases<R> cases) {
            return ordering(cases);
        }
    }

    /** One method for each kind that sets something otherwise. */
    interface Orders<R> {
        R liveSet(LiveSet event);

        R liveEnded(LiveEnded event);

        R passGiven(PassGiven event);

        R curbGiven(CurbGiven event);

        R loanEnded(LoanEnded event);

        R stanceSwitched(StanceSwitched event);
    }

    /** A person switched something on. */
    record TurnedOn(PersonId person, Appliance what, Instant at) implements RightsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.turnedOn(this);
        }
    }

    /** Something was switched off, by its owner, an adult or the rules. */
    record TurnedOff(PersonId person, Appliance what, PersonId by, Instant at) implements RightsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.turnedOff(this);
        }
    }

    /** A rule was changed for all pupils of the lesson. @param until when it is by itself as it was before, if it is */
    record LiveSet(RuleValue set, Optional<Instant> until, PersonId by, Instant at) implements Ordering {
        @Override
        public <R> R ordering(Orders<R> cases) {
            return cases.liveSet(this);
        }
    }

    /** The time of a live order was over: what was before it counts again. */
    record LiveEnded(Rule<?> rule, PersonId by, Instant at) implements Ordering {
        @Override
        public <R> R ordering(Orders<R> cases) {
            return cases.liveEnded(this);
        }
    }

    /** A right was lent. */
    record PassGiven(PersonId person, Rule<Permission> right, Instant until, PersonId by, Instant at)
            implements Ordering {
        @Override
        public <R> R ordering(Orders<R> cases) {
            return cases.passGiven(this);
        }
    }

    /** A right was closed to one person. */
    record CurbGiven(PersonId person, Rule<Permission> right, Instant until, PersonId by, Instant at)
            implements Ordering {
        @Override
        public <R> R ordering(Orders<R> cases) {
            return cases.curbGiven(this);
        }
    }

    /** A pass or curb ended. */
    record LoanEnded(PersonId person, Rule<Permission> right, PersonId by, Instant at) implements Ordering {
        @Override
        public <R> R ordering(Orders<R> cases) {
            return cases.loanEnded(this);
        }
    }

    /** The stance changed. */
    record StanceSwitched(Stance to, boolean keptLive, PersonId by, Instant at) implements Ordering {
        @Override
        public <R> R ordering(Orders<R> cases) {
            return cases.stanceSwitched(this);
        }
    }

    /** The lesson became light, or is no longer. */
    record Lightened(boolean on, PersonId by, Instant at) implements RightsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.lightened(this);
        }
    }
}
