package juricast.core.chat;

import java.util.Optional;
import juricast.core.identity.PersonId;

/** To whom something is written (needs F3, F4). */
public record Readers(Kind kind, Optional<PersonId> one) {
    /** The three ways to write. */
    public enum Kind {
        CLASS,
        ADULTS,
        ONE
    }

    public static final Readers CLASS = new Readers(Kind.CLASS, Optional.empty());
    public static final Readers ADULTS = new Readers(Kind.ADULTS, Optional.empty());

    /** @throws IllegalArgumentException unless one person is named exactly where one is written to */
    public Readers {
        if ((kind == Kind.ONE) != one.isPresent()) {
            throw new IllegalArgumentException("One person is named where, and only where, one is written to");
        }
    }

    public static Readers only(PersonId person) {
        return new Readers(Kind.ONE, Optional.of(person));
    }
}
