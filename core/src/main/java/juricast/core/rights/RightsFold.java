package juricast.core.rights;

import java.time.Instant;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rules.Layer;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting;
import juricast.core.rules.Setting.Force;

/** One step of the fold. @param was the state before it */
record RightsFold(RightsState was) implements RightsEvent.Cases<RightsState> {
    @Override
    public RightsState turnedOn(RightsEvent.TurnedOn event) {
        return was.turnedOn(event.person(), event.what());
    }

    @Override
    public RightsState turnedOff(RightsEvent.TurnedOff event) {
        return was.turnedOff(event.person(), event.what());
    }

    @Override
    public RightsState liveSet(RightsEvent.LiveSet event) {
        return was.with(was.ordered().set(event));
    }

    @Override
    public RightsState liveEnded(RightsEvent.LiveEnded event) {
        return was.with(was.ordered().ended(event.rule()));
    }

    @Override
    public RightsState passGiven(RightsEvent.PassGiven event) {
        Setting pass = loan(event.right(), Permission.OPEN, Force.PASS, event.by(), event.at());
        return was.with(was.lent().with(event.person(), pass.ending(event.until())));
    }

    @Override
    public RightsState curbGiven(RightsEvent.CurbGiven event) {
        Setting curb = loan(event.right(), Permission.CLOSED, Force.CURB, event.by(), event.at());
        return was.with(was.lent().with(event.person(), curb.ending(event.until())));
    }

    /** Lent to a person, in whatever role: it is spoken to their role when it is asked for. */
    private static Setting loan(Rule<Permission> right, Permission value, Force force, PersonId by, Instant at) {
        Role any = right.roles().iterator().next();
        return Setting.of(new RuleValue(right, value), any, Layer.PERSON, force, by, at);
    }

    @Override
    public RightsState loanEnded(RightsEvent.LoanEnded event) {
        return was.ended(event);
    }

    @Override
    public RightsState stanceSwitched(RightsEvent.StanceSwitched event) {
        return was.with(was.ordered().switched(event));
    }

    @Override
    public RightsState lightened(RightsEvent.Lightened event) {
        return was.with(was.ordered().lightened(event));
    }
}
