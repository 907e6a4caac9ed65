package juricast.core.rights;

import java.time.Duration;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonOrder;
import juricast.core.live.Stance;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;

/** What is switched on and off, ordered for all, lent to one or closed to one. */
public sealed interface RightsOrder extends LessonOrder {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R turnOn(TurnOn order);

        R turnOff(TurnOff order);

        R muteAll(MuteAll order);

        R undoMuteAll(UndoMuteAll order);

        R setLive(SetLive order);

        R givePass(GivePass order);

        R giveCurb(GiveCurb order);

        R endLoan(EndLoan order);

        R switchStance(SwitchStance order);

        R lighten(Lighten order);
    }

    /** Somebody switches something of their own on. */
    record TurnOn(VisitId visit, Appliance what) implements RightsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.turnOn(this);
        }
    }

    /** Somebody switches something of their own off, or an adult does so for a pupil. */
    record TurnOff(PersonId person, Appliance what, PersonId by) implements RightsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.turnOff(this);
        }
    }

    /** An adult mutes all pupils; they may unmute themselves if the rules say so, or not, if kept muted. */
    record MuteAll(boolean keepMuted, PersonId by) implements RightsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.muteAll(this);
        }
    }

    /** Takes the last "mute all" back, within some seconds: who had a pass to speak has it again. */
    record UndoMuteAll(PersonId by) implements RightsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.undoMuteAll(this);
        }
    }

    /**
     * An adult changes a rule for all pupils while the lesson runs: the door, a right, or what they are shown.
     *
     * @param length after which it is as before by itself; without one it lasts as long as the lesson
     */
    record SetLive(RuleValue set, Optional<Duration> length, PersonId by) implements RightsOrder {
        public SetLive(RuleValue set, PersonId by) {
            this(set, Optional.empty(), by);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.setLive(this);
        }
    }

    /** An adult lends a right for a time; a raised hand is taken by it. */
    record GivePass(PersonId person, Rule<Permission> right, Duration length, PersonId by) implements RightsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.givePass(this);
        }
    }

    /** An adult closes a right to one person for a time. */
    record GiveCurb(PersonId person, Rule<Permission> right, Duration length, PersonId by) implements RightsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.giveCurb(this);
        }
    }

    /** An adult ends a pass or curb before its time. */
    record EndLoan(PersonId person, Rule<Permission> right, PersonId by) implements RightsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.endLoan(this);
        }
    }

    /** An adult switches to another stance; live orders about its rules are kept on top, or dropped. */
    record SwitchStance(Stance to, boolean keepLive, PersonId by) implements RightsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.switchStance(this);
        }
    }

    /** An adult makes the lesson light for weak links, or ends it (need F11). */
    record Lighten(boolean on, PersonId by) implements RightsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.lighten(this);
        }
    }
}
