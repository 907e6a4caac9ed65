package juricast.core.rules;

import java.time.Instant;
import java.util.List;

/** The instants at which the clock alone can change an answer: settings begin and end, first minutes are over. */
final class Edges {
    private Edges() {}

    /** The first edge of {@code setting} after {@code now}, or {@code soonest} if that comes before. */
    static Instant next(Setting setting, Situation situation, Instant now, Instant soonest) {
        if (setting.isInForce(now)) {
            return whileInForce(setting, situation, now, soonest);
        }
        return now.isBefore(setting.from()) ? earlier(setting.from(), soonest) : soonest;
    }

    /** The same of a setting that is known to be in force: it ends, or the clock turns its condition. */
    static Instant whileInForce(Setting setting, Situation situation, Instant now, Instant soonest) {
        Instant next = earlier(setting.until(), soonest);
        List<Circumstance> all = setting.when().all();
        if (situation.lesson().isPresent()) {
            for (int n = 0; n < all.size(); n++) {
                next = all.get(n).nextEdge(situation.lesson().get(), now, next);
            }
        }
        return next;
    }

    private static Instant earlier(Instant one, Instant other) {
        return one.isBefore(other) ? one : other;
    }
}
