package juricast.core.slates;

import java.time.Instant;
import java.util.Optional;
import juricast.core.drawing.Sheet;

/** One person's slate. @param handedIn when it was handed in or collected, if it is */
public record Slate(Sheet sheet, Optional<Instant> handedIn) {
    static final Slate EMPTY = new Slate(Sheet.EMPTY, Optional.empty());

    public boolean isFrozen() {
        return handedIn.isPresent();
    }

    Slate with(Sheet next) {
        return new Slate(next, handedIn);
    }

    Slate in(Instant at) {
        return handedIn.isPresent() ? this : new Slate(sheet, Optional.of(at));
    }

    Slate back() {
        return new Slate(sheet, Optional.empty());
    }
}
