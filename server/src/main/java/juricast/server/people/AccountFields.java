package juricast.server.people;

import java.nio.charset.StandardCharsets;
import java.util.List;
import juricast.core.limits.Limits;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;

/** What a name and a password must be, said in one place. */
final class AccountFields {
    private static final int PASSWORD_SHORTEST = 10;
    /** BCrypt reads so many bytes; what it would ignore is refused instead. */
    private static final int PASSWORD_BYTES = 72;

    private AccountFields() {}

    static void checkText(List<Problem.Wrong> wrong, String field, @Nullable String text, String message) {
        if (text == null || text.isBlank() || text.length() > Limits.NAME) {
            wrong.add(new Problem.Wrong(field, message + ", 1 to " + Limits.NAME + " characters"));
        }
    }

    static void checkPassword(List<Problem.Wrong> wrong, @Nullable String password) {
        if (password == null || password.length() < PASSWORD_SHORTEST || !fits(password)) {
            wrong.add(new Problem.Wrong(
                    "password",
                    "Choose a password of " + PASSWORD_SHORTEST + " to " + PASSWORD_BYTES + " letters or signs"));
        }
    }

    /** Whether a password is short enough to be compared at all. */
    static boolean fits(String password) {
        return password.getBytes(StandardCharsets.UTF_8).length <= PASSWORD_BYTES;
    }

    /** 400 with everything that is wrong, if anything is. */
    static void refuse(List<Problem.Wrong> wrong) {
        if (!wrong.isEmpty()) {
            throw Problem.notReadable(
                    "Some fields need another look", "Nothing was stored.", "Mend them and send again.", wrong);
        }
    }
}
