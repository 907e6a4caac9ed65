package juricast.core.rights;

import java.util.List;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;

/** What a person can switch on to be heard or seen, and the right it needs. Others can only switch it off (need F1). */
public enum Appliance {
    MICROPHONE(Catalogue.SPEAK),
    CAMERA(Catalogue.CAMERA),
    /** One window of the own screen. */
    SCREEN(Catalogue.SHARE_SCREEN),
    /** The whole own screen; the right to share is needed besides, so that whatever closes sharing ends it too. */
    WHOLE_SCREEN(Catalogue.WHOLE_SCREEN, Catalogue.SHARE_SCREEN),
    /** A picture of their own behind them, while the camera is on. */
    BACKGROUND(Catalogue.BACKGROUND),
    /** The lesson is passed on, live, to people who are not in the room. */
    PASSING_ON(Catalogue.OUTSIDE_AUDIENCE);

    private final List<Rule<Permission>> needs;

    Appliance(Rule<Permission> right) {
        needs = List.of(right);
    }

    Appliance(Rule<Permission> right, Rule<Permission> besides) {
        needs = List.of(right, besides);
    }

    /** Whether everybody sees something by it; one person at a time shows. */
    public boolean isShowing() {
        return this == SCREEN || this == WHOLE_SCREEN;
    }

    /** The right that is about it. */
    public Rule<Permission> right() {
        return needs.get(0);
    }

    /** Its own right, and what is needed besides. */
    public List<Rule<Permission>> needs() {
        return needs;
    }
}
