package juricast.server.door;

import java.util.List;
import juricast.core.door.DoorEvent;
import juricast.core.door.DoorOrder;
import juricast.core.entry.Sweep;
import juricast.core.identity.LessonId;
import juricast.core.live.LessonEvent;
import juricast.server.lesson.LiveLessons;
import juricast.server.record.Follower;
import org.springframework.context.annotation.Lazy;
import org.springframework.stereotype.Component;

/** Who is on no list and tries door after door waits at every one of them from then on (need E7). */
@Component
class Sweeps implements Follower {
    private final Tries tries = new Tries();
    private final LiveLessons lessons;

    /** @param lessons which themselves tell their followers what has happened */
    Sweeps(@Lazy LiveLessons lessons) {
        this.lessons = lessons;
    }

    @Override
    public void after(LessonId lesson, List<LessonEvent> events) {
        LessonEvent.of(events, DoorEvent.Knocked.class)
                .filter(knocked -> knocked.person().isEmpty())
                .forEach(knocked -> tries.tried(new Sweep.Try(
                                lesson,
                                knocked.arrival().device(),
                                knocked.arrival().claimedName(),
                                knocked.at()))
                        .ifPresent(this::tellEveryDoor));
    }

    private void tellEveryDoor(Sweep sweep) {
        lessons.open().forEach(lesson -> lessons.carryOut(lesson, new DoorOrder.NoticeSweep(sweep)));
    }
}
