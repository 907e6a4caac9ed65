package juricast.server.recording;

import java.util.function.Consumer;
import juricast.core.identity.LessonId;
import juricast.core.recording.RecordingOrder;
import juricast.core.watching.Playback;

/**
 * The port to whatever records. It is told what was decided and answers when it can; what it says is an order like any other. The
 * stand-in is one, another can be put in its place.
 */
public interface Recorder {
    /** It is to begin, or to try again. @param answers is told that it records, and later, if need be, that it does not any more */
    void begin(LessonId lesson, Consumer<RecordingOrder.Answer> answers);

    /** After a start: whether it has recorded on all the time. @param answers is told later, if need be, that it does not any more */
    boolean hasGoneOn(LessonId lesson, Consumer<RecordingOrder.Answer> answers);

    /** Nothing of what happens now is to be recorded. */
    void pause(LessonId lesson);

    void goOn(LessonId lesson);

    void end(LessonId lesson);

    /**
     * What it recorded, as it may be heard now: of each voice only what is in the playback.
     *
     * @param recording its id
     */
    Medium medium(String recording, Playback playback);

    /** Where it keeps what it has recorded, in words that follow "It lies". */
    String where();

    /** Deletes what it has. */
    void erase(String recording);
}
