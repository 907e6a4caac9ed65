package juricast.core.lesson;

import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;

/** What a person can switch on to be heard or seen, and the right it needs. Others can only switch it off (need F1). */
public enum Appliance {
    MICROPHONE(Catalogue.SPEAK),
    CAMERA(Catalogue.CAMERA),
    SCREEN(Catalogue.SHARE_SCREEN);

    private final Rule<Permission> right;

    Appliance(Rule<Permission> right) {
        this.right = right;
    }

    public Rule<Permission> right() {
        return right;
    }
}
