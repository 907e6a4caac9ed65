package juricast.core.joining;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.random.RandomGenerator;
import org.apache.commons.codec.language.DoubleMetaphone;
import org.apache.commons.text.similarity.LevenshteinDistance;

/**
 * A word to say aloud that goes with a link: two words and a number, such as {@code amber-kelp-47}. About 22 bits: enough
 * beside a link of 128 bits and a limit on guesses, never enough alone (need B4).
 */
public record JoinWord(String text) {
    private static final List<String> FIRST = List.of(
            ("amber azure brave brisk broad calm chalk clear cloud coral crisp dapper deep dusky early eager fair fleet"
                            + " foggy fresh gentle gold grand green happy hardy hazel humble icy ivory jade jolly keen"
                            + " kind lively long lucky mellow merry misty noble north olive opal pale patient plain"
                            + " proud quick quiet rapid rosy royal rusty sandy scarlet sharp silver slate smooth snug"
                            + " soft solid spry steady still stout sunny swift tall teal tidy topaz upper velvet vivid"
                            + " warm west white wide wild windy wise young zesty")
                    .split(" "));
    private static final List<String> SECOND = List.of(
            ("anchor atoll badger barnacle basket bay beacon bell berry bramble breeze bridge brook buoy cabin canoe"
                            + " cape cask cedar cliff clover compass cove crab creek crow current dinghy dolphin dune"
                            + " eider ember estuary fern ferry finch fjord flint foam fossil gale gannet glacier grove"
                            + " gull harbour heron hull island jetty kelp ketch knot lagoon lantern ledge limpet loft"
                            + " marsh mast meadow mussel oar oyster pebble petrel pier plover puffin quay raft reed"
                            + " reef ridge rope rudder sail seal shell shore skiff sloop spruce squall starfish tern"
                            + " thistle tide timber trout tundra urchin valley walrus wharf willow")
                    .split(" "));

    private static final double BITS_OF_A_LETTER = 2.3;
    private static final int COMMON_WORDS = 10_000;
    private static final int MOST_SOUNDS = 20;

    /** A word that is not among {@code taken}. */
    public static JoinWord choose(RandomGenerator random, Set<JoinWord> taken) {
        while (true) {
            var word = new JoinWord(FIRST.get(random.nextInt(FIRST.size()))
                    + "-"
                    + SECOND.get(random.nextInt(SECOND.size()))
                    + "-"
                    + (10 + random.nextInt(90)));
            if (!taken.contains(word)) {
                return word;
            }
        }
    }

    /**
     * How hard it is to guess, in bits: the logarithm to base 2 of how many words of its make there are. A part from the lists
     * counts as one of its list; any other part as prose of its length, at 2.3 bits a letter (C. E. Shannon, "Prediction and
     * Entropy of Printed English", 1951, gives 0.6 to 2.3 where the letters before are known) and at most as one of 10,000
     * words; a digit counts as one of ten.
     */
    public double bits() {
        double bits = 0;
        for (String part : text.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+")) {
            if (part.chars().allMatch(Character::isDigit)) {
                bits += part.length() * log2(10);
            } else if (FIRST.contains(part) || SECOND.contains(part)) {
                bits += log2(FIRST.contains(part) ? FIRST.size() : SECOND.size());
            } else {
                bits += Math.min(part.length() * BITS_OF_A_LETTER, log2(COMMON_WORDS));
            }
        }
        return bits;
    }

    /** In how many letters it differs from another word: insertions, deletions and changes, as they are typed. */
    public int distanceTo(JoinWord other) {
        return LevenshteinDistance.getDefaultInstance().apply(plain(text), plain(other.text));
    }

    /** How it is typed and heard; made once where a word is held against hundreds. */
    public Said said() {
        var sounds = new DoubleMetaphone();
        sounds.setMaxCodeLen(MOST_SOUNDS);
        String plain = plain(text);
        return new Said(plain, sounds.doubleMetaphone(plain.replaceAll("\\p{N}", "")) + " " + digits(text));
    }

    /**
     * A word as it is typed and as it sounds to an English ear (Double Metaphone), its digits as they are.
     */
    public record Said(String typed, String heard) {
        /** Whether somebody could mean one and be taken for the other: in fewer letters than that, or by its sound. */
        public boolean isNearerThan(int letters, Said other) {
            // The length alone tells most words apart, and a distance is not counted further than it matters.
            return heard.equals(other.heard)
                    || Math.abs(typed.length() - other.typed.length()) < letters
                            && new LevenshteinDistance(letters - 1).apply(typed, other.typed) >= 0;
        }
    }

    /** Whether somebody could mean one and be taken for the other; see {@link Said#isNearerThan}. */
    public boolean isNearerThan(int letters, JoinWord other) {
        return said().isNearerThan(letters, other.said());
    }

    private static String digits(String text) {
        return text.replaceAll("\\P{N}", "");
    }

    private static double log2(double of) {
        return Math.log(of) / Math.log(2);
    }

    /** Whether what somebody typed is this word: case, spaces and hyphens do not matter. */
    public boolean isSaidBy(String typed) {
        return plain(typed).equals(plain(text));
    }

    private static String plain(String text) {
        return Normalizer.normalize(text, Normalizer.Form.NFKC)
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}\\p{N}]", "");
    }
}
