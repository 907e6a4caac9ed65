package juricast.server.recording;

import java.io.IOException;
import java.io.OutputStream;

/** Sound, or pictures with it, that can be read from any place on. */
public interface Medium {
    /** As "audio/wav". */
    String type();

    /** As "wav". */
    String ending();

    long bytes();

    /** Writes some bytes of it, never all of them at once in memory. @throws IOException if nobody takes them any more */
    void write(OutputStream out, long from, long count) throws IOException;
}
