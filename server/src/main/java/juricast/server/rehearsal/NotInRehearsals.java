package juricast.server.rehearsal;

import jakarta.servlet.http.HttpServletRequest;
import juricast.server.problems.Problem;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;

/**
 * A rehearsal is in no table, so the database itself refuses whatever would keep something of one. Here it is said in words; no act
 * has to know of rehearsals.
 */
@RestControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class NotInRehearsals {
    @ExceptionHandler
    ResponseEntity<Problem.Body> kept(DataIntegrityViolationException refused, HttpServletRequest request) {
        if (!request.getRequestURI().contains("/lessons/rehearsal-")) {
            throw refused;
        }
        Problem.Body body = Problem.refused(
                        "not-in-a-rehearsal",
                        "In a rehearsal nothing is kept",
                        "This is kept with a lesson, so it was not done.",
                        "Do it in the lesson itself.")
                .body();
        return ResponseEntity.status(body.status())
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(body);
    }
}
