package juricast.server.lesson;

import static juricast.core.door.DoorPart.DOOR;

import juricast.server.record.Journal;
import org.springframework.stereotype.Component;

/** How live lessons fare, in numbers, for whoever looks after the program. */
@Component
public class Pulse {
    private final LiveLessons lessons;
    private final Journal journal;
    private final Viewers viewers;

    Pulse(LiveLessons lessons, Journal journal, Viewers viewers) {
        this.lessons = lessons;
        this.journal = journal;
        this.viewers = viewers;
    }

    /** Whether what is ordered reaches the disk. */
    public boolean isWriting() {
        return journal.isWriting();
    }

    public int appendsWaiting() {
        return journal.waiting();
    }

    public long eventsWritten() {
        return journal.written();
    }

    public int linesOpen() {
        return viewers.open();
    }

    public int lessonsInMemory() {
        return lessons.known().size();
    }

    public long lessonsOpen() {
        return lessons.known().stream()
                .filter(id -> lessons.stateIfReadable(id)
                        .filter(state -> state.of(DOOR).isOpen())
                        .isPresent())
                .count();
    }
}
