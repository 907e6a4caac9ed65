package juricast.core.rights;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.Role;
import juricast.core.live.Copies;
import juricast.core.live.Imposed;
import juricast.core.live.Stance;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Layer;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting;
import juricast.core.rules.Setting.Force;

/**
 * What holds for everybody because an adult ordered it.
 *
 * @param stance the stance the lesson is in, if one was switched on
 * @param live live orders that are in force, the latest word on each rule
 * @param light what the lesson being light imposes; nothing if it is not
 * @param all all of it, as settings; the same list as long as nothing of it changes
 */
record Ordered(
        Optional<Stance> stance,
        Optional<Instant> stanceSince,
        List<Setting> stanceSettings,
        List<Setting> live,
        List<Setting> light,
        List<Setting> all) {
    static final Ordered NOTHING =
            new Ordered(Optional.empty(), Optional.empty(), List.of(), List.of(), List.of(), List.of());

    /** Weak links: no cameras, only what is shared (need F11). */
    private static final Imposed LIGHT =
            Imposed.of("a light lesson for weak links", new RuleValue(Catalogue.CAMERA, Permission.CLOSED));

    private static Ordered of(
            Optional<Stance> stance,
            Optional<Instant> since,
            List<Setting> stanceSettings,
            List<Setting> live,
            List<Setting> light) {
        var all = new ArrayList<>(stanceSettings);
        all.addAll(live);
        all.addAll(light);
        return new Ordered(stance, since, stanceSettings, live, light, List.copyOf(all));
    }

    Ordered switched(RightsEvent.StanceSwitched event) {
        List<Setting> kept = event.keptLive()
                ? live
                : live.stream()
                        .filter(one -> !event.to().speaksOf(one.set().rule()))
                        .toList();
        return of(
                Optional.of(event.to()),
                Optional.of(event.at()),
                event.to().settings(event.by(), event.at()),
                kept,
                light);
    }

    Ordered set(RightsEvent.LiveSet event) {
        List<Setting> next = live;
        for (Role role : rolesOf(event.set().rule())) {
            // The last word on a rule counts; those before it are in the record.
            next = next.stream()
                    .filter(one -> one.role() != role
                            || !one.set().rule().equals(event.set().rule()))
                    .toList();
            next = Copies.plus(
                    next, Setting.of(event.set(), role, Layer.LIVE_ORDER, Force.USUAL, event.by(), event.at()));
        }
        return of(stance, stanceSince, stanceSettings, next, light);
    }

    Ordered lightened(RightsEvent.Lightened event) {
        return of(
                stance,
                stanceSince,
                stanceSettings,
                live,
                event.on() ? LIGHT.settings(event.by(), event.at()) : List.of());
    }

    Ordered over() {
        return light.isEmpty() ? this : of(stance, stanceSince, stanceSettings, live, List.of());
    }

    /** A live order speaks to pupils and class monitors; the door stands before visitors too. */
    private static List<Role> rolesOf(Rule<?> rule) {
        return rule.equals(Catalogue.DOOR)
                ? List.of(Role.CLASS_MONITOR, Role.PUPIL, Role.VISITOR)
                : List.of(Role.CLASS_MONITOR, Role.PUPIL);
    }
}
