package juricast.server.day;

import java.util.stream.Stream;
import juricast.core.day.Waiting;
import juricast.server.access.SignedIn;

/** Knows of something that waits for adults. */
public interface Waits {
    /** What of it waits for this adult now; it is asked every half minute, so it has to be quick. */
    Stream<Waiting> of(SignedIn adult);
}
