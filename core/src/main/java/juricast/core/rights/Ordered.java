package juricast.core.rights;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
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
 * @param before the orders that count again when the time of one is over, by its rule
 * @param light what the lesson being light imposes; nothing if it is not
 * @param all all of it, as settings; the same list as long as nothing of it changes
 */
record Ordered(
        Optional<Stance> stance,
        Optional<Instant> stanceSince,
        List<Setting> stanceSettings,
        List<Setting> live,
        Map<Rule<?>, List<Setting>> before,
        List<Setting> light,
        List<Setting> all) {
    static final Ordered NOTHING =
            new Ordered(Optional.empty(), Optional.empty(), List.of(), List.of(), Map.of(), List.of(), List.of());

    /** Weak links: no cameras, only what is shared (need F11). */
    private static final Imposed LIGHT =
            Imposed.of("a light lesson for weak links", new RuleValue(Catalogue.CAMERA, Permission.CLOSED));

    private static Ordered of(
            Optional<Stance> stance,
            Optional<Instant> since,
            List<Setting> stanceSettings,
            List<Setting> live,
            Map<Rule<?>, List<Setting>> before,
            List<Setting> light) {
        var all = new ArrayList<>(stanceSettings);
        all.addAll(live);
        all.addAll(light);
        return new Ordered(stance, since, stanceSettings, live, before, light, List.copyOf(all));
    }

    Ordered switched(RightsEvent.StanceSwitched event) {
        Predicate<Rule<?>> stays = rule -> event.keptLive() || !event.to().speaksOf(rule);
        List<Setting> kept =
                live.stream().filter(one -> stays.test(one.set().rule())).toList();
        var comesBack = new HashMap<>(before);
        comesBack.keySet().removeIf(stays.negate());
        return of(
                Optional.of(event.to()),
                Optional.of(event.at()),
                event.to().settings(event.by(), event.at()),
                kept,
                Map.copyOf(comesBack),
                light);
    }

    Ordered set(RightsEvent.LiveSet event) {
        Rule<?> rule = event.set().rule();
        Instant until = event.until().orElse(Setting.FOR_EVER);
        // The last word on a rule counts; those before it are in the record.
        List<Setting> next = without(rule);
        for (Role role : rolesOf(rule)) {
            next = Copies.plus(
                    next,
                    Setting.of(event.set(), role, Layer.LIVE_ORDER, Force.USUAL, event.by(), event.at())
                            .ending(until));
        }
        return of(stance, stanceSince, stanceSettings, next, afterwards(event), light);
    }

    /** What counts again when the time of this order is over: what was for good before it, however often it was set for a time. */
    private Map<Rule<?>, List<Setting>> afterwards(RightsEvent.LiveSet event) {
        Rule<?> rule = event.set().rule();
        if (event.until().isEmpty()) {
            return Copies.without(before, rule);
        }
        return before.containsKey(rule)
                ? before
                : Copies.with(
                        before,
                        rule,
                        live.stream()
                                .filter(one -> one.set().rule().equals(rule))
                                .toList());
    }

    private List<Setting> without(Rule<?> rule) {
        return live.stream().filter(one -> !one.set().rule().equals(rule)).toList();
    }

    /** The order for a time on this rule is over. */
    Ordered ended(Rule<?> rule) {
        var next = new ArrayList<>(without(rule));
        next.addAll(before.getOrDefault(rule, List.of()));
        return of(stance, stanceSince, stanceSettings, List.copyOf(next), Copies.without(before, rule), light);
    }

    Ordered lightened(RightsEvent.Lightened event) {
        return of(
                stance,
                stanceSince,
                stanceSettings,
                live,
                before,
                event.on() ? LIGHT.settings(event.by(), event.at()) : List.of());
    }

    Ordered over() {
        return light.isEmpty() ? this : of(stance, stanceSince, stanceSettings, live, before, List.of());
    }

    /** A live order speaks to pupils and class monitors; the door stands before visitors too. */
    private static List<Role> rolesOf(Rule<?> rule) {
        return rule.equals(Catalogue.DOOR)
                ? List.of(Role.CLASS_MONITOR, Role.PUPIL, Role.VISITOR)
                : List.of(Role.CLASS_MONITOR, Role.PUPIL);
    }
}
