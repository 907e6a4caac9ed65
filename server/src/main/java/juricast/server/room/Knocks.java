package juricast.server.room;

import static juricast.core.door.DoorPart.DOOR;

import java.time.Duration;
import java.time.Instant;
import java.util.stream.Stream;
import juricast.core.day.Duty;
import juricast.core.day.Waiting;
import juricast.core.time.Span;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.day.Waits;
import juricast.server.lesson.LiveLessons;
import juricast.server.record.Stages;
import org.springframework.stereotype.Component;

/** Who stands at the doors of the lessons that an adult runs. */
@Component
class Knocks implements Waits {
    private static final Duration AROUND = Duration.ofHours(2);

    private final Classes classes;
    private final Stages stages;
    private final LiveLessons lessons;

    Knocks(Classes classes, Stages stages, LiveLessons lessons) {
        this.classes = classes;
        this.stages = stages;
        this.lessons = lessons;
    }

    @Override
    public Stream<Waiting> of(SignedIn adult) {
        Instant now = lessons.now();
        return classes.ownLessons(adult.person(), new Span(now.minus(AROUND), now.plus(AROUND)), now).stream()
                // Only one that runs is read: a look takes a lesson into memory.
                .filter(one ->
                        stages.of(one.id()).filter(stage -> !stage.isOver()).isPresent())
                .flatMap(one -> lessons.stateIfReadable(one.id()).stream())
                .map(state -> new Waiting(Duty.KNOCK, state.of(DOOR).waiting().size()));
    }
}
