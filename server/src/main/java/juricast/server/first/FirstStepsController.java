package juricast.server.first;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.PUPIL;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.util.List;
import juricast.core.charter.Place;
import juricast.server.access.For;
import juricast.server.classes.Calendar;
import juricast.server.data.Database;
import juricast.server.people.People;
import juricast.server.rules.Settings;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What a new school still has to do before its first lesson. What is done is seen from what is there; nothing is ticked off. */
@RestController
@RequestMapping("/api/first-steps")
class FirstStepsController {
    private final Calendar calendar;
    private final People people;
    private final Settings settings;
    private final Database database;
    private final Clock clock;

    FirstStepsController(Calendar calendar, People people, Settings settings, Database database, Clock clock) {
        this.clock = clock;
        this.calendar = calendar;
        this.people = people;
        this.settings = settings;
        this.database = database;
    }

    /** In the order in which they are taken. */
    enum Step {
        CALENDAR,
        CHARTER,
        PEOPLE,
        CLASS,
        LESSON,
        TRIED
    }

    /** @param lesson the one to try, where there is one to come */
    record StepLine(Step step, boolean done, @Nullable String lesson) {
        StepLine(Step step, boolean done) {
            this(step, done, null);
        }
    }

    /** The first steps, each with whether it is done. */
    @GetMapping
    @For(LEAD)
    List<StepLine> steps() {
        return List.of(
                new StepLine(Step.CALENDAR, !calendar.now().terms().isEmpty()),
                new StepLine(Step.CHARTER, !settings.all().at(Place.SCHOOL).isEmpty()),
                new StepLine(
                        Step.PEOPLE,
                        !people.inPosition(TEACHER).isEmpty()
                                || !people.inPosition(PUPIL).isEmpty()),
                new StepLine(Step.CLASS, has("SELECT EXISTS (SELECT 1 FROM class_member WHERE role = 'PUPIL')")),
                new StepLine(Step.LESSON, has("SELECT EXISTS (SELECT 1 FROM lesson WHERE cancelled = 0)")),
                new StepLine(
                        Step.TRIED,
                        has("SELECT EXISTS (SELECT 1 FROM rehearsed)")
                                || has("SELECT EXISTS (SELECT 1 FROM lesson_stage WHERE opened IS NOT NULL)"),
                        next()));
    }

    private @Nullable String next() {
        return database.read()
                .sql("SELECT id FROM lesson WHERE cancelled = 0 AND ends > :now ORDER BY starts LIMIT 1")
                .param("now", clock.millis())
                .query(String.class)
                .optional()
                .orElse(null);
    }

    private boolean has(String question) {
        return database.read().sql(question).query(Integer.class).single() == 1;
    }
}
