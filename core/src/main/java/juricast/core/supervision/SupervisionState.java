package juricast.core.supervision;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.Imposed;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Door;
import juricast.core.rules.Permission;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting;
import juricast.core.rules.YesNo;

/**
 * What an adult stopped, and what the want of one made quiet.
 *
 * @param stopped the stop that lasts, if everything is stopped
 * @param quietSince since when the room is quiet because no adult came back in time, if it is
 * @param imposed what both come to; the same list as long as neither changes
 */
public record SupervisionState(
        Optional<SupervisionEvent.Stopped> stopped, Optional<Instant> quietSince, List<Setting> imposed) {
    static final SupervisionState NEW = new SupervisionState(Optional.empty(), Optional.empty(), List.of());

    /** Muted, chat, drawing and sharing closed, the door shut (need G4). Writing to the adults stays as it was. */
    private static final Imposed STOP = Imposed.of(
            "everything was stopped",
            new RuleValue(Catalogue.SPEAK, Permission.CLOSED),
            new RuleValue(Catalogue.CLASS_CHAT, Permission.CLOSED),
            new RuleValue(Catalogue.PRIVATE_CHAT, Permission.CLOSED),
            new RuleValue(Catalogue.SHARE_SCREEN, Permission.CLOSED),
            new RuleValue(Catalogue.DRAW, Permission.CLOSED),
            new RuleValue(Catalogue.HELP_DOOR, Permission.CLOSED),
            new RuleValue(Catalogue.HELP_HANDS, Permission.CLOSED),
            new RuleValue(Catalogue.DOOR, Door.SHUT));

    /** No adult for longer than the rule allows: chat, drawing and sharing closed, arrivals wait (need E5). */
    private static final Imposed QUIET = Imposed.of(
            "no adult was in the room",
            new RuleValue(Catalogue.CLASS_CHAT, Permission.CLOSED),
            new RuleValue(Catalogue.PRIVATE_CHAT, Permission.CLOSED),
            new RuleValue(Catalogue.SHARE_SCREEN, Permission.CLOSED),
            new RuleValue(Catalogue.DRAW, Permission.CLOSED),
            new RuleValue(Catalogue.ADULTS_FIRST, YesNo.YES),
            new RuleValue(Catalogue.HELP_DOOR, Permission.CLOSED),
            new RuleValue(Catalogue.HELP_HANDS, Permission.CLOSED),
            new RuleValue(Catalogue.DOOR, Door.KNOCK));

    private static SupervisionState of(Optional<SupervisionEvent.Stopped> stopped, Optional<Instant> quietSince) {
        var all = new ArrayList<Setting>();
        stopped.ifPresent(one -> all.addAll(STOP.settings(one.by(), one.at())));
        quietSince.ifPresent(since -> all.addAll(QUIET.settings(PersonId.RULES, since)));
        return new SupervisionState(stopped, quietSince, List.copyOf(all));
    }

    /** One step of the fold. @param was the state before it */
    record Fold(SupervisionState was) implements SupervisionEvent.Cases<SupervisionState> {
        @Override
        public SupervisionState stopped(SupervisionEvent.Stopped event) {
            return of(Optional.of(event), was.quietSince);
        }

        @Override
        public SupervisionState stopExplained(SupervisionEvent.StopExplained event) {
            return new SupervisionState(
                    was.stopped.map(one -> new SupervisionEvent.Stopped(event.why(), one.by(), one.at())),
                    was.quietSince,
                    was.imposed);
        }

        @Override
        public SupervisionState resumed(SupervisionEvent.Resumed event) {
            return of(Optional.empty(), was.quietSince);
        }

        @Override
        public SupervisionState wentQuiet(SupervisionEvent.WentQuiet event) {
            return of(was.stopped, Optional.of(event.at()));
        }

        @Override
        public SupervisionState supervised(SupervisionEvent.Supervised event) {
            return of(was.stopped, Optional.empty());
        }
    }
}
