package juricast.server.retention;

import java.time.Instant;
import juricast.core.keeping.Retention;

/** One kind of data that is kept for a time only: what goes soon, and the going. Each stands with the subject it is of. */
public interface KeptKind {
    Retention kind();

    /** What goes until an instant if nothing changes. */
    Coming coming(Instant until);

    /** @param due how many things @param held how many more would, if nothing held them */
    record Coming(int due, int held) {}
}
