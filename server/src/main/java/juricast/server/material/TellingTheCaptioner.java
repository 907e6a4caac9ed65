package juricast.server.material;

import static juricast.core.material.MaterialPart.MATERIAL;

import java.util.List;
import juricast.core.door.DoorEvent;
import juricast.core.identity.LessonId;
import juricast.core.live.LessonEvent;
import juricast.core.material.MaterialEvent;
import juricast.core.material.MaterialState;
import juricast.server.lesson.LiveLessons;
import juricast.server.record.Follower;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Tells the caption service what was decided, and takes what it hears as an order. */
@Component
class TellingTheCaptioner implements Follower {
    private static final Logger LOG = LoggerFactory.getLogger(TellingTheCaptioner.class);

    private final LiveLessons lessons;
    private final Captioner captioner;

    TellingTheCaptioner(LiveLessons lessons, Captioner captioner) {
        this.lessons = lessons;
        this.captioner = captioner;
    }

    /** In a rehearsal too: what it hears is kept there as little as anything else. */
    @Override
    public boolean isFor(LessonId lesson) {
        return true;
    }

    @Override
    public void after(LessonId lesson, List<LessonEvent> events) {
        for (LessonEvent event : events) {
            if (event instanceof MaterialEvent.ServiceListens listens && listens.on()) {
                listen(lesson);
            } else if (event instanceof MaterialEvent.ServiceListens || event instanceof DoorEvent.Dismissed) {
                captioner.stop(lesson);
            }
        }
    }

    /** After a start it listens where it listened before. */
    @EventListener(ApplicationReadyEvent.class)
    @Order
    void afterAStart() {
        lessons.open().stream()
                .filter(id -> lessons.stateIfReadable(id)
                        .map(state -> state.of(MATERIAL))
                        .filter(MaterialState::serviceListens)
                        .isPresent())
                .forEach(this::listen);
    }

    private void listen(LessonId lesson) {
        captioner.listen(lesson, heard -> {
            try {
                lessons.carryOut(lesson, heard);
            } catch (RuntimeException failed) {
                LOG.error("What the caption service heard in lesson {} could not be taken", lesson, failed);
            }
        });
    }
}
