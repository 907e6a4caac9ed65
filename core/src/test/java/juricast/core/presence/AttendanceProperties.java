package juricast.core.presence;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import juricast.core.identity.PersonId;
import juricast.core.time.Span;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

class AttendanceProperties {
    private static final Duration GRACE = Duration.ofSeconds(90);
    private static final Instant TEN = Instant.parse("2026-09-14T10:00:00Z");
    private static final Span WINDOW = new Span(TEN, TEN.plus(Duration.ofMinutes(50)));

    @Property
    void time_in_the_room_never_exceeds_the_lesson(@ForAll("spans") List<Span> stays) {
        assertThat(attendance(stays).timeWithin(WINDOW, GRACE)).isBetween(Duration.ZERO, WINDOW.length());
    }

    @Property
    void the_order_of_stays_and_splitting_one_does_not_matter(
            @ForAll("spans") List<Span> stays, @ForAll Random random) {
        var shuffled = new ArrayList<>(stays);
        Collections.shuffle(shuffled, random);
        var split = new ArrayList<Span>();
        for (Span stay : stays) {
            Instant middle = stay.from().plus(stay.length().dividedBy(2));
            Span.between(stay.from(), middle).ifPresent(split::add);
            Span.between(middle, stay.until()).ifPresent(split::add);
        }

        assertThat(attendance(shuffled)).isEqualTo(attendance(stays));
        assertThat(attendance(split)).isEqualTo(attendance(stays));
    }

    @Property
    void another_device_never_lowers_presence(@ForAll("spans") List<Span> one, @ForAll("spans") List<Span> other) {
        var both = new ArrayList<>(one);
        both.addAll(other);

        assertThat(attendance(both).timeWithin(WINDOW, GRACE))
                .isGreaterThanOrEqualTo(attendance(one).timeWithin(WINDOW, GRACE));
    }

    private static Attendance attendance(List<Span> stays) {
        return new Attendance(new PersonId("ines"), stays, List.of(), Optional.empty());
    }

    @Provide
    Arbitrary<List<Span>> spans() {
        var from = Arbitraries.integers().between(-600, 3600);
        var length = Arbitraries.integers().between(1, 1200);
        return Combinators.combine(from, length)
                .as((begin, seconds) -> new Span(TEN.plusSeconds(begin), TEN.plusSeconds(begin + (long) seconds)))
                .list()
                .ofMaxSize(8);
    }
}
