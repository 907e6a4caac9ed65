package juricast.server.recording;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.time.Span;
import juricast.core.watching.Piece;
import juricast.core.watching.Playback;
import juricast.core.watching.Timeline;
import juricast.server.files.Archive;
import org.junit.jupiter.api.Test;

class TonesTest {
    private static final Instant BEGUN = Instant.parse("2026-09-14T10:00:00Z");

    private static Tones sound(Duration length, Piece... heard) {
        return new Tones(
                "a lesson",
                new Playback(
                        new Timeline(List.of(new Span(BEGUN, BEGUN.plus(length)))),
                        List.of(new Playback.Voice(new PersonId("wen"), "Wen", Role.PUPIL, List.of(heard))),
                        List.of(),
                        List.of(),
                        List.of(),
                        List.of(),
                        List.of(),
                        List.of(),
                        List.of(),
                        0));
    }

    /** Counts, and keeps nothing. */
    private static final class Sink extends OutputStream {
        private int largest;
        private long bytes;

        @Override
        public void write(int one) {
            bytes++;
        }

        @Override
        public void write(byte[] some, int from, int count) {
            largest = Math.max(largest, count);
            bytes += count;
        }
    }

    @Test
    void three_hours_are_written_into_an_archive_in_small_pieces() throws IOException {
        Tones sound = sound(Duration.ofHours(3), new Piece(Duration.ofHours(1), Duration.ofHours(2)));
        var out = new Sink();
        var into = new Sink();
        var archive = new Archive(out);

        archive.put("sound.wav", sound.type(), to -> {
            sound.write(to, 0, sound.bytes());
            sound.write(into, 0, sound.bytes());
        });
        archive.finish();

        assertThat(archive.parts().get(0).bytes())
                .isEqualTo(44 + 3 * 3600 * 8000)
                .isEqualTo(into.bytes);
        assertThat(into.largest).as("at once").isLessThanOrEqualTo(64 * 1024);
        assertThat(out.bytes).as("reached the other end").isPositive();
        assertThat(out.largest).as("at once").isLessThanOrEqualTo(64 * 1024);
    }

    @Test
    void a_part_of_it_is_what_the_whole_has_there_and_outside_of_what_is_heard_it_is_silent() throws IOException {
        Tones sound = sound(Duration.ofSeconds(30), new Piece(Duration.ofSeconds(10), Duration.ofSeconds(20)));
        var whole = new ByteArrayOutputStream();
        var part = new ByteArrayOutputStream();
        sound.write(whole, 0, sound.bytes());
        sound.write(part, 44 + 8000 * 10 - 300, 70_000);

        byte[] all = whole.toByteArray();
        assertThat(part.toByteArray())
                .isEqualTo(Arrays.copyOfRange(all, 44 + 80_000 - 300, 44 + 80_000 - 300 + 70_000));
        assertThat(Arrays.copyOfRange(all, 44, 44 + 80_000)).containsOnly(128);
        assertThat(Arrays.copyOfRange(all, 44 + 160_000, all.length)).containsOnly(128);
        assertThat(Arrays.copyOfRange(all, 44 + 80_000, 44 + 160_000)).contains(158, 98);
    }
}
