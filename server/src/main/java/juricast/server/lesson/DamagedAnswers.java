package juricast.server.lesson;

import juricast.server.problems.Problem;
import juricast.server.record.Journal;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;

/** Says in words that a lesson's record is damaged, wherever that lesson is asked for. */
@RestControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class DamagedAnswers {
    @ExceptionHandler
    ResponseEntity<Problem.Body> damaged(Journal.DamagedRecord damaged) {
        Problem.Body body = Problem.refused(
                        "damaged-record",
                        "The record of this lesson is damaged",
                        "From event %d on it is not as it was written, so nothing of it is shown. All other lessons go on."
                                .formatted(damaged.number()),
                        "Tell whoever looks after the school's computer: a backup may have it whole.")
                .body();
        return ResponseEntity.status(body.status())
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(body);
    }
}
