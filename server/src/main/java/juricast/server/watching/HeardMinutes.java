package juricast.server.watching;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.LessonId;
import juricast.core.time.Span;
import juricast.core.watching.Playback;
import juricast.server.recording.Medium;
import juricast.server.recording.Recordings;
import org.springframework.stereotype.Component;

/** Some minutes of a lesson's recording, for those who take them along as evidence. */
@Component
public class HeardMinutes {
    private final Recordings recordings;
    private final Playbacks playbacks;

    HeardMinutes(Recordings recordings, Playbacks playbacks) {
        this.recordings = recordings;
        this.playbacks = playbacks;
    }

    /** @param ending of the file, as "wav" @param captions what was said, in writing, from the beginning of the sound counted */
    public record Heard(byte[] sound, String ending, List<Playback.Text> captions) {}

    /** @return nothing if none of it was recorded, it goes on, or it was erased; without those who may not be recorded */
    public Optional<Heard> of(LessonId lesson, List<Span> times) {
        return recordings
                .find(lesson.value())
                .filter(one -> one.ended().isPresent() && one.erasedAt().isEmpty())
                .flatMap(one -> {
                    Playback cut = playbacks.of(one).heardIn(times);
                    return cut.line().segments().isEmpty()
                            ? Optional.empty()
                            : Optional.of(heard(playbacks.sound(one, cut), cut));
                });
    }

    private static Heard heard(Medium sound, Playback cut) {
        var bytes = new ByteArrayOutputStream();
        try {
            sound.write(bytes, 0, sound.bytes());
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
        return new Heard(bytes.toByteArray(), sound.ending(), cut.captions());
    }
}
