package juricast.core.rules;

import java.time.Instant;
import java.util.List;

/** The instants at which the clock alone can change an answer: settings begin and end, first minutes are over. */
final class Edges {
    private Edges() {}

    /** The first edge of {@code setting} after {@code now}, or {@code soonest} if that comes before. */
    static Instant next(Setting setting, Situation situation, Instant now, Instant soonest) {
        Instant change = now.isBefore(setting.from()) ? setting.from() : setting.until();
        Instant next = change.isAfter(now) && change.isBefore(soonest) ? change : soonest;
        if (situation.lesson().isEmpty() || !setting.when().isTimed()) {
            return next;
        }
        List<Circumstance> all = setting.when().all();
        for (int n = 0; n < all.size(); n++) {
            next = all.get(n).nextEdge(situation.lesson().get(), now, next);
        }
        return next;
    }
}
