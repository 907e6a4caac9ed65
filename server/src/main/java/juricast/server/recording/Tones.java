package juricast.server.recording;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.stream.LongStream;
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

    /** One speaker's tone, told apart by ear: a scale from 220 Hz on. @param heard in samples, from and until in turn */
    private record Voice(double hertz, long[] heard) {
        static Voice of(double hertz, List<Piece> pieces) {
            return new Voice(
                    hertz,
                    pieces.stream()
                            .flatMapToLong(one -> LongStream.of(sample(one.from()), sample(one.until())))
                            .toArray());
        }

        private static long sample(Duration place) {
            return place.toMillis() * RATE / 1000;
        }

        /** Adds what is heard of it to a stretch of sound that begins at a sample. */
        void into(int[] sum, long first) {
            for (int i = 0; i < heard.length; i += 2) {
                long from = Math.max(first, heard[i]);
                long until = Math.min(first + sum.length, heard[i + 1]);
                for (long at = from; at < until; at++) {
                    sum[(int) (at - first)] += (int) Math.round(30 * Math.sin(2 * Math.PI * hertz * at / RATE));
                }
            }
        }
    }

    Tones(String seed, Playback playback) {
        samples = playback.line().length().toMillis() * RATE / 1000;
        voices = playback.voices().stream()
                .map(one -> Voice.of(hertz(seed + one.person().value()), one.heard()))
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
        int[] sum = new int[count];
        voices.forEach(voice -> voice.into(sum, first));
        byte[] sound = new byte[count];
        for (int i = 0; i < count; i++) {
            sound[i] = (byte) Math.max(0, Math.min(255, SILENCE + sum[i]));
        }
        return sound;
    }
}
