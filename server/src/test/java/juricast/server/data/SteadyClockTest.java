package juricast.server.data;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class SteadyClockTest {
    private static final Instant TEN = Instant.parse("2026-09-14T10:00:00Z");

    private Instant wall = TEN;
    private long nanos = 7;
    private final SteadyClock clock = new SteadyClock(
            new Clock() {
                @Override
                public Instant instant() {
                    return wall;
                }

                @Override
                public java.time.ZoneId getZone() {
                    return ZoneOffset.UTC;
                }

                @Override
                public Clock withZone(java.time.ZoneId zone) {
                    return this;
                }
            },
            () -> nanos);

    @Test
    void set_back_it_goes_on_at_half_its_pace_until_the_day_has_caught_up() {
        passes(60);
        clock.instant();
        wall = wall.minusSeconds(30);
        assertThat(clock.instant()).isEqualTo(TEN.plusSeconds(60));

        passes(20);
        assertThat(clock.instant()).isEqualTo(TEN.plusSeconds(70));
        passes(60);
        assertThat(clock.instant()).as("caught up").isEqualTo(wall).isEqualTo(TEN.plusSeconds(110));
    }

    @Test
    void set_forward_it_follows_at_once() {
        wall = wall.plus(Duration.ofHours(1));
        assertThat(clock.instant()).isEqualTo(TEN.plus(Duration.ofHours(1)));
    }

    @RepeatedTest(50)
    void whatever_the_machine_does_it_never_goes_back_and_never_stands(RepetitionInfo repetition) {
        var random = new Random(repetition.getCurrentRepetition());
        Instant before = clock.instant();
        for (int step = 0; step < 40; step++) {
            wall = wall.plusSeconds(random.nextInt(-100, 100));
            passes(4);
            Instant now = clock.instant();
            assertThat(now).isAfterOrEqualTo(before.plusSeconds(2));
            before = now;
        }
    }

    private void passes(int seconds) {
        nanos += seconds * 1_000_000_000L;
        wall = wall.plusSeconds(seconds);
    }
}
