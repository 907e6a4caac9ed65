package juricast.server.lesson;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.Part;
import org.jspecify.annotations.Nullable;

/**
 * What was made of a lesson for those who look on, piece by piece. A piece stays one and the same object as long as the states of the
 * parts it is made of do, so thirty answers to a question make no right and no row anew, and a line that compares what it told with
 * what is now finds at once what is new.
 */
final class Pieces {
    private final Map<Key, Made> made = new ConcurrentHashMap<>();

    private record Key(String name, Object whose) {}

    /** @param books the rules it was made by; nothing where it asks none */
    private record Made(
            Object piece, LessonState of, LessonPlan plan, @Nullable Object books, Instant from, Instant until) {
        private boolean counts(List<Part<?, ?, ?>> reads, Snapshot at, @Nullable Object rules, Instant now) {
            if (plan != at.plan() || books != rules || now.isBefore(from) || !now.isBefore(until)) {
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
     * @param books the rules it is made by
     * @param until from when on the clock alone makes it another
     */
    @SuppressWarnings("unchecked") // what stands under a name was made under that name
    <T> T of(
            String name,
            Object whose,
            List<Part<?, ?, ?>> reads,
            @Nullable Object books,
            Snapshot at,
            Instant now,
            Supplier<T> make,
            java.util.function.Function<T, Instant> until) {
        var key = new Key(name, whose);
        Made last = made.get(key);
        if (last == null || !last.counts(reads, at, books, now)) {
            T piece = make.get();
            last = new Made(piece, at.state(), at.plan(), books, now, until.apply(piece));
            made.put(key, last);
        }
        return (T) last.piece;
    }
}
