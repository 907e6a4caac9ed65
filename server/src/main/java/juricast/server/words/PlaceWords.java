package juricast.server.words;

import juricast.core.charter.Place;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.server.classes.Classes;
import juricast.server.data.School;
import org.springframework.stereotype.Component;

/** Says where something is written. */
@Component
public class PlaceWords {
    private final Classes classes;
    private final School school;

    PlaceWords(Classes classes, School school) {
        this.classes = classes;
        this.school = school;
    }

    /** As a title. @param setNames what the sets are called */
    public String of(Place place, java.util.Map<String, String> setNames) {
        return switch (place.kind()) {
            case SCHOOL -> "Charter";
            case YEAR -> "Year " + place.id();
            case CLASS -> classes.find(new ClassId(place.id()))
                    .map(Classes.SchoolClass::title)
                    .orElse(place.id());
            case LESSON -> classes.lesson(new LessonId(place.id()))
                    .map(lesson ->
                            lesson.title() + ", " + school.day(lesson.time().from()) + ", "
                                    + school.clockTime(lesson.time().from()))
                    .orElse(place.id());
            case SET -> setNames.getOrDefault(place.id(), place.id());
        };
    }
}
