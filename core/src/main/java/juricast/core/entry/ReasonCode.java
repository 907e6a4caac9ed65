package juricast.core.entry;

import static juricast.core.entry.Outcome.*;

import java.util.Optional;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;

/** What a check can find, with the outcome it asks for. The sentences for adults and pupils stand elsewhere. */
public enum ReasonCode {
    LESSON_OVER(TURN_AWAY),
    LINK_RETIRED(TURN_AWAY),
    REMOVED_FOR_GOOD(TURN_AWAY, Catalogue.RE_ENTRY),
    REMOVED_EARLIER(WAIT, Catalogue.RE_ENTRY),
    OUT_OF_SERIES(TURN_AWAY),
    SENT_TO_DOOR(WAIT, Catalogue.BACK_FROM_DOOR),
    NO_VISITORS(TURN_AWAY, Catalogue.VISITORS),
    TURNED_AWAY_EARLIER(WAIT),
    SWEEP(WAIT),
    NAME_UNCLEAR(WAIT),
    NAME_SIMILAR(WAIT),
    NOT_ON_LIST(WAIT),
    NO_TELEPHONE(TURN_AWAY, Catalogue.TELEPHONE),
    BY_TELEPHONE(WAIT, Catalogue.TELEPHONE),
    NO_OUTSIDE_ACCOUNT(TURN_AWAY, Catalogue.OUTSIDE_ACCOUNTS),
    OUTSIDE_ACCOUNT(WAIT, Catalogue.OUTSIDE_ACCOUNTS),
    NO_SECOND_DEVICE(TURN_AWAY, Catalogue.SECOND_DEVICE),
    ALREADY_HERE(WAIT, Catalogue.SECOND_DEVICE),
    VISITOR(WAIT, Catalogue.VISITORS),
    ROOM_IS_FULL(WAIT, Catalogue.CAPACITY),
    HELP_IS_FULL(WAIT, Catalogue.HELP_AT_ONCE),
    WOULD_BE_ALONE(WAIT, Catalogue.NEVER_ALONE_WITH_ONE),
    TOO_EARLY(WAIT, Catalogue.EARLY_MINUTES),
    NO_ADULT_YET(WAIT, Catalogue.ADULTS_FIRST),
    DOOR_SHUT(WAIT, Catalogue.DOOR),
    DOOR_KNOCK(WAIT, Catalogue.DOOR),
    ON_CLASS_LIST(ADMIT);

    private final Outcome outcome;
    private final Optional<Rule<?>> rule;

    ReasonCode(Outcome outcome) {
        this.outcome = outcome;
        this.rule = Optional.empty();
    }

    ReasonCode(Outcome outcome, Rule<?> rule) {
        this.outcome = outcome;
        this.rule = Optional.of(rule);
    }

    public Outcome outcome() {
        return outcome;
    }

    /** The rule behind it, where it is not a matter of fact. */
    public Optional<Rule<?>> rule() {
        return rule;
    }

    /**
     * Whether letting in "all on the class list" covers it: about the moment and the door, not about the person. A shut door is
     * opened first, or somebody is let in alone: it may be shut for just some, such as those without an account.
     */
    boolean isAboutTheDoor() {
        return this == DOOR_KNOCK || this == ON_CLASS_LIST;
    }
}
