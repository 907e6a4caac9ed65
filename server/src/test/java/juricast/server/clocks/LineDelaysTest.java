package juricast.server.clocks;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.concurrent.atomic.AtomicLong;
import juricast.core.identity.VisitId;
import org.junit.jupiter.api.Test;

class LineDelaysTest {
    private static final VisitId INES = new VisitId("ines");

    private final AtomicLong nanos = new AtomicLong();
    private final LineDelays delays = new LineDelays(nanos::get);

    private String echo(String back, int afterMs) {
        nanos.addAndGet(Duration.ofMillis(afterMs).toNanos());
        return delays.echo(INES, back);
    }

    @Test
    void half_of_the_shortest_of_the_latest_round_trips_counts() {
        assertThat(delays.of(INES)).isEmpty();
        String word = echo(null, 0);
        word = echo(word, 90);
        word = echo(word, 60);
        word = echo(word, 300);
        assertThat(delays.of(INES)).contains(Duration.ofMillis(30));
        for (int i = 0; i < 12; i++) {
            word = echo(word, 200);
        }
        assertThat(delays.of(INES)).as("an old way is forgotten").contains(Duration.ofMillis(100));
    }

    @Test
    void a_word_that_was_not_sent_or_came_twice_measures_nothing() {
        String word = echo(null, 0);
        echo("guessed", 1);
        assertThat(delays.of(INES)).isEmpty();
        echo(word, 1);
        assertThat(delays.of(INES)).isEmpty();
    }
}
