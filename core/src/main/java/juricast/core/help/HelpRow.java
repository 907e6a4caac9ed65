package juricast.core.help;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import juricast.core.identity.PersonId;

/** The row before a help hour: who knocked first comes in first, and everybody is told how long it may take. */
public final class HelpRow {
    /** How long a question takes, as long as nobody has asked one. */
    public static final Duration USUAL_STAY = Duration.ofMinutes(5);

    /** Who is in longer than others were is expected to go soon, not at once. */
    static final Duration SOON = Duration.ofMinutes(1);

    private HelpRow() {}

    /**
     * How long each of a row may have to wait, in the order of the row: places are taken in turn by whoever is first, each for as
     * long as a stay has taken so far on average (list scheduling on equal machines, R. L. Graham, 1966).
     *
     * @param places how many may be in at once, at least 1
     * @param waiting how many stand in the row
     */
    public static List<Duration> waits(HelpState is, int places, int waiting, Instant now) {
        Duration stay = average(is.been(), is.turns());
        var free = new PriorityQueue<Duration>();
        for (Instant since : is.in().values()) {
            Duration left = stay.minus(Duration.between(since, now));
            free.add(left.compareTo(SOON) < 0 ? SOON : left);
        }
        while (free.size() < places) {
            free.add(Duration.ZERO);
        }
        var waits = new ArrayList<Duration>();
        for (int n = 0; n < waiting; n++) {
            Duration next = free.remove();
            waits.add(next);
            free.add(next.plus(stay));
        }
        return waits;
    }

    private static Duration average(Map<PersonId, Duration> been, int turns) {
        Duration all = been.values().stream().reduce(Duration.ZERO, Duration::plus);
        return turns == 0 ? USUAL_STAY : max(all.dividedBy(turns), SOON);
    }

    private static Duration max(Duration one, Duration other) {
        return one.compareTo(other) >= 0 ? one : other;
    }
}
