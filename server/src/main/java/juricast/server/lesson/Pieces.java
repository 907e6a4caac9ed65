package juricast.server.lesson;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.Part;
import juricast.core.rules.Rulebook;
import org.jspecify.annotations.Nullable;

/**
 * What was made of a lesson for those who look on, piece by piece. A piece stays one and the same object as long as the states of the
 * parts it is made of do, so thirty answers to a question make no right and no row anew, and a line that compares what it told with
 * what is now finds at once what is new.
 */
final class Pieces {
    private final Map<Key, Made> made = new ConcurrentHashMap<>();

    private record Key(String name, Object whose) {}

    /** @param book the rules it was made by; nothing where it asks none */
    private record Made(
            Object piece, LessonState of, LessonPlan plan, @Nullable Rulebook book, Instant from, Instant until) {
        private boolean counts(List<Part<?, ?, ?>> reads, Snapshot at, @Nullable Rulebook rules, Instant now) {
            if (plan != at.plan() || book != rules || now.isBefore(from) || !now.isBefore(until)) {
                return false;
            }
            for (Part<?, ?, ?> part : reads) {
                if (!of.isSame(at.state(), part)) {
                    return false;
                }
            }
            return true;
        }
    }

    /**
     * The piece as it was last made, if it still counts.
     *
     * @param reads the parts it is made of
     * @param book the rules it is made by
     * @param until from when on the clock alone makes it another
     */
    @SuppressWarnings("unchecked") // what stands under a name was made under that name
    <T> T of(
            String name,
            Object whose,
            List<Part<?, ?, ?>> reads,
            @Nullable Rulebook book,
            Snapshot at,
            Instant now,
            Supplier<T> make,
            java.util.function.Function<T, Instant> until) {
        var key = new Key(name, whose);
        Made last = made.get(key);
        if (last == null || !last.counts(reads, at, book, now)) {
            T piece = make.get();
            last = new Made(piece, at.state(), at.plan(), book, now, until.apply(piece));
            made.put(key, last);
        }
        return (T) last.piece;
    }
}
