package juricast.core.identity;

import java.text.Normalizer;
import java.util.regex.Pattern;

/**
 * A name as it is compared and kept: without signs that nobody sees. Control, zero-width and bidirectional characters would let two
 * accounts look alike, or turn the rest of a line around; full-width and other compatible letters become the usual ones (Unicode
 * normalization form KC, UAX 15). Accents stay.
 */
public final class PlainName {
    /** Control and format characters, what is unassigned or private, and letters that are drawn as nothing. */
    private static final Pattern UNSEEN = Pattern.compile(
            "[\\p{Cc}\\p{Cf}\\p{Co}\\p{Cn}\\p{Cs}\\u034f\\u115f\\u1160\\u17b4\\u17b5\\u3164\\uffa0\\ufe00-\\ufe0f]");

    private static final Pattern SPACE = Pattern.compile("[\\p{Z}\\t\\n\\r\\u000b\\f]+");

    /** A pile of marks on one letter covers its neighbours. */
    private static final Pattern PILE = Pattern.compile("(\\p{M}{2})\\p{M}+");

    private PlainName() {}

    /** The same name with nothing in it that is not seen, single spaces between its parts; perhaps empty. */
    public static String of(String typed) {
        String spaced = SPACE.matcher(typed).replaceAll(" ");
        String seen = UNSEEN.matcher(Normalizer.normalize(spaced, Normalizer.Form.NFKC))
                .replaceAll("");
        return SPACE.matcher(PILE.matcher(seen).replaceAll("$1"))
                .replaceAll(" ")
                .strip();
    }
}
