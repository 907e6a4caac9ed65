package juricast.server.lesson;

import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/**
 * Lessons go on before the doors of the server open: a seat is found by the lessons that are in memory, and who asks for it earlier
 * would be told, for good, that it is nobody's.
 */
@Component
class TakingUp implements SmartLifecycle {
    /** After the demo has laid out its lessons, before the web server, which starts among the last. */
    private static final int PHASE = 1;

    private final LiveLessons lessons;
    private volatile boolean isDone;

    TakingUp(LiveLessons lessons) {
        this.lessons = lessons;
    }

    @Override
    public void start() {
        lessons.goOn();
        isDone = true;
    }

    @Override
    public void stop() {
        isDone = false;
    }

    @Override
    public boolean isRunning() {
        return isDone;
    }

    @Override
    public int getPhase() {
        return PHASE;
    }
}
