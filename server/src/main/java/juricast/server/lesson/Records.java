package juricast.server.lesson;

import static juricast.core.door.DoorPart.DOOR;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.door.DoorEvent;
import juricast.core.identity.LessonId;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.rules.PlannedRules;
import juricast.server.record.Journal;
import org.springframework.stereotype.Component;

/** What happened in a lesson, whole: the register reads it, later the replay. */
@Component
public class Records {
    private final LiveLessons lessons;
    private final Journal journal;

    Records(LiveLessons lessons, Journal journal) {
        this.lessons = lessons;
        this.journal = journal;
    }

    /** The whole record of a lesson. @param openedAt nothing as long as nobody has opened it */
    public record Record(
            LessonPlan plan,
            PlannedRules rules,
            List<LessonEvent> events,
            Optional<Instant> openedAt,
            Optional<Instant> dismissedAt) {}

    public Record of(LessonId id) {
        Snapshot lesson = lessons.look(id);
        return new Record(
                lesson.plan(),
                lesson.rules(),
                lesson.events(),
                lesson.state().of(DOOR).opened().map(DoorEvent.Opened::at),
                lesson.state().of(DOOR).dismissedAt());
    }

    /** How a lesson stands. */
    public LessonState state(LessonId id) {
        return lessons.look(id).state();
    }

    /** Writes the whole record of a lesson that has none yet, before anybody looks at it: for lessons played ahead. */
    public void write(LessonId id, List<LessonEvent> events) {
        journal.write(id, events);
    }
}
