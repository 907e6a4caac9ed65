package juricast.core.charter;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rules.Condition;
import juricast.core.rules.Fact;
import juricast.core.rules.Rule;
import juricast.core.rules.Setting;
import juricast.core.rules.Value;
import juricast.core.time.Span;

/** A small school to write rules for, in the words of the tests. */
final class ASchool {
    static final Instant NOON = Instant.parse("2026-09-14T12:00:00Z");
    static final PersonId MAREN = new PersonId("maren");
    static final PlannedClass LAW = new PlannedClass(new ClassId("harbour-law-9"), 9, 24);
    static final PlannedClass KNOTS = new PlannedClass(new ClassId("knotwork-7"), 7, 28);

    private final Map<Place, List<Setting>> written = new HashMap<>();
    private final List<SetUse> uses = new ArrayList<>();
    private final List<PlannedLesson> lessons = new ArrayList<>();

    /** Writes something that has counted since the day before. */
    <V extends Value> ASchool says(Place place, Rule<V> rule, V value, boolean binding, Condition when) {
        var edit = edit(place, rule, value, binding, when);
        written.merge(
                place,
                List.of(edit.setting(MAREN, NOON, NOON.minus(Duration.ofDays(1)))
                        .orElseThrow()),
                (a, b) -> {
                    var both = new ArrayList<>(a);
                    both.addAll(b);
                    return both;
                });
        return this;
    }

    <V extends Value> ASchool says(Place place, Rule<V> rule, V value) {
        return says(place, rule, value, false, Condition.ALWAYS);
    }

    <V extends Value> ASchool binds(Place place, Rule<V> rule, V value) {
        return says(place, rule, value, true, Condition.ALWAYS);
    }

    ASchool uses(PlannedClass of, String set, Instant from, Instant until) {
        uses.add(new SetUse(of.id(), set, from, until));
        return this;
    }

    /** Plans a lesson of fifty minutes so many days from noon. */
    ASchool plans(String id, PlannedClass of, int days, Fact... expected) {
        Instant from = NOON.plus(Duration.ofDays(days));
        lessons.add(new PlannedLesson(
                new LessonId(id), of.id(), new Span(from, from.plus(Duration.ofMinutes(50))), Set.of(expected)));
        return this;
    }

    SchoolRules rules() {
        return new SchoolRules(written, uses, Map.of("guest-talk", "Guest talk"));
    }

    Timetable timetable() {
        return new Timetable(List.of(LAW, KNOTS), lessons);
    }

    /** An edit about pupils, without an end. */
    static <V extends Value> Edit edit(Place place, Rule<V> rule, V value, boolean binding, Condition when) {
        return new Edit(
                place,
                rule,
                rule.isOfWholeLesson() ? Rule.ANSWERS : Role.PUPIL,
                when,
                Optional.of(value),
                binding,
                "",
                Setting.FOR_EVER);
    }
}
