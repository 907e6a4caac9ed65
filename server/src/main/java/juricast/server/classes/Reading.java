package juricast.server.classes;

import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.reading.About;
import juricast.core.reading.Matter;
import juricast.core.reading.Reader;
import juricast.server.access.SignedIn;
import juricast.server.problems.Problem;
import org.springframework.stereotype.Component;

/**
 * The way to everything that is about somebody: asks the table of who may read what ({@link Matter}) with the ties that the
 * caller has at this moment. Whoever shows something names its matter here and gets what may be shown, or a refusal.
 */
@Component
public class Reading {
    private final Classes classes;
    private final Clock clock;

    Reading(Classes classes, Clock clock) {
        this.classes = classes;
        this.clock = clock;
    }

    /** The class, if this of it may be read. @throws Problem if not, or if there is no such class */
    public Classes.SchoolClass ofClass(SignedIn caller, Matter matter, String id) {
        Classes.SchoolClass found = classes.find(new ClassId(id)).orElseThrow(() -> Problem.notThere("This class"));
        if (!reader(caller).mayRead(matter, About.ofClass(found.id()))) {
            throw notAnAdultOf(found.title());
        }
        return found;
    }

    /** The lesson, if this of it may be read. @throws Problem if not, or if there is no such lesson */
    public Classes.Planned ofLesson(SignedIn caller, Matter matter, String id) {
        Classes.Planned found = classes.lesson(new LessonId(id)).orElseThrow(() -> Problem.notThere("This lesson"));
        Set<LessonId> covers =
                classes.isCoveredBy(found.id(), caller.person()) ? Set.of(found.id()) : Set.<LessonId>of();
        if (!reader(caller, covers).mayRead(matter, About.ofLesson(found.id(), found.ofClass()))) {
            throw notAnAdultOf(found.title());
        }
        return found;
    }

    /**
     * The classes in which this may be read of a pupil, by title.
     *
     * @param classes in which the pupil is, or was when it was written
     * @throws Problem if there is none, and the caller may not read it of the whole school either
     */
    public Map<ClassId, String> ofPupil(
            SignedIn caller, Matter matter, PersonId pupil, String name, Set<ClassId> classes) {
        if (!reader(caller).mayRead(matter, About.person(pupil, classes))) {
            throw Problem.notYours("%s is in none of your classes".formatted(name), "Ask the safeguarding lead.");
        }
        return titles(caller, matter);
    }

    /** The classes of which this may be read, by title. */
    public List<Classes.SchoolClass> classes(SignedIn caller, Matter matter) {
        Reader reader = reader(caller);
        return (reader.mayReadAll(matter) ? classes.all() : classes.of(caller.person(), clock.instant()))
                .stream()
                        .filter(one -> reader.mayRead(matter, About.ofClass(one.id())))
                        .toList();
    }

    /** The same as titles, in their order. */
    public Map<ClassId, String> titles(SignedIn caller, Matter matter) {
        var titles = new LinkedHashMap<ClassId, String>();
        classes(caller, matter).forEach(one -> titles.put(one.id(), one.title()));
        return titles;
    }

    /** Which classes to look into for this; nothing if it may be read of the whole school, with what is about no class. */
    public Optional<Set<ClassId>> only(SignedIn caller, Matter matter) {
        return mayReadAll(caller, matter)
                ? Optional.empty()
                : Optional.of(titles(caller, matter).keySet());
    }

    public boolean mayReadAll(SignedIn caller, Matter matter) {
        return reader(caller).mayReadAll(matter);
    }

    /** Who asks, with the ties of this moment, but without the lessons that they cover. */
    public Reader reader(SignedIn caller) {
        return reader(caller, Set.of());
    }

    /** The same, where it is known which lessons they cover. */
    public Reader reader(SignedIn caller, Set<LessonId> covers) {
        return caller.reader(
                Set.copyOf(classes.runBy(caller.person(), clock.instant())), covers, classes.headOf(caller.person()));
    }

    private static Problem notAnAdultOf(String title) {
        return Problem.notYours(
                "You are not an adult of “%s”".formatted(title), "Ask one of its adults, or the safeguarding lead.");
    }
}
