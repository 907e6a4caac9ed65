package juricast.core.live;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * The school's list of words that are looked at before others read them: words or phrases. Case, accents, drawn-out
 * and ornamental letters and digits in place of letters are seen through; a word inside another word is not meant, so that "Scunthorpe" and
 * "classic" pass. What is taken for one is looked at by an adult, so one too many does less harm than one too few.
 */
public final class WatchedWords {
    public static final WatchedWords NONE = new WatchedWords(List.of());

    private static final Pattern MARKS = Pattern.compile("\\p{M}+");
    private static final Pattern BETWEEN = Pattern.compile("[^\\p{L}\\p{N}$@]+");
    private static final Pattern RUN = Pattern.compile("(.)\\1*");
    private static final String DIGITS = "013457$@";
    private static final String LETTERS = "oieastsa";

    private final List<String> words;
    /** Each as the words it consists of. */
    private final List<List<Pattern>> phrases;

    private WatchedWords(Collection<String> words) {
        this.words = words.stream().map(String::strip).toList();
        this.phrases = this.words.stream()
                .map(word -> folded(word).stream().map(WatchedWords::drawnOut).toList())
                .filter(phrase -> !phrase.isEmpty())
                .toList();
    }

    public static WatchedWords of(Collection<String> words) {
        return new WatchedWords(words);
    }

    /** The list as it was written. */
    public List<String> words() {
        return words;
    }

    /** Whether one of them is in a text. */
    public boolean isIn(String text) {
        List<String> said = folded(text);
        String spelled =
                said.stream().map(word -> word.length() == 1 ? word : " ").collect(Collectors.joining());
        return phrases.stream()
                .anyMatch(phrase -> isIn(said, phrase)
                        // Letters with gaps between them are one word.
                        || phrase.size() == 1 && phrase.get(0).matcher(spelled).find());
    }

    private static boolean isIn(List<String> said, List<Pattern> phrase) {
        return IntStream.rangeClosed(0, said.size() - phrase.size()).anyMatch(from -> IntStream.range(0, phrase.size())
                .allMatch(n -> phrase.get(n).matcher(said.get(from + n)).matches()));
    }

    /** A letter may be written three times or more for once or twice; "looser" is not "loser", "looooser" is. */
    private static Pattern drawnOut(String word) {
        return Pattern.compile(RUN.matcher(word).replaceAll(run -> {
            String letter = "\\\\x{%x}".formatted(run.group().codePointAt(0));
            int times = run.group().codePointCount(0, run.group().length());
            return times > 2 ? letter + "{3,}" : "(?:%1$s{%2$d}|%1$s{3,})".formatted(letter, times);
        }));
    }

    private static List<String> folded(String text) {
        String plain = MARKS.matcher(Normalizer.normalize(text, Normalizer.Form.NFKD))
                .replaceAll("")
                .toLowerCase(Locale.ROOT);
        var words = new ArrayList<String>();
        Arrays.stream(BETWEEN.split(plain)).filter(word -> !word.isEmpty()).forEach(word -> words.add(fold(word)));
        return List.copyOf(words);
    }

    private static String fold(String word) {
        // A number is a number: only digits among letters stand for letters.
        boolean hasLetter = word.chars().anyMatch(Character::isLetter);
        return hasLetter
                ? word.chars()
                        .map(one -> DIGITS.indexOf(one) < 0 ? one : LETTERS.charAt(DIGITS.indexOf(one)))
                        .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                        .toString()
                : word;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof WatchedWords that && words.equals(that.words);
    }

    @Override
    public int hashCode() {
        return words.hashCode();
    }

    @Override
    public String toString() {
        return words.toString();
    }
}
