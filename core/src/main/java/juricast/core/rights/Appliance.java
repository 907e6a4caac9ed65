package juricast.core.rights;

import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;

/** What a person can switch on to be heard or seen, and the right it needs. Others can only switch it off (need F1). */
public enum Appliance {
    MICROPHONE(Catalogue.SPEAK),
    CAMERA(Catalogue.CAMERA),
    /** One window of the own screen. */
    SCREEN(Catalogue.SHARE_SCREEN),
    /** The whole own screen; the right to share is needed besides. */
    WHOLE_SCREEN(Catalogue.WHOLE_SCREEN),
    /** A picture of their own behind them, while the camera is on. */
    BACKGROUND(Catalogue.BACKGROUND),
    /** The lesson is passed on, live, to people who are not in the room. */
    PASSING_ON(Catalogue.OUTSIDE_AUDIENCE);

    private final Rule<Permission> right;

    Appliance(Rule<Permission> right) {
        this.right = right;
    }

    /** Whether everybody sees something by it; one person at a time shows. */
    public boolean isShowing() {
        return this == SCREEN || this == WHOLE_SCREEN;
    }

    public Rule<Permission> right() {
        return right;
    }
}
