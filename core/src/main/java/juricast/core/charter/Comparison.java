package juricast.core.charter;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Set;
import juricast.core.charter.Cases.Case;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.Role;
import juricast.core.rules.Rule;
import juricast.core.rules.Setting;
import juricast.core.rules.Situation;
import juricast.core.rules.Value;

/**
 * What becomes different when one set of rules takes the place of another (need A7).
 *
 * @param shifts which values change into which, with the classes and planned lessons where they do
 * @param overruled settings that a binding one overrules now, and did not before
 * @param freed settings that count again
 */
public record Comparison(List<Shift> shifts, List<Overruling> overruled, List<Overruling> freed) {
    public Comparison {
        shifts = List.copyOf(shifts);
        overruled = List.copyOf(overruled);
        freed = List.copyOf(freed);
    }

    /**
     * One value that turns into another.
     *
     * @param classes where it can come about, each with one case in which it does
     * @param lessons planned lessons where it will, as they are planned
     */
    public record Shift(
            Rule<?> rule, Role role, Value before, Value after, List<InClass> classes, List<InLesson> lessons) {}

    /** A class in which something changes, and a case to look at. */
    public record InClass(PlannedClass where, Situation situation, Instant at) {}

    /** A lesson in which something changes, and a case to look at; worked out when asked, for there are thousands. */
    public static final class InLesson {
        private final PlannedLesson where;
        private final Case like;
        private final int pupils;

        /** @param like the case in this lesson, or in one that is planned alike */
        InLesson(PlannedLesson where, Case like, int pupils) {
            this.where = where;
            this.like = like;
            this.pupils = pupils;
        }

        public PlannedLesson where() {
            return where;
        }

        public Situation situation() {
            return like.in(where.time()).situation().withPresent(pupils);
        }

        public Instant at() {
            return like.in(where.time()).at();
        }
    }

    /** A setting held back by a binding one, and in which classes. */
    public record Overruling(Place place, Setting setting, Setting by, Set<ClassId> classes) {}

    public boolean isEmpty() {
        return shifts.isEmpty() && overruled.isEmpty() && freed.isEmpty();
    }

    /** Every class in which some value changes. */
    public List<ClassId> classes() {
        return shifts.stream()
                .flatMap(shift -> shift.classes().stream())
                .map(one -> one.where().id())
                .distinct()
                .toList();
    }

    /** Every planned lesson in which some value changes, each once. */
    public List<PlannedLesson> lessons() {
        var found = new LinkedHashMap<LessonId, PlannedLesson>();
        shifts.forEach(shift -> shift.lessons().forEach(one -> found.put(one.where.id(), one.where)));
        return List.copyOf(found.values());
    }

    /**
     * Compares two sets of rules over what lies after an instant. Classes that say the same are judged once, and lessons
     * that are planned alike too; so the cost follows what differs, not the number of lessons.
     */
    public static Comparison of(SchoolRules before, SchoolRules after, Timetable school, Instant from) {
        return new Comparing(before, after, school, from).result();
    }
}
