package juricast.core.chat;

import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.PlaceId;

/** To whom something is written (needs F3, F4, H3). @param place the group, or the class together while others are in groups */
public record Readers(Kind kind, Optional<PersonId> one, Optional<PlaceId> place) {
    /** The ways to write. */
    public enum Kind {
        /** Everybody of the lesson, in whichever place. */
        CLASS,
        ADULTS,
        ONE,
        /** Those in one place, and the adults. */
        PLACE
    }

    public static final Readers CLASS = new Readers(Kind.CLASS, Optional.empty(), Optional.empty());
    public static final Readers ADULTS = new Readers(Kind.ADULTS, Optional.empty(), Optional.empty());

    /** @throws IllegalArgumentException unless one person, or a place, is named exactly where one is written to */
    public Readers {
        if ((kind == Kind.ONE) != one.isPresent() || (kind == Kind.PLACE) != place.isPresent()) {
            throw new IllegalArgumentException(
                    "One person, or a place, is named where, and only where, one is written to");
        }
    }

    public static Readers only(PersonId person) {
        return new Readers(Kind.ONE, Optional.of(person), Optional.empty());
    }

    public static Readers in(PlaceId place) {
        return new Readers(Kind.PLACE, Optional.empty(), Optional.of(place));
    }
}
