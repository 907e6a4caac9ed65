package juricast.server.problems;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import juricast.core.identity.NoSuchId;
import juricast.server.data.Ids;
import org.apache.catalina.connector.ClientAbortException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.MessageSource;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.ErrorResponse;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.context.request.async.AsyncRequestTimeoutException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

/** Turns everything that goes wrong into a problem answer, in one place. */
@RestControllerAdvice
class ProblemAnswers {
    private static final Logger LOG = LoggerFactory.getLogger(ProblemAnswers.class);
    /** Bytes of a file in a form, as application.yaml has it. */
    private static final int FILE = 2_000_000;

    private final ObjectProvider<Explanation> explanations;
    private final MessageSource sentences;

    ProblemAnswers(ObjectProvider<Explanation> explanations, MessageSource sentences) {
        this.explanations = explanations;
        this.sentences = sentences;
    }

    @ExceptionHandler
    ResponseEntity<Problem.Body> problem(Problem problem) {
        return answer(inReadersLanguage(problem.body()));
    }

    /** Problems are written in English where they arise; those that pupils meet are said in their language too, by their type. */
    private Problem.Body inReadersLanguage(Problem.Body body) {
        String title = said(body, "title");
        return title == null
                ? body
                : new Problem.Body(
                        body.type(), title, body.status(), said(body, "detail"), said(body, "do"), body.wrong());
    }

    private @Nullable String said(Problem.Body body, String what) {
        String key = body.type().replaceFirst("^/problems/", "problem.") + "." + what;
        return sentences.getMessage(key, null, null, LocaleContextHolder.getLocale());
    }

    /** Names the field that is wrong, where it can be told. */
    @ExceptionHandler
    ResponseEntity<Problem.Body> unreadable(HttpMessageNotReadableException unreadable) {
        for (Throwable cause = unreadable; cause != null; cause = cause.getCause()) {
            if (cause instanceof BodyTooLarge tooLarge) {
                return tooLarge(tooLarge);
            }
        }
        return answer(Problem.notReadable(
                        "This could not be read",
                        "What was sent is not what is expected here. Nothing was changed.",
                        "Reload the page and try again.",
                        unreadable.getCause() instanceof DatabindException databind ? wrong(databind) : List.of())
                .body());
    }

    private static List<Problem.Wrong> wrong(DatabindException found) {
        String field = found.getPath().stream()
                .map(one -> one.getPropertyName() == null ? "[" + one.getIndex() + "]" : one.getPropertyName())
                .collect(Collectors.joining("."));
        String message = found instanceof UnrecognizedPropertyException
                ? "There is no such field here"
                : "It is missing, or not of the kind that is expected";
        return field.isEmpty() ? List.of() : List.of(new Problem.Wrong(field, message));
    }

    @ExceptionHandler
    ResponseEntity<Problem.Body> tooLarge(BodyTooLarge tooLarge) {
        return answer(Problem.tooLarge(tooLarge.most()).body());
    }

    @ExceptionHandler
    ResponseEntity<Problem.Body> tooLarge(MaxUploadSizeExceededException tooLarge) {
        return answer(Problem.tooLarge(FILE).body());
    }

    @ExceptionHandler
    ResponseEntity<Problem.Body> noFile(MultipartException noFile) {
        return answer(Problem.notReadable(
                        "No file came with this", "Nothing was changed.", "Choose a file and send it again.", List.of())
                .body());
    }

    @ExceptionHandler
    ResponseEntity<Problem.Body> noSuchId(NoSuchId nothing) {
        return answer(inReadersLanguage(Problem.notThere("This").body()));
    }

    /** An address with a part that cannot be what it should be, as a word where a number stands. */
    @ExceptionHandler
    ResponseEntity<Problem.Body> noSuchAddress(TypeMismatchException wrong) {
        return answer(inReadersLanguage(Problem.notThere("This").body()));
    }

    /** A browser that went away while we wrote to it: nothing is wrong and nobody is left to be told. */
    @ExceptionHandler({
        AsyncRequestNotUsableException.class,
        AsyncRequestTimeoutException.class,
        ClientAbortException.class
    })
    void goneAway() {}

    @ExceptionHandler
    ResponseEntity<Problem.Body> other(Exception other, HttpServletRequest request) {
        Optional<Problem> explained = explanations.stream()
                .flatMap(one -> one.of(other, request.getRequestURI()).stream())
                .findFirst();
        if (explained.isPresent()) {
            return answer(explained.get().body());
        }
        if (other instanceof ErrorResponse known && known.getStatusCode().is4xxClientError()) {
            HttpStatusCode status = known.getStatusCode();
            return answer(Problem.of(
                            status.value(),
                            "not-understood",
                            status.value() == 404 ? "There is nothing at this address" : "This was not understood",
                            "Nothing was changed.",
                            "Reload the page and try again.")
                    .body());
        }
        String number = Ids.next().substring(0, 8);
        LOG.error("Our fault, number {}", number, other);
        return answer(Problem.of(
                        500,
                        "our-fault",
                        "Something went wrong on our side",
                        "What was confirmed before is safe. This was not carried out.",
                        "Try again. If it stays so, tell the school's administrator the number " + number + ".")
                .body());
    }

    private static ResponseEntity<Problem.Body> answer(Problem.Body body) {
        return ResponseEntity.status(body.status())
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(body);
    }
}
