package juricast.server.problems;

import java.util.List;

/**
 * An answer that says no: what happened, what is as it was, what to do.
 *
 * @param wrong each field or line that is wrong; empty where it is not about fields
 */
public final class Problem extends RuntimeException {
    private static final long serialVersionUID = 1;

    private final transient Body body;

    private Problem(Body body) {
        super(body.title());
        this.body = body;
    }

    /** On the wire, as application/problem+json. */
    @io.swagger.v3.oas.annotations.media.Schema(name = "Problem")
    public record Body(String type, String title, int status, String detail, String whatToDo, List<Wrong> wrong) {}

    /** One thing that is wrong. */
    public record Wrong(String field, String message) {}

    public static Problem notReadable(String title, String detail, String whatToDo, List<Wrong> wrong) {
        return new Problem(new Body("/problems/not-readable", title, 400, detail, whatToDo, wrong));
    }

    public static Problem notSignedIn() {
        return of(401, "not-signed-in", "You are not signed in", "Nothing was changed.", "Sign in and try again.");
    }

    public static Problem notYours(String title, String whatToDo) {
        return of(403, "not-yours", title, "Nothing was changed.", whatToDo);
    }

    /** Something else has to be done before this may be. */
    public static Problem first(String type, String title, String whatToDo) {
        return of(403, type, title, "Nothing was changed.", whatToDo);
    }

    public static Problem notThere(String what) {
        return of(
                404,
                "not-there",
                what + " is not there",
                "It does not exist, or it is not for you to see.",
                "Go back and choose again.");
    }

    /** One field of a file or of what was said beside it cannot be read. @param message what it must be, without a stop */
    public static Problem notReadable(String field, String message) {
        return notReadable(
                "This cannot be read", "Nothing was changed.", message + ".", List.of(new Wrong(field, message)));
    }

    public static Problem refused(String type, String title, String detail, String whatToDo) {
        return of(409, type, title, detail, whatToDo);
    }

    /** Somebody else has changed what is edited here. */
    public static Problem changedMeanwhile() {
        return of(
                412,
                "changed-meanwhile",
                "Somebody else has changed this since you opened it",
                "Nothing of yours was kept, and nothing of theirs was lost. Your text is still here.",
                "Open it in another window, see what they changed, and put yours to it.");
    }

    public static Problem tooMany(String title, String whatToDo) {
        return of(429, "too-many-tries", title, "Nothing was changed.", whatToDo);
    }

    /** @param cause why nothing can be kept just now, in words */
    public static Problem notKept(String cause) {
        return of(
                503,
                "not-kept",
                "This could not be kept, so it was not done",
                cause + " What was confirmed before is safe.",
                "Try again in a moment. If it stays so, tell whoever looks after the school's computer.");
    }

    /** @param most bytes that are taken */
    public static Problem tooLarge(int most) {
        String size = most < 1_000_000 ? most / 1024 + " kB" : most / 1_000_000 + " MB";
        return of(
                413,
                "too-large",
                "This is too large",
                "At most %s are taken here. Nothing was changed.".formatted(size),
                "Send less at once: of a roster one class at a time, of a picture a smaller one.");
    }

    static Problem of(int status, String type, String title, String detail, String whatToDo) {
        return new Problem(new Body("/problems/" + type, title, status, detail, whatToDo, List.of()));
    }

    public Body body() {
        return body;
    }
}
