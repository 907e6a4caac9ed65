package juricast.core.charter;

import java.util.List;
import juricast.core.identity.Role;
import juricast.core.rules.Rule;
import juricast.core.rules.Setting;

/** A rule for a role: the smallest thing that is resolved by itself. */
record Cell(Rule<?> rule, Role role) {
    static Cell of(Setting setting) {
        return new Cell(setting.set().rule(), setting.role());
    }

    boolean has(Setting setting) {
        return setting.set().rule() == rule && setting.role() == role;
    }

    List<Setting> of(List<Setting> all) {
        return all.isEmpty() ? all : all.stream().filter(this::has).toList();
    }
}
