package juricast.core.lesson;

import java.time.Instant;
import java.util.List;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Door;
import juricast.core.rules.Layer;
import juricast.core.rules.Permission;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting;
import juricast.core.rules.Setting.Force;
import juricast.core.rules.YesNo;

/**
 * What the state of a room imposes on all who are not its adults. It binds, so that neither a pass nor a live order goes
 * beyond it, and it leaves what was ordered before untouched underneath: when it ends, that is back.
 */
enum Imposed {
    /** Muted, chat, drawing and sharing closed, the door shut (need G4). Writing to the adults stays as it was. */
    STOP(
            "everything was stopped",
            new RuleValue(Catalogue.SPEAK, Permission.CLOSED),
            new RuleValue(Catalogue.CLASS_CHAT, Permission.CLOSED),
            new RuleValue(Catalogue.PRIVATE_CHAT, Permission.CLOSED),
            new RuleValue(Catalogue.SHARE_SCREEN, Permission.CLOSED),
            new RuleValue(Catalogue.DRAW, Permission.CLOSED),
            new RuleValue(Catalogue.HELP_DOOR, Permission.CLOSED),
            new RuleValue(Catalogue.HELP_HANDS, Permission.CLOSED),
            new RuleValue(Catalogue.DOOR, Door.SHUT)),
    /** No adult for longer than the rule allows: chat, drawing and sharing closed, arrivals wait (need E5). */
    QUIET(
            "no adult was in the room",
            new RuleValue(Catalogue.CLASS_CHAT, Permission.CLOSED),
            new RuleValue(Catalogue.PRIVATE_CHAT, Permission.CLOSED),
            new RuleValue(Catalogue.SHARE_SCREEN, Permission.CLOSED),
            new RuleValue(Catalogue.DRAW, Permission.CLOSED),
            new RuleValue(Catalogue.ADULTS_FIRST, YesNo.YES),
            new RuleValue(Catalogue.HELP_DOOR, Permission.CLOSED),
            new RuleValue(Catalogue.HELP_HANDS, Permission.CLOSED),
            new RuleValue(Catalogue.DOOR, Door.KNOCK)),
    /** Everybody but one pupil has gone: nobody comes in any more (need K3). */
    LAST_WORD("a last word with one pupil", new RuleValue(Catalogue.DOOR, Door.SHUT)),
    /** Weak links: no cameras, only what is shared (need F11). */
    LIGHT("a light lesson for weak links", new RuleValue(Catalogue.CAMERA, Permission.CLOSED));

    private final String note;
    private final List<RuleValue> values;

    Imposed(String note, RuleValue... values) {
        this.note = note;
        this.values = List.of(values);
    }

    List<Setting> settings(PersonId by, Instant from) {
        return values.stream()
                .flatMap(value -> value.rule().roles().stream()
                        .filter(role -> !role.isAdultInCharge() && role != Role.OBSERVER)
                        .map(role -> Setting.of(value, role, Layer.LIVE_ORDER, Force.BINDING, by, from)
                                .noted(note)))
                .toList();
    }
}
