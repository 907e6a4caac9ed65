package juricast.core.live;

import java.util.Set;
import juricast.core.identity.PersonId;

/** Who is not there any more after an event: every part lets go of what it holds of them, each in one place. */
public record Gone(Set<PersonId> who, How how) {
    public Gone {
        who = Set.copyOf(who);
    }

    /** From mildest to most final. */
    public enum How {
        /** No device of theirs is heard; they may be back in a moment, and what was lent to them stays lent. */
        AWAY,
        /** Removed, or of this lesson no more. */
        OUT,
        /** The lesson is over for them, though it goes on for others. */
        DISMISSED,
        /** The lesson is over for everybody; {@link Gone#who} names nobody. */
        ALL_OVER
    }

    /** The lesson is over for everybody. */
    public static final Gone EVERYBODY = new Gone(Set.of(), How.ALL_OVER);

    public boolean isEverybody() {
        return how == How.ALL_OVER;
    }

    /** Whether they come back, if at all, by the door. */
    public boolean isForGood() {
        return how != How.AWAY;
    }
}
