package juricast.server.clocks;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.function.LongSupplier;
import java.util.stream.Stream;
import juricast.core.identity.VisitId;
import juricast.server.data.Ids;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * How long what a browser sends is on its way, as the server itself measures it: it sends a word that nobody can guess, and the
 * browser sends it back at once. Half of the shortest of the latest round trips is taken (Cristian 1989). What is forgotten is only
 * measured anew.
 */
@Component
class LineDelays {
    /** Of how many of the latest round trips the shortest counts. */
    private static final int LATEST = 12;

    /** @param word that has been sent and not come back @param trips the latest, in nanoseconds */
    private record Line(String word, long sent, List<Long> trips) {}

    private final Cache<VisitId, Line> lines;
    private final LongSupplier nanos;

    @Autowired
    LineDelays() {
        this(System::nanoTime);
    }

    LineDelays(LongSupplier nanos) {
        this.nanos = nanos;
        this.lines = Caffeine.newBuilder()
                .maximumSize(20_000)
                .expireAfterAccess(30, TimeUnit.MINUTES)
                .build();
    }

    /** @param back the word that came back; nothing at the first time @return the next word */
    String echo(VisitId visit, @Nullable String back) {
        Line next = lines.asMap().compute(visit, (id, line) -> {
            List<Long> trips = line == null ? List.of() : line.trips;
            if (line != null && line.word.equals(back)) {
                trips = Stream.concat(
                                trips.stream().skip(Math.max(0, trips.size() - LATEST + 1L)),
                                Stream.of(nanos.getAsLong() - line.sent))
                        .toList();
            }
            return new Line(Ids.next(), nanos.getAsLong(), trips);
        });
        return next.word;
    }

    /** Half of the shortest round trip; nothing where none was measured. */
    Optional<Duration> of(VisitId visit) {
        return Optional.ofNullable(lines.getIfPresent(visit))
                .flatMap(line -> line.trips.stream().min(Long::compare))
                .map(nanoseconds -> Duration.ofNanos(nanoseconds / 2));
    }
}
