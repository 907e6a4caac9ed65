package juricast.server.rehearsal;

import java.util.Optional;
import juricast.server.problems.Explanation;
import juricast.server.problems.Problem;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/**
 * A rehearsal is in no table, so the database itself refuses whatever would keep something of one. Here it is said in words; no act
 * has to know of rehearsals.
 */
@Component
class NotInRehearsals implements Explanation {
    @Override
    public Optional<Problem> of(Exception failed, String path) {
        return failed instanceof DataAccessException && path.contains("/lessons/rehearsal-")
                ? Optional.of(Problem.refused(
                        "not-in-a-rehearsal",
                        "In a rehearsal nothing is kept",
                        "This is kept with a lesson, so it was not done.",
                        "Do it in the lesson itself."))
                : Optional.empty();
    }
}
