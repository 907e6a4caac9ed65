package juricast.core.inspection;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
import juricast.core.timetable.SchoolCalendar;

/**
 * Everything that is planned in a school. It never changes: a planned change is another one that shares the days it left alone.
 *
 * @param staff adults who may be asked to stand in
 * @param days the lessons of each day of the school's zone, in order of time; a lesson belongs to the day it begins
 */
public record PlannedSchool(
        ZoneId zone,
        SchoolCalendar calendar,
        Map<ClassId, InspectedClass> classes,
        List<PersonId> staff,
        Map<LocalDate, List<InspectedLesson>> days) {
    private static final Comparator<InspectedLesson> BY_TIME = Comparator.comparing(
                    (InspectedLesson one) -> one.time().from())
            .thenComparing(one -> one.id().value());

    public static PlannedSchool of(
            ZoneId zone,
            SchoolCalendar calendar,
            List<InspectedClass> classes,
            List<PersonId> staff,
            List<InspectedLesson> lessons) {
        return new PlannedSchool(
                zone,
                calendar,
                classes.stream().collect(Collectors.toMap(InspectedClass::id, Function.identity())),
                List.copyOf(staff),
                byDay(zone, lessons));
    }

    private static Map<LocalDate, List<InspectedLesson>> byDay(ZoneId zone, List<InspectedLesson> lessons) {
        return lessons.stream()
                .sorted(BY_TIME)
                .collect(Collectors.groupingBy(one -> day(zone, one), TreeMap::new, Collectors.toList()));
    }

    private static LocalDate day(ZoneId zone, InspectedLesson lesson) {
        return lesson.time().from().atZone(zone).toLocalDate();
    }

    /** The same with other lessons: each is kept as it is, changed, or left out if the change gives nothing. */
    PlannedSchool changing(Function<InspectedLesson, Optional<InspectedLesson>> change) {
        List<InspectedLesson> all = days.values().stream()
                .flatMap(List::stream)
                .flatMap(one -> change.apply(one).stream())
                .toList();
        return new PlannedSchool(zone, calendar, classes, staff, byDay(zone, all));
    }

    /** How many lessons there are. */
    public int size() {
        return days.values().stream().mapToInt(List::size).sum();
    }
}
