package juricast.server.recording;

import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import juricast.core.identity.LessonId;
import juricast.core.recording.Failure;
import juricast.core.recording.RecordingOrder;
import juricast.core.watching.Playback;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.scheduling.concurrent.CustomizableThreadFactory;
import org.springframework.stereotype.Component;

/**
 * The stand-in recorder: answers after a moment, fails when it is told to, and makes what it "recorded" when somebody listens. It
 * keeps nothing, so nothing grows.
 */
@Component
public class RecorderStandIn implements Recorder, DisposableBean {
    private final long answersAfter;
    private final Map<LessonId, Consumer<RecordingOrder.Answer>> recording = new ConcurrentHashMap<>();
    private final Map<LessonId, Failure> failing = new ConcurrentHashMap<>();
    private final ScheduledExecutorService answers =
            Executors.newSingleThreadScheduledExecutor(new CustomizableThreadFactory("recorder-"));

    RecorderStandIn(@Value("${juricast.recorder.answers-ms}") long answersAfter) {
        this.answersAfter = answersAfter;
    }

    @Override
    public void begin(LessonId lesson, Consumer<RecordingOrder.Answer> told) {
        recording.put(lesson, told);
        answers.schedule(() -> answer(lesson, told), answersAfter, TimeUnit.MILLISECONDS);
    }

    /** It lives and dies with this program, and knows after a start only of lessons that were laid out with it. */
    @Override
    public boolean hasGoneOn(LessonId lesson, Consumer<RecordingOrder.Answer> told) {
        return recording.replace(lesson, told) != null;
    }

    /** Has recorded a lesson that was played before the program was open. */
    public void hasRecorded(LessonId lesson) {
        recording.put(lesson, answer -> {});
    }

    /** One that does not answer says nothing. */
    private void answer(LessonId lesson, Consumer<RecordingOrder.Answer> told) {
        Optional<Failure> failure = Optional.ofNullable(failing.remove(lesson));
        if (!failure.equals(Optional.of(Failure.NO_ANSWER))) {
            told.accept(failure.map(RecordingOrder.Answer::failed).orElse(RecordingOrder.Answer.BEGUN));
        }
    }

    /** Lets it fail: at once if it records, else when it is asked the next time. */
    public void fail(LessonId lesson, Failure how) {
        Consumer<RecordingOrder.Answer> told = recording.remove(lesson);
        if (told == null || how == Failure.NO_ANSWER) {
            failing.put(lesson, how);
        }
        if (told != null) {
            told.accept(RecordingOrder.Answer.failed(how == Failure.NO_ANSWER ? Failure.LINE_LOST : how));
        }
    }

    @Override
    public void pause(LessonId lesson) {}

    @Override
    public void goOn(LessonId lesson) {}

    @Override
    public void end(LessonId lesson) {
        recording.remove(lesson);
        failing.remove(lesson);
    }

    @Override
    public Medium medium(String id, Playback playback) {
        return new Tones(id, playback);
    }

    @Override
    public String where() {
        return "with the stand-in recorder, which makes the sound anew each time and stores none";
    }

    @Override
    public void erase(String id) {}

    @Override
    public void destroy() {
        answers.shutdownNow();
    }
}
