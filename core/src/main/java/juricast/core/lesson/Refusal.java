package juricast.core.lesson;

import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.rules.Ruling;

/** Why an order was not carried out. Nothing has changed by it. */
public record Refusal(Code code, List<PersonId> about, Optional<Ruling<?>> ruling) {
    /** What stood in the way. */
    public enum Code {
        NOT_AN_ADULT_HERE,
        ADULT_NOT_IN,
        TOO_EARLY_TO_OPEN,
        ALREADY_OPEN,
        NOT_OPEN,
        LESSON_OVER,
        NO_SUCH_VISIT,
        NOT_WAITING,
        NOT_PRESENT,
        WHO_IS_IT,
        NOT_ON_LIST,
        RULE_CLOSED,
        RULE_ON_REQUEST,
        RULE_BOUND,
        ALREADY_ALLOWED,
        TOO_EARLY_TO_ADMIT,
        NOT_REMOVED,
        LAST_ADULT,
        EMPTY_TEXT,
        TEXT_TOO_LONG,
        WRONG_LENGTH,
        TOO_MANY_ARRIVALS,
        ROOM_IS_FULL,
        TOO_FAST,
        SOMEBODY_SHOWS,
        NOT_STOPPED,
        AN_ADULT_IS_IN,
        NO_SUCH_WORDS,
        NOT_A_LINE,
        TOO_MUCH,
        TOO_MANY_FILES,
        /** Only who leads the lesson lends rights to helpers. */
        NOT_LEADING,
        /** The rule does not speak of people of their role. */
        NOT_FOR_THEM,
        /** A last word with one pupil needs a second adult or a recording, by the rule. */
        ALONE_WITH_ONE,
        /** Everybody but one pupil has gone already. */
        LAST_WORD,
        /** An adult whom a safeguarding lead put out of this lesson. */
        REMOVED_HERE,
        /** Between a pupil and somebody from outside nothing is written that no adult reads along. */
        NO_ADULT_READS,
        /** Nothing was muted for all in the last seconds. */
        NOTHING_TO_UNDO
    }

    static Decision of(Code code, PersonId... about) {
        return new Decision.Refused(new Refusal(code, List.of(about), Optional.empty()));
    }

    static Decision by(Code code, Ruling<?> ruling) {
        return new Decision.Refused(new Refusal(code, List.of(), Optional.of(ruling)));
    }
}
