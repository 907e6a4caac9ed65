package juricast.server.record;

import java.time.Instant;

/** Something that is done once a night, in steps so small that nobody who is up notices. */
public interface AtNight {
    /**
     * One step, well under a tenth of a second.
     *
     * @param since the beginning of this night
     * @return whether there is more to do
     */
    boolean step(Instant since);
}
