package juricast.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import juricast.core.exchange.TimetableChange.Known;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.time.Span;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class TimetableChangeTest {
    private static final Instant NOW = Instant.parse("2026-09-14T10:00:00Z");
    private static final ClassId TIDES = new ClassId("tides");
    private static final ClassId KNOTS = new ClassId("knots");
    private static final Map<String, ClassId> CLASSES = Map.of("tidal navigation", TIDES, "knotwork rigging", KNOTS);

    private static LocalDateTime hour(int hours) {
        return LocalDateTime.ofInstant(NOW, ZoneOffset.UTC).plusHours(hours);
    }

    private static Span at(int hours, int minutes) {
        Instant from = NOW.plus(Duration.ofHours(hours));
        return new Span(from, from.plus(Duration.ofMinutes(minutes)));
    }

    private static TimetableReading.Lesson held(int hours) {
        return new TimetableReading.Lesson(hour(hours), at(hours, 50), false);
    }

    private static TimetableReading file(String uid, String title, TimetableReading.Lesson... lessons) {
        return new TimetableReading(List.of(new TimetableReading.Entry(uid, 1, title, List.of(lessons))), List.of());
    }

    private static Known known(String id, String uid, int slot, Span time) {
        return new Known(new LessonId(id), TIDES, uid, Optional.of(hour(slot)), time, false);
    }

    @Test
    void what_is_new_moved_called_off_or_as_it_was_is_told_apart() {
        var change = TimetableChange.between(
                file(
                        "u",
                        "Tidal  NAVIGATION",
                        held(1),
                        held(25),
                        new TimetableReading.Lesson(hour(49), at(51, 30), false),
                        new TimetableReading.Lesson(hour(73), at(73, 50), true),
                        held(-5)),
                CLASSES,
                List.of(
                        known("same", "u", 25, at(25, 50)),
                        known("moved", "u", 49, at(49, 50)),
                        known("off", "u", 73, at(73, 50)),
                        known("gone", "u", 97, at(97, 50))),
                NOW);

        assertThat(change.added()).extracting(TimetableChange.Added::time).containsExactly(at(1, 50));
        assertThat(change.changed())
                .extracting(one -> one.lesson().id().value() + one.cancelled())
                .containsExactly("movedfalse", "offtrue");
        assertThat(change.missing()).extracting(one -> one.id().value()).containsExactly("gone");
        assertThat(change.same()).isEqualTo(1);
        assertThat(change.past()).isEqualTo(1);
    }

    @Test
    void a_title_that_no_class_bears_is_told_and_not_guessed() {
        var change = TimetableChange.between(file("u", "Tidal Nav", held(1), held(2)), CLASSES, List.of(), NOW);
        assertThat(change.unknown()).containsExactly(Map.entry("Tidal Nav", 2));
        assertThat(change.isEmpty()).isTrue();
    }

    @Test
    void a_lesson_that_the_school_planned_itself_is_known_by_its_start_or_its_own_name_and_never_missing() {
        var own = new Known(new LessonId("own"), TIDES, "", Optional.empty(), at(1, 50), false);
        var byStart = TimetableChange.between(
                file("u", "Tidal Navigation", new TimetableReading.Lesson(hour(1), at(1, 40), false)),
                CLASSES,
                List.of(own),
                NOW);
        assertThat(byStart.changed()).extracting(TimetableChange.Changed::time).containsExactly(at(1, 40));

        var byName = TimetableChange.between(
                file(TimetableChange.uidOf(own.id()), "Tidal Navigation", held(9)), CLASSES, List.of(own), NOW);
        assertThat(byName.changed()).extracting(TimetableChange.Changed::time).containsExactly(at(9, 50));

        var absent = TimetableChange.between(file("u", "Tidal Navigation", held(7)), CLASSES, List.of(own), NOW);
        assertThat(absent.missing()).isEmpty();
    }

    @Test
    void what_lies_in_other_classes_is_left_out_for_who_may_not_change_them() {
        var change = TimetableChange.between(
                new TimetableReading(
                        List.of(
                                new TimetableReading.Entry("a", 1, "Tidal Navigation", List.of(held(1))),
                                new TimetableReading.Entry("b", 9, "Knotwork & Rigging", List.of(held(1)))),
                        List.of()),
                CLASSES,
                List.of(),
                NOW);
        assertThat(change.added()).hasSize(2);
        assertThat(change.only(Set.of(KNOTS)).added())
                .extracting(TimetableChange.Added::ofClass)
                .containsExactly(KNOTS);
    }

    /** Carried out as the server does it, the same file again has nothing to say: no lesson is doubled or moved twice. */
    @Property(tries = 300)
    void taking_a_file_twice_changes_nothing_the_second_time(
            @ForAll @Size(max = 12) List<@IntRange(min = 1, max = 40) Integer> first,
            @ForAll @Size(max = 12) List<@IntRange(min = 1, max = 40) Integer> second) {
        var a = file(
                "a",
                "Tidal Navigation",
                first.stream().distinct().map(TimetableChangeTest::held).toArray(TimetableReading.Lesson[]::new));
        var b = file(
                "b",
                "Tidal Navigation",
                second.stream().distinct().map(TimetableChangeTest::held).toArray(TimetableReading.Lesson[]::new));
        var both = new TimetableReading(List.of(a.entries().get(0), b.entries().get(0)), List.of());
        List<Known> school = carriedOut(TimetableChange.between(both, CLASSES, List.of(), NOW), List.of());
        var again = TimetableChange.between(both, CLASSES, school, NOW);
        assertThat(again.added()).isEmpty();
        assertThat(again.changed()).isEmpty();
        assertThat(again.missing()).isEmpty();
        assertThat(school).extracting(one -> one.time().from()).doesNotHaveDuplicates();
    }

    private static List<Known> carriedOut(TimetableChange change, List<Known> school) {
        var after = new HashMap<LessonId, Known>();
        school.forEach(one -> after.put(one.id(), one));
        for (TimetableChange.Added one : change.added()) {
            var id = new LessonId("made-" + after.size());
            after.put(id, new Known(id, one.ofClass(), one.uid(), Optional.of(one.slot()), one.time(), false));
        }
        return new ArrayList<>(after.values());
    }
}
