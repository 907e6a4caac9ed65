package juricast.core.rules;

import java.time.Instant;
import java.util.Iterator;

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
        Iterator<Instant> edges = setting.when().edges(situation.lesson().get()).iterator();
        while (edges.hasNext()) {
            Instant edge = edges.next();
            next = edge.isAfter(now) && edge.isBefore(next) ? edge : next;
        }
        return next;
    }
}
