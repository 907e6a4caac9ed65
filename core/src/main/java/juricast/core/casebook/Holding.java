package juricast.core.casebook;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.core.rules.Rulebook;

/** How long what an incident rests on is held from being erased (need N4). */
public final class Holding {
    private Holding() {}

    /** Until when; nothing as long as the incident is open. @param book the school's rules */
    public static Optional<Instant> until(Optional<Instant> closed, Rulebook book) {
        return closed.map(at -> at.plus(Duration.ofDays(
                book.value(Catalogue.HELD_AFTER, Rule.ANSWERS, at).number())));
    }
}
