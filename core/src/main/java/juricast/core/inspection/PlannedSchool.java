package juricast.core.inspection;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
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

    /** The same with some lessons changed, or left out where the change gives nothing; other days are shared. */
    PlannedSchool changing(Map<LessonId, Function<InspectedLesson, Optional<InspectedLesson>>> changes) {
        var next = new TreeMap<>(days);
        var arriving = new ArrayList<InspectedLesson>();
        days.forEach((day, lessons) -> {
            if (lessons.stream().anyMatch(one -> changes.containsKey(one.id()))) {
                var staying = new ArrayList<InspectedLesson>();
                for (InspectedLesson one : lessons) {
                    changes.getOrDefault(one.id(), Optional::of)
                            .apply(one)
                            .ifPresent(now -> (day(zone, now).equals(day) ? staying : arriving).add(now));
                }
                staying.sort(BY_TIME);
                next.put(day, List.copyOf(staying));
            }
        });
        for (InspectedLesson one : arriving) {
            next.merge(day(zone, one), List.of(one), (before, more) -> Stream.concat(before.stream(), more.stream())
                    .sorted(BY_TIME)
                    .toList());
        }
        next.values().removeIf(List::isEmpty);
        return new PlannedSchool(zone, calendar, classes, staff, next);
    }

    /** How many lessons there are. */
    public int size() {
        return days.values().stream().mapToInt(List::size).sum();
    }
}
