package juricast.server.rules;

import java.util.List;
import java.util.Optional;
import juricast.core.charter.Place;
import juricast.core.charter.PlannedClass;
import juricast.core.charter.PlannedLesson;
import juricast.core.charter.SchoolRules;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.rules.Circumstance;
import juricast.core.rules.Condition;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Situation;
import juricast.server.classes.Planning;
import org.springframework.stereotype.Component;

/** Which settings speak at a place: its own, and those above it. */
@Component
class Books {
    private final Planning planning;

    Books(Planning planning) {
        this.planning = planning;
    }

    /** The rules as they count at a place. A set is shown upon the charter, for it counts wherever a class uses it. */
    Rulebook at(SchoolRules rules, Place place) {
        return switch (place.kind()) {
            case SCHOOL -> rules.charter();
            case YEAR -> rules.ofYear(Integer.parseInt(place.id()));
            case SET -> rules.charter().with(rules.at(place));
            case CLASS -> rules.of(classOf(place));
            case LESSON -> {
                PlannedLesson lesson = planning.lesson(new LessonId(place.id()));
                yield rules.of(planning.classOf(lesson.ofClass()), lesson);
            }
        };
    }

    /** What counts at a place before it says anything itself. */
    Rulebook above(SchoolRules rules, Place place) {
        var without = new java.util.HashMap<>(rules.written());
        without.put(place, List.of());
        return place.kind() == Place.Kind.SCHOOL
                ? Rulebook.of(List.of())
                : at(new SchoolRules(without, rules.uses(), rules.setNames()), place);
    }

    /** The class that a place belongs to, if it is one or a lesson of one. */
    Optional<PlannedClass> classAt(Place place) {
        return switch (place.kind()) {
            case CLASS -> Optional.of(classOf(place));
            case LESSON -> Optional.of(
                    planning.classOf(planning.lesson(new LessonId(place.id())).ofClass()));
            default -> Optional.empty();
        };
    }

    private PlannedClass classOf(Place place) {
        return planning.classOf(new ClassId(place.id()));
    }

    /** A situation in which the facts of a condition are so. */
    static Situation during(Situation base, Condition when) {
        Situation situation = base;
        for (Circumstance one : when.all()) {
            situation = one instanceof Circumstance.Is is ? situation.with(is.fact(), is.so()) : situation;
        }
        return situation;
    }
}
