package juricast.core.chat;

import java.util.regex.Pattern;

/**
 * Finds addresses in what is written: with a scheme, with www, or a name that ends as addresses do. Better one too many
 * than one too few: what is taken for an address is at most looked at by an adult first.
 */
final class Links {
    private static final Pattern ADDRESS = Pattern.compile("(?i)\\b[a-z][a-z0-9+.-]{1,15}://\\S"
            + "|\\bwww\\.\\S"
            + "|\\b[a-z0-9-]+(?:\\.[a-z0-9-]+)*\\.[a-z]{2,12}/\\S"
            + "|\\b[a-z0-9-]+(?:\\.[a-z0-9-]+)*\\.(?:com|net|org|info|biz|io|app|dev|me|tv|gg|ly|co|xyz|example)\\b");

    private Links() {}

    static boolean isIn(String text) {
        return ADDRESS.matcher(text).find();
    }
}
