package juricast.core.charter;

import static juricast.core.identity.Role.CLASS_MONITOR;
import static juricast.core.identity.Role.PUPIL;
import static juricast.core.identity.Role.VISITOR;
import static juricast.core.rules.Catalogue.*;
import static juricast.core.rules.Permission.CLOSED;
import static juricast.core.rules.Permission.ON_REQUEST;
import static juricast.core.rules.Permission.OPEN;

import java.util.ArrayList;
import java.util.List;
import juricast.core.identity.Role;
import juricast.core.rules.Condition;
import juricast.core.rules.Door;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Value;
import juricast.core.rules.YesNo;

/**
 * A named bundle of settings (need A5). A class uses one by reference and deviates from it where it must; in a lesson it
 * is a stance, for one phase.
 *
 * @param purpose what it is for, in one sentence
 */
public record ReadyMade(String id, String name, String purpose, List<Says> settings) {
    public ReadyMade {
        settings = List.copyOf(settings);
    }

    /** One setting of a set. */
    public record Says(RuleValue set, Role role, Condition when) {}

    /** What every school begins with. */
    public static final List<ReadyMade> SHIPPED = List.of(
            named("settling", "Settling", "Everyone comes in, finds a seat and is seen by an adult before work begins.")
                    .forPupils(SPEAK, ON_REQUEST)
                    .forPupils(CLASS_CHAT, OPEN)
                    .forPupils(SHARE_SCREEN, CLOSED)
                    .forPupils(DRAW, CLOSED)
                    .done(),
            named("explaining", "Explaining", "One person explains; questions wait for a hand.")
                    .forPupils(SPEAK, ON_REQUEST)
                    .forPupils(CLASS_CHAT, ON_REQUEST)
                    .forPupils(SHARE_SCREEN, CLOSED)
                    .forPupils(DRAW, CLOSED)
                    .done(),
            named("discussion", "Discussion", "Everybody may speak and write.")
                    .forPupils(SPEAK, OPEN)
                    .forPupils(CLASS_CHAT, OPEN)
                    .forPupils(SHARE_SCREEN, ON_REQUEST)
                    .forPupils(DRAW, ON_REQUEST)
                    .done(),
            named("quiet-work", "Quiet work", "Each works alone; the adults can be asked, and nobody is disturbed.")
                    .forPupils(SPEAK, ON_REQUEST)
                    .forPupils(CLASS_CHAT, CLOSED)
                    .forPupils(REACTIONS, OPEN)
                    .forPupils(SHARE_SCREEN, CLOSED)
                    .done(),
            named("groups", "Groups", "Small rooms talk; everyone may come back to ask.")
                    .forPupils(SPEAK, OPEN)
                    .forPupils(CLASS_CHAT, OPEN)
                    .forPupils(DRAW, OPEN)
                    .forPupils(SHARE_SCREEN, OPEN)
                    .forPupils(GROUP_RETURN, OPEN)
                    .done(),
            named(
                            "guest-talk",
                            "Guest talk",
                            "A visitor speaks; pupils ask through an adult and write to nobody in private.")
                    .says(SPEAK, VISITOR, OPEN, Condition.ALWAYS)
                    .says(CAMERA, VISITOR, OPEN, Condition.ALWAYS)
                    .says(SHARE_SCREEN, VISITOR, OPEN, Condition.ALWAYS)
                    .forPupils(SPEAK, ON_REQUEST)
                    .forPupils(CLASS_CHAT, ON_REQUEST)
                    .forPupils(PRIVATE_CHAT, CLOSED)
                    .forPupils(SHARE_SCREEN, CLOSED)
                    .done(),
            named(
                            "assessment",
                            "Assessment",
                            "Everyone works alone and under the same conditions; the door opens by hand.")
                    .forPupils(DOOR, Door.KNOCK)
                    .forPupils(SPEAK, CLOSED)
                    .forPupils(CLASS_CHAT, CLOSED)
                    .forPupils(PRIVATE_CHAT, CLOSED)
                    .forPupils(SHARE_SCREEN, CLOSED)
                    .forPupils(DRAW, CLOSED)
                    .forPupils(ARRIVE_MUTED, YesNo.YES)
                    .done(),
            named("closing", "Closing", "Last words, then everyone goes; nothing new begins.")
                    .forPupils(SPEAK, OPEN)
                    .forPupils(CLASS_CHAT, OPEN)
                    .forPupils(SHARE_SCREEN, CLOSED)
                    .forPupils(DRAW, CLOSED)
                    .done());

    private static Writing named(String id, String name, String purpose) {
        return new Writing(id, name, purpose);
    }

    /** A set being written down. */
    private static final class Writing {
        private final String id;
        private final String name;
        private final String purpose;
        private final List<Says> settings = new ArrayList<>();

        Writing(String id, String name, String purpose) {
            this.id = id;
            this.name = name;
            this.purpose = purpose;
        }

        /** For pupils, and for the one who helps as class monitor. */
        <V extends Value> Writing forPupils(Rule<V> rule, V value) {
            says(rule, PUPIL, value, Condition.ALWAYS);
            boolean lent = value == OPEN || value == CLOSED || !rule.isRight();
            return lent ? says(rule, CLASS_MONITOR, value, Condition.ALWAYS) : this;
        }

        <V extends Value> Writing says(Rule<V> rule, Role role, V value, Condition when) {
            settings.add(new Says(new RuleValue(rule, value), role, when));
            return this;
        }

        ReadyMade done() {
            return new ReadyMade(id, name, purpose, settings);
        }
    }
}
