package juricast.server.recording;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import juricast.core.watching.Piece;
import juricast.core.watching.Playback;

/**
 * What the stand-in has recorded: a WAV file (RIFF, PCM, mono, 8 bits, 8000 a second) with a tone for each speaker while they speak,
 * and silence where nobody does. Each sample follows from its place alone, so nothing of it is stored and it can be read from
 * anywhere.
 */
final class Tones implements Medium {
    static final int RATE = 8000;
    private static final int HEAD = 44;
    private static final int AT_ONCE = 8192;
    /** 8-bit PCM is unsigned, and this is silence. */
    private static final int SILENCE = 128;

    private final long samples;
    private final List<Voice> voices;
    private final byte[] head;

    /** One speaker's tone. @param hertz told apart by ear: a scale from 220 Hz on */
    private record Voice(double hertz, List<Piece> heard) {
        int at(long sample, Duration place) {
            return heard.stream().anyMatch(piece -> piece.has(place))
                    ? (int) Math.round(30 * Math.sin(2 * Math.PI * hertz * sample / RATE))
                    : 0;
        }

        boolean isIn(Duration from, Duration until) {
            return heard.stream()
                    .anyMatch(piece -> piece.from().compareTo(until) < 0 && from.compareTo(piece.until()) < 0);
        }
    }

    Tones(String seed, Playback playback) {
        samples = playback.line().length().toMillis() * RATE / 1000;
        voices = playback.voices().stream()
                .map(one -> new Voice(hertz(seed + one.person().value()), one.heard()))
                .toList();
        head = head(samples);
    }

    /** A note of two octaves of a scale of twelve, from the name: the same person always sounds alike. */
    private static double hertz(String of) {
        return 220 * Math.pow(2, Math.floorMod(of.hashCode(), 24) / 12.0);
    }

    private static byte[] head(long samples) {
        var bytes = ByteBuffer.allocate(HEAD).order(ByteOrder.LITTLE_ENDIAN);
        bytes.put("RIFF".getBytes(StandardCharsets.US_ASCII)).putInt((int) (HEAD - 8 + samples));
        bytes.put("WAVEfmt ".getBytes(StandardCharsets.US_ASCII)).putInt(16);
        bytes.putShort((short) 1)
                .putShort((short) 1)
                .putInt(RATE)
                .putInt(RATE)
                .putShort((short) 1)
                .putShort((short) 8);
        bytes.put("data".getBytes(StandardCharsets.US_ASCII)).putInt((int) samples);
        return bytes.array();
    }

    @Override
    public String type() {
        return "audio/wav";
    }

    @Override
    public String ending() {
        return "wav";
    }

    @Override
    public long bytes() {
        return HEAD + samples;
    }

    @Override
    public void write(OutputStream out, long from, long count) throws IOException {
        long end = Math.min(bytes(), from + count);
        long at = from;
        if (at < HEAD) {
            int some = (int) (Math.min(HEAD, end) - at);
            out.write(head, (int) at, Math.max(0, some));
            at += some;
        }
        while (at < end) {
            int some = (int) Math.min(AT_ONCE, end - at);
            out.write(sound(at - HEAD, some));
            at += some;
        }
    }

    private byte[] sound(long first, int count) {
        byte[] sound = new byte[count];
        Duration from = place(first);
        Duration until = place(first + count);
        List<Voice> heard = voices.stream().filter(one -> one.isIn(from, until)).toList();
        for (int i = 0; i < count; i++) {
            int sum = 0;
            for (Voice voice : heard) {
                sum += voice.at(first + i, place(first + i));
            }
            sound[i] = (byte) Math.max(0, Math.min(255, SILENCE + sum));
        }
        return sound;
    }

    private static Duration place(long sample) {
        return Duration.ofNanos(sample * (1_000_000_000L / RATE));
    }
}
