package juricast.core.charter;

import java.util.List;

/** The classes and lessons that rules are compared over; lessons in order of time. */
public record Timetable(List<PlannedClass> classes, List<PlannedLesson> lessons) {
    public Timetable {
        classes = List.copyOf(classes);
        lessons = List.copyOf(lessons);
    }
}
