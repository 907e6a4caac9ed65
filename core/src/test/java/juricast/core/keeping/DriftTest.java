package juricast.core.keeping;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.core.time.Span;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class DriftTest {
    private static final Instant AT = Instant.parse("2026-09-14T10:00:00Z");
    private static final PersonId ORLA = new PersonId("orla");
    private static final PersonId TAM = new PersonId("tam");

    private static Departure departure(Rule<?> rule, PersonId by, int minutes) {
        return new Departure(
                Departure.Kind.LIVE_ORDER,
                rule,
                Optional.of("open"),
                Optional.empty(),
                by,
                new Span(AT, AT.plus(Duration.ofMinutes(minutes))));
    }

    private static Kept kept(String ofClass, int alone, Departure... departures) {
        return new Kept(
                new LessonId(ofClass + departures.length + alone),
                new ClassId(ofClass),
                AT,
                Duration.ofMinutes(50),
                Duration.ofMinutes(alone),
                List.of(departures));
    }

    @Test
    void what_is_set_otherwise_in_every_third_lesson_is_a_habit_and_stands_first() {
        Drift drift = Drift.of(List.of(
                kept("a", 0, departure(Catalogue.CLASS_CHAT, ORLA, 10), departure(Catalogue.CLASS_CHAT, ORLA, 5)),
                kept("a", 3, departure(Catalogue.CLASS_CHAT, TAM, 20)),
                kept("b", 0),
                kept("b", 2, departure(Catalogue.SHARE_SCREEN, TAM, 1)),
                kept("b", 0)));

        assertThat(drift.all()).isEqualTo(new Drift.Sum(5, 3, 4, minutes(36), minutes(5), 2));
        assertThat(List.copyOf(drift.rules().keySet()))
                .isEqualTo(List.of(Catalogue.CLASS_CHAT, Catalogue.SHARE_SCREEN));
        assertThat(drift.rules().get(Catalogue.CLASS_CHAT).isHabit()).isTrue();
        assertThat(drift.rules().get(Catalogue.SHARE_SCREEN).isHabit()).isFalse();
        assertThat(drift.adults().get(TAM)).isEqualTo(new Drift.Sum(5, 2, 2, minutes(21), minutes(5), 2));
        assertThat(drift.classes().get(new ClassId("b"))).isEqualTo(new Drift.Sum(3, 1, 1, minutes(1), minutes(2), 1));
        assertThat(Drift.of(List.of()).all().isHabit()).isFalse();
    }

    private static Duration minutes(int minutes) {
        return Duration.ofMinutes(minutes);
    }

    @Property(tries = 200)
    void parts_add_up_to_the_whole_in_any_order(@ForAll long seed, @ForAll @IntRange(min = 0, max = 30) int lessons) {
        var random = new Random(seed);
        List<Rule<?>> rules = List.of(Catalogue.CLASS_CHAT, Catalogue.SHARE_SCREEN, Catalogue.DOOR);
        var all = new ArrayList<>(IntStream.range(0, lessons)
                .mapToObj(n -> kept(
                        "class" + random.nextInt(4),
                        random.nextInt(5),
                        IntStream.range(0, random.nextInt(4))
                                .mapToObj(m -> departure(
                                        rules.get(random.nextInt(3)),
                                        random.nextBoolean() ? ORLA : TAM,
                                        1 + random.nextInt(30)))
                                .toArray(Departure[]::new)))
                .toList());
        Drift drift = Drift.of(all);
        for (var parts : List.of(drift.rules(), drift.adults(), drift.classes())) {
            assertThat(parts.values().stream().mapToInt(Drift.Sum::times).sum())
                    .isEqualTo(drift.all().times());
            assertThat(parts.values().stream().map(Drift.Sum::length).reduce(Duration.ZERO, Duration::plus))
                    .isEqualTo(drift.all().length());
            assertThat(parts.values())
                    .allMatch(one -> one.departed() <= one.lessons() && one.departed() <= one.times());
        }
        Collections.shuffle(all, random);
        assertThat(Drift.of(all).all()).isEqualTo(drift.all());
    }
}
