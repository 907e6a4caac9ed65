package juricast.core.live;

import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.rules.Ruling;

/** Why an order was not carried out. Nothing has changed by it. */
public record Refusal(Code code, List<PersonId> about, Optional<Ruling<?>> ruling) {
    public Refusal {
        about = List.copyOf(about);
    }

    /** What stood in the way. Each part has codes of its own, as constants of an enum, beside those that all share. */
    public interface Code {
        String name();
    }

    /** What may stand in the way of any order. */
    public enum Common implements Code {
        NOT_AN_ADULT_HERE,
        ADULT_NOT_IN,
        /** Only who leads the lesson lends rights to helpers. */
        NOT_LEADING,
        NOT_OPEN,
        LESSON_OVER,
        NOT_PRESENT,
        RULE_CLOSED,
        RULE_ON_REQUEST,
        RULE_BOUND,
        EMPTY_TEXT,
        TEXT_TOO_LONG,
        TOO_MUCH
    }

    public static Decision of(Code code, PersonId... about) {
        return new Decision.Refused(new Refusal(code, List.of(about), Optional.empty()));
    }

    public static Decision by(Code code, Ruling<?> ruling) {
        return new Decision.Refused(new Refusal(code, List.of(), Optional.of(ruling)));
    }

    /** Why a text is none that can be kept, if so. @param most how many characters it may have */
    public static Optional<Decision> ofText(String text, int most) {
        return text.isBlank()
                ? Optional.of(of(Common.EMPTY_TEXT))
                : text.length() > most ? Optional.of(of(Common.TEXT_TOO_LONG)) : Optional.empty();
    }
}
