package juricast.server.people;

import com.nulabinc.zxcvbn.Strength;
import com.nulabinc.zxcvbn.Zxcvbn;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import juricast.core.identity.PlainName;
import juricast.core.limits.Limits;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;

/** What a name and a password must be, said in one place. */
final class AccountFields {
    private static final int PASSWORD_SHORTEST = 10;
    /** BCrypt reads so many bytes; what it would ignore is refused instead. */
    private static final int PASSWORD_BYTES = 72;
    /** Of 4: more than some ten thousand guesses, which lists of common passwords and their variations give in minutes. */
    private static final int STRENGTH = 2;
    /** Its list of some thirty thousand common passwords ships with it. */
    private static final Zxcvbn GUESSING = new Zxcvbn();

    private AccountFields() {}

    /** @return the name as it is kept */
    static String name(List<Problem.Wrong> wrong, String field, @Nullable String typed, String message) {
        if (typed == null || typed.length() > 4 * Limits.NAME) {
            wrong.add(new Problem.Wrong(field, message + ", 1 to " + Limits.NAME + " characters"));
            return "";
        }
        String name = PlainName.of(typed);
        if (name.isEmpty() || name.length() > Limits.NAME) {
            wrong.add(new Problem.Wrong(field, message + ", 1 to " + Limits.NAME + " characters"));
        }
        return name;
    }

    /** A name to sign in with: letters look the same whichever way they were typed. */
    static String signIn(List<Problem.Wrong> wrong, @Nullable String typed) {
        return signIn(name(wrong, "signIn", typed, "Choose a name to sign in with"));
    }

    /** As it is compared. */
    static String signIn(String typed) {
        return PlainName.of(typed).toLowerCase(Locale.ROOT);
    }

    /** @param own what others know of the person, which is guessed first */
    static void checkPassword(List<Problem.Wrong> wrong, String field, @Nullable String password, List<String> own) {
        if (password == null || password.length() < PASSWORD_SHORTEST || !fits(password)) {
            wrong.add(new Problem.Wrong(
                    field,
                    "Choose a password of " + PASSWORD_SHORTEST + " to " + PASSWORD_BYTES + " letters or signs"));
            return;
        }
        Strength strength = GUESSING.measure(password, own);
        boolean isCommon = strength.getSequence().size() == 1
                && "passwords".equals(strength.getSequence().get(0).dictionaryName);
        if (isCommon) {
            wrong.add(
                    new Problem.Wrong(field, "This is one of the passwords that are tried first. Choose another one"));
        } else if (strength.getScore() < STRENGTH) {
            wrong.add(new Problem.Wrong(
                    field,
                    "This is guessed quickly. Three or four words that have nothing to do with each other are good"));
        }
    }

    /** Whether a password is short enough to be compared at all. */
    static boolean fits(String password) {
        return password.length() <= PASSWORD_BYTES
                && password.getBytes(StandardCharsets.UTF_8).length <= PASSWORD_BYTES;
    }

    /** 400 with everything that is wrong, if anything is. */
    static void refuse(List<Problem.Wrong> wrong) {
        if (!wrong.isEmpty()) {
            throw Problem.notReadable(
                    "Some fields need another look", "Nothing was stored.", "Mend them and send again.", wrong);
        }
    }
}
