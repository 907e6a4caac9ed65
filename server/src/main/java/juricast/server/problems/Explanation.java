package juricast.server.problems;

import java.util.Optional;

/** Whoever knows better what a failure means than "something went wrong on our side". */
public interface Explanation {
    /** @param path of the request that failed @return what to answer, or nothing if it is not known here */
    Optional<Problem> of(Exception failed, String path);
}
