package juricast.core.live;

import java.time.Instant;
import java.util.List;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rules.Layer;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting;
import juricast.core.rules.Setting.Force;

/**
 * What the state of a room imposes on all who are not its adults. It binds, so that neither a pass nor a live order goes
 * beyond it, and it leaves what was ordered before untouched underneath: when it ends, that is back.
 *
 * @param note why, in the words of the chain
 */
public record Imposed(String note, List<RuleValue> values) {
    public Imposed {
        values = List.copyOf(values);
    }

    public static Imposed of(String note, RuleValue... values) {
        return new Imposed(note, List.of(values));
    }

    public List<Setting> settings(PersonId by, Instant from) {
        return values.stream()
                .flatMap(value -> value.rule().roles().stream()
                        .filter(role -> !role.isAdultInCharge() && role != Role.OBSERVER)
                        .map(role -> Setting.of(value, role, Layer.LIVE_ORDER, Force.BINDING, by, from)
                                .noted(note)))
                .toList();
    }
}
